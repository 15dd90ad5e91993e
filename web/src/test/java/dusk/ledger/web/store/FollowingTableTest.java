package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.WRITTEN;
import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.RodBuilder;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.TripBuilder;
import dusk.ledger.journal.Water;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Length;
import dusk.ledger.units.Temperature;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.TestClub;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The findings' table after writes, against one made anew of what the store holds then. */
class FollowingTableTest {
    private static final int WRITES = 1000;
    private static final Instant SPRING = Instant.parse("2026-03-01T06:00:00Z");

    @TempDir
    Path folder;

    private TestClub club;
    private ClubTables following;
    private LedgerRows rows;
    private SplittableRandom random;
    private int next;

    @BeforeEach
    void open() {
        club = new TestClub(folder);
        following = club.get(ClubTables.class);
        rows = club.get(LedgerRows.class);
        random = new SplittableRandom(13);
        for (int trip = 0; trip < 8; trip++) {
            write(tx -> trip(tx));
        }
        for (int stint = 0; stint < 30; stint++) {
            write(tx -> stint(tx));
            write(tx -> fish(tx));
        }
    }

    @AfterEach
    void close() throws Exception {
        club.close();
    }

    private interface Write {
        void by(DSLContext tx);
    }

    private void write(Write write) {
        club.get(Store.class).write(club.officer.clubId(), tx -> {
            write.by(tx);
            return "";
        });
    }

    private StintTable anew() {
        return new ClubTables(club.get(Store.class), rows, club.get(Sharing.class), club.get(ClubWords.class))
                .of(club.officer.viewer());
    }

    private String id(String kind) {
        // ids of a package come in between, those made here at the end
        return (random.nextBoolean() ? "a" : "z") + kind + next++;
    }

    private String any(DSLContext tx, String table, String column) {
        List<String> ids = tx.fetch(
                        "select " + column + " from " + table + " where club_id = ? order by 1", club.officer.clubId())
                .getValues(0, String.class);
        return ids.get(random.nextInt(ids.size()));
    }

