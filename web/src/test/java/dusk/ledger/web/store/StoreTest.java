package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.CLUBS;
import static dusk.ledger.web.schema.Tables.WATERS;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Water;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.jooq.exception.DataAccessException;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class StoreTest {
    @TempDir
    Path folder;

    private Store store;
    private LedgerRows rows;

    @BeforeEach
    void open() {
        store = Store.open(folder.resolve("new/dusk.db"));
        rows = new LedgerRows(store);
        new Clubs(store, rows).found(new Clubs.Club("c1", "One"));
        new Clubs(store, rows).found(new Clubs.Club("c2", "Two"));
    }

    @AfterEach
    void close() {
        store.close();
    }

    static List<Table<?>> tables() {
        return LedgerFormat.ALL;
    }

    /** The record is read and written by column names, so that a column the store lacks must fail here and not at its first use. */
    @ParameterizedTest
    @MethodSource("tables")
    void theStoreHasEveryColumnOfTheFormatInItsType(Table<?> table) {
        for (FileColumn<?> column : table.columns()) {
            assertThat(LedgerRows.of(table).field(column.name()))
                    .as(table.name() + "." + column.name())
                    .isNotNull()
                    .extracting(f -> f.getType())
                    .isEqualTo(column.kind().type());
        }
    }

    private void water(String clubId, String id) {
        store.write(clubId, tx -> {
            rows.insert(tx, clubId, LedgerFormat.WATERS, new Water(id, "Tarn " + id, "lake", null, null));
            return id;
        });
    }

    @Test
    void twoClubsMayUseTheSameIdsAndSeeOnlyTheirOwn() {
        water("c1", "w");
        water("c2", "w");
        water("c2", "v");
        assertThat(rows.all(Viewer.club("c1"), LedgerFormat.WATERS, DSL.noCondition(), List.of()))
                .hasSize(1);
        assertThat(rows.all(Viewer.club("c2"), LedgerFormat.WATERS, DSL.noCondition(), List.of()))
                .hasSize(2);
        assertThat(rows.one(Viewer.club("c1"), LedgerFormat.WATERS, "v")).isEmpty();
    }

    @Test
    void aWriteThatFailsLeavesNothingAndNoNewVersion() {
        water("c1", "w");
        long version = store.version("c1");
        assertThatThrownBy(() -> store.write("c1", tx -> {
                    rows.insert(tx, "c1", LedgerFormat.WATERS, new Water("x", "Kept?", "lake", null, null));
                    rows.insert(tx, "c1", LedgerFormat.WATERS, new Water("w", "Twice", "lake", null, null));
                    return null;
                }))
                .isInstanceOf(DataAccessException.class);
        assertThat(rows.one(Viewer.club("c1"), LedgerFormat.WATERS, "x")).isEmpty();
        assertThat(store.version("c1")).isEqualTo(version);
    }

    @Test
    void aReferenceCannotCrossFromOneClubToAnother() {
        water("c1", "w");
        assertThatThrownBy(() -> store.write(
                        "c2",
                        tx -> tx.execute("insert into trips (club_id, trip_id, water_id, started_at) values "
                                + "('c2', 't', 'w', '2026-05-01T06:00:00.000Z')")))
                .isInstanceOf(DataAccessException.class)
                .hasMessageContaining("FOREIGN KEY");
    }

    @Test
    void readersCannotWrite() {
        assertThatThrownBy(() -> store.read().deleteFrom(WATERS).execute()).isInstanceOf(DataAccessException.class);
    }

    @Test
    void writesFromManyAtOnceAllArrive() throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(8);
        CountDownLatch start = new CountDownLatch(1);
        List<? extends Future<?>> all = IntStream.range(0, 160)
                .mapToObj(i -> pool.submit(() -> {
                    start.await();
                    water("c1", "w" + i);
                    return null;
                }))
                .toList();
        start.countDown();
        for (Future<?> one : all) {
            one.get();
        }
        pool.shutdown();
        assertThat(store.read().fetchCount(WATERS)).isEqualTo(160);
        assertThat(store.version("c1")).isEqualTo(160);
        assertThat(store.read().fetchCount(CLUBS)).isEqualTo(2);
    }

    @Test
    void aSnapshotIsOfOneMomentWhateverIsWrittenMeanwhile() {
        store.snapshot(() -> {
            long version = store.version("c1");
            String name = nameOf("c1");
            Thread other = new Thread(() -> store.write(
                    "c1",
                    tx -> tx.update(CLUBS)
                            .set(CLUBS.NAME, "Renamed")
                            .where(CLUBS.CLUB_ID.eq("c1"))
                            .execute()));
            other.start();
            join(other);
            assertThat(nameOf("c1")).isEqualTo(name);
            assertThat(store.version("c1")).isEqualTo(version);
            return name;
        });
        assertThat(nameOf("c1")).isEqualTo("Renamed");
        assertThat(store.version("c1")).isPositive();
    }

    @Test
    void aSnapshotIsForReading() {
        assertThatThrownBy(() -> store.snapshot(() -> store.write("c1", tx -> 1)))
                .isInstanceOf(IllegalStateException.class)
                .hasMessage("what is read as it was at one moment writes nothing");
        assertThat(store.<Integer>write("c1", tx -> 1))
                .as("and the thread writes again after it")
                .isEqualTo(1);
    }

    /** Waters come in with a place each while the whole is read: no place may be read without its water. */
    @Test
    void aLedgerReadDuringWritesHasNoReferenceThatLeadsNowhere() throws Exception {
        AtomicBoolean going = new AtomicBoolean(true);
        AtomicInteger written = new AtomicInteger();
        Thread other = new Thread(() -> {
            while (going.get()) {
                String id = "w" + written.incrementAndGet();
                store.write("c1", tx -> {
                    water("c1", id);
                    rows.insert(tx, "c1", LedgerFormat.SPOTS, spot(id));
                    return id;
                });
            }
        });
        other.start();
        int seen = 0;
        try {
            while (written.get() < 200) {
                Ledger ledger = rows.ledger(Viewer.club("c1"));
                assertThat(ledger.waters())
                        .extracting(Water::id)
                        .containsAll(ledger.spots().stream().map(Spot::waterId).toList());
                seen += ledger.spots().size();
            }
        } finally {
            going.set(false);
            other.join();
        }
        assertThat(seen).as("places that came in meanwhile").isPositive();
    }

    private static Spot spot(String id) {
        return SpotBuilder.builder().id(id).waterId(id).structure("dock").build();
    }

    private String nameOf(String clubId) {
        return store.read()
                .select(CLUBS.NAME)
                .from(CLUBS)
                .where(CLUBS.CLUB_ID.eq(clubId))
                .fetchSingle(CLUBS.NAME);
    }

    private static void join(Thread thread) {
        try {
            thread.join();
        } catch (InterruptedException e) {
            throw new AssertionError(e);
        }
    }
}