    private <T> T one(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private Instant moment() {
        return SPRING.plus(Duration.ofHours(random.nextInt(24 * 200)));
    }

    private void trip(DSLContext tx) {
        rows.insert(
                tx,
                club.officer.clubId(),
                LedgerFormat.TRIPS,
                TripBuilder.builder()
                        .id(id("t"))
                        .waterId(one(List.of("lake", "sound")))
                        .startedAt(moment())
                        .build());
    }

    private void stint(DSLContext tx) {
        String trip = any(tx, "trips", "trip_id");
        rows.insert(
                tx,
                club.officer.clubId(),
                LedgerFormat.STINTS,
                StintBuilder.builder()
                        .id(id("s"))
                        .tripId(trip)
                        .anglerId(any(tx, "anglers", "angler_id"))
                        .spotId(random.nextInt(4) == 0 ? null : any(tx, "spots", "spot_id"))
                        .setUpId(any(tx, "setups", "setup_id"))
                        .startedAt(startOf(tx, trip).plus(Duration.ofMinutes(random.nextInt(300))))
                        .minutes(5 + random.nextInt(100))
                        .rodId(random.nextBoolean() ? null : any(tx, "rods", "rod_id"))
                        .depth(random.nextBoolean() ? null : Length.ofMetres(random.nextInt(12)))
                        .presentation(one(List.of("hop", "slow drag", "our own way")))
                        .follows(random.nextInt(3))
                        .bites(9)
                        .hooked(9)
                        .build());
    }

    private static Instant startOf(DSLContext tx, String trip) {
        return Instant.parse(tx.fetchOne("select started_at from trips where trip_id = ?", trip)
                .get(0, String.class));
    }

    private void fish(DSLContext tx) {
        rows.insert(
                tx,
                club.officer.clubId(),
                LedgerFormat.CATCHES,
                CatchBuilder.builder()
                        .id(id("c"))
                        .stintId(any(tx, "stints", "stint_id"))
                        .species(one(List.of("largemouth", "pike")))
                        .count(1 + random.nextInt(3))
                        .length(random.nextBoolean() ? null : Length.ofMillimetres(200 + random.nextInt(200)))
                        .biteOn(random.nextBoolean() ? null : "fall")
                        .build());
    }

    private void reading(DSLContext tx) {
        String trip = any(tx, "trips", "trip_id");
        rows.insert(
                tx,
                club.officer.clubId(),
                LedgerFormat.READINGS,
                ReadingBuilder.builder()
                        .id(id("r"))
                        .tripId(trip)
                        .at(startOf(tx, trip).plus(Duration.ofMinutes(random.nextInt(200))))
                        .waterTemp(random.nextInt(4) == 0 ? null : Temperature.ofCelsius(6 + random.nextInt(20)))
                        .sky(one(List.of("clear", "overcast")))
                        .build());
    }

    private Query changed(DSLContext tx, String table, String id, String column, Object to) {
        return tx.query("update " + table + " set " + column + " = ? where " + id + " = ?", to, any(tx, table, id));
    }

    /** Every way in which what a stint stands on may be written, by whoever writes. */
    private void anything(DSLContext tx) {
        String clubId = club.officer.clubId();
        switch (random.nextInt(24)) {
            case 0 -> trip(tx);
            case 1, 2, 3 -> stint(tx);
            case 4, 5, 6 -> fish(tx);
            case 7, 8 -> reading(tx);
            case 9 ->
                rows.insert(
                        tx,
                        clubId,
                        LedgerFormat.LOSSES,
                        new Loss(id("l"), any(tx, "stints", "stint_id"), null, one(List.of("snag", "knot")), 1));
            case 10 -> {
                rows.insert(
                        tx,
                        clubId,
                        LedgerFormat.SETUPS,
                        SetUpBuilder.builder()
                                .id(id("u"))
                                .rig("wacky")
                                .colour(id("colour"))
                                .build());
                rows.insert(
                        tx,
                        clubId,
                        LedgerFormat.RODS,
                        RodBuilder.builder().id(id("o")).power("medium").build());
            }
            case 11 ->
                rows.insert(
                        tx,
                        clubId,
                        LedgerFormat.SPOTS,
                        SpotBuilder.builder()
                                .id(id("p"))
                                .waterId("lake")
                                .structure("dock")
                                .build());
            case 12 ->
                changed(tx, "stints", "stint_id", "minutes", 5 + random.nextInt(90))
                        .execute();
            case 13 ->
                changed(tx, "stints", "stint_id", "trip_id", any(tx, "trips", "trip_id"))
                        .execute();
            case 14 ->
                changed(tx, "stints", "stint_id", "setup_id", any(tx, "setups", "setup_id"))
                        .execute();
            case 15 ->
                (random.nextBoolean()
                                ? changed(tx, "rods", "rod_id", "power", one(List.of("light", "heavy")))
                                : changed(tx, "setups", "setup_id", "colour", one(List.of("pearl", id("colour")))))
                        .execute();
            case 16 ->
                (random.nextBoolean()
                                ? changed(tx, "spots", "spot_id", "slope", one(List.of("flat", "steep")))
                                : changed(tx, "spots", "spot_id", "structure", one(List.of("dock", "wall"))))
                        .execute();
            case 17 ->
                changed(tx, "readings", "reading_id", "water_temp_c", 5 + random.nextInt(22))
                        .execute();
            case 18 ->
                changed(tx, "readings", "reading_id", "trip_id", any(tx, "trips", "trip_id"))
                        .execute();
            case 19 ->
                changed(tx, "trips", "trip_id", "water_id", one(List.of("lake", "sound")))
                        .execute();
            case 20 ->
                changed(tx, "catches", "catch_id", "stint_id", any(tx, "stints", "stint_id"))
                        .execute();
            case 21 -> tx.execute("delete from catches where catch_id = ?", any(tx, "catches", "catch_id"));
            case 22 -> deleted(tx, one(List.of("stints", "trips", "readings", "catches")));
            default -> undeleted(tx);
        }
    }

    private void deleted(DSLContext tx, String table) {
        String deletion = "d" + next++;
        tx.execute(
                "insert into deletions values (?, ?, '2026-10-03T00:00:00Z', ?, 'it')",
                club.officer.clubId(),
                deletion,
                club.officer.id());
        changed(
                        tx,
                        table,
                        table.equals("catches") ? "catch_id" : table.replaceAll("s$", "_id"),
                        "deletion_id",
                        deletion)
                .execute();
    }

    private void undeleted(DSLContext tx) {
        List.of("stints", "trips", "readings", "catches")
                .forEach(table ->
                        tx.execute("update " + table + " set deletion_id = null where deletion_id is not null"));
    }

    @Test
    void aTableThatFollowedAThousandWritesIsTheOneMadeAnew() {
        StintTable first = following.of(club.officer.viewer());
        assertThat(first).isEqualTo(anew());
        List<Integer> sizes = new ArrayList<>();
        for (int write = 0; write < WRITES; write++) {
            write(this::anything);
            if (random.nextInt(6) == 0) {
                StintTable now = following.of(club.officer.viewer());
                assertThat(now).as("after write %d", write).isEqualTo(anew());
                sizes.add(now.size());
            }
        }
        assertThat(sizes).anyMatch(size -> size > 150);
        assertThat(following.of(club.officer.viewer()).codes(Factor.COLOUR).levels())
                .hasSizeGreaterThan(20);
        assertThat(following.of(club.officer.viewer()).codes(Factor.ROD_POWER).levels())
                .hasSizeGreaterThan(2);
    }

    @Test
    void itReadsNoMoreThanWhatWasTouched() {
        StintTable before = following.of(club.officer.viewer());
        write(tx -> tx.execute("update stints set minutes = 33 where stint_id = ?", before.id(0)));
        // a row that was written without a note of it is not looked at
        club.get(Store.class).writeApart(tx -> {
            tx.execute("drop trigger stint_changed");
            return tx.execute("update stints set minutes = 44 where stint_id = ?", before.id(1));
        });
        StintTable after = following.of(club.officer.viewer());
        assertThat(after.rodHours(0)).isEqualTo(33 / 60.0);
        assertThat(after.rodHours(1)).isEqualTo(before.rodHours(1));
        assertThat(anew().rodHours(1)).isEqualTo(44 / 60.0);
    }

    @Test
    void whatIsNotNotedAnyMoreIsReadAnew() {
        following.of(club.officer.viewer());
        write(this::stint);
        forget();
        assertThat(following.of(club.officer.viewer())).isEqualTo(anew());
    }

    @Test
    void aWaterThatLiesElsewhereChangesAllItsStints() {
        StintTable before = following.of(club.officer.viewer());
        write(tx -> tx.execute("update waters set latitude = -44.5 where water_id = 'lake'"));
        StintTable after = following.of(club.officer.viewer());
        assertThat(after).isEqualTo(anew()).isNotEqualTo(before);
        write(tx -> rows.insert(
                tx, club.officer.clubId(), LedgerFormat.WATERS, new Water("tarn", "Tarn", "pond", null, null)));
        assertThat(following.of(club.officer.viewer())).isEqualTo(anew());
    }

    private void forget() {
        club.get(Store.class)
                .writeApart(tx -> tx.execute(
                        "with recursive n(i) as (select 1 union all select i + 1 from n where i < 20000) insert into written (club_id, kind, id)"
                                + " select 'elsewhere', 'stint', 's' from n"));
        club.get(Store.class).tend();
    }

    @Test
    void notesDoNotPileUp() {
        Store store = club.get(Store.class);
        int kept = store.read().fetchCount(WRITTEN, WRITTEN.KIND.in("setup", "rod", "everything"));
        forget();
        assertThat(store.read().fetchCount(WRITTEN)).isEqualTo(20_000 + kept + 1);
        forget();
        assertThat(store.read().fetchCount(WRITTEN)).isEqualTo(20_000 + kept + 1);
    }
}
