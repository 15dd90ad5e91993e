package dusk.ledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.units.Length;
import dusk.ledger.units.Temperature;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.records.Trips;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.Consumer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is done in one touch: once, whole, and back again. */
class ActsTest {
    private TestClub club;
    private Acts acts;
    private Viewer viewer;
    private int number;

    @BeforeEach
    void open(@TempDir Path folder) {
        club = new TestClub(folder);
        acts = club.get(Acts.class);
        viewer = club.guide.viewer();
        club.get(Trips.class).add(viewer, new Trip("t", "lake", TestClub.START, null, null));
    }

    @AfterEach
    void close() {
        club.close();
    }

    private String act(Consumer<Writing> change) {
        String id = "act-" + number++;
        assertThat(acts.once(viewer, new Acts.Act(id, "t", club.clock.instant(), id), change))
                .isTrue();
        return id;
    }

    private Acts.Undoing undo(String act) {
        return acts.undo(viewer, "t", act);
    }

    private Map<String, List<?>> everything() {
        Map<String, List<?>> all = new HashMap<>();
        LedgerFormat.ALL.forEach(table -> all.put(table.name(), club.all(table)));
        return all;
    }

    private Reading reading(String id, double celsius) {
        return ReadingBuilder.builder()
                .id(id)
                .tripId("t")
                .at(club.clock.instant())
                .waterTemp(Temperature.ofCelsius(celsius))
                .build();
    }

    @Test
    void theSameActIsDoneOnceHoweverOftenItIsSent() {
        Acts.Act twice = new Acts.Act("same", "t", club.clock.instant(), "a reading");
        assertThat(acts.once(viewer, twice, w -> w.insert(LedgerFormat.READINGS, reading("r1", 9))))
                .isTrue();
        assertThat(acts.once(viewer, twice, w -> w.insert(LedgerFormat.READINGS, reading("r2", 9))))
                .isFalse();
        assertThat(club.all(LedgerFormat.READINGS)).extracting(Reading::id).containsExactly("r1");
        assertThat(acts.latest(viewer, "t")).hasSize(1);
        assertThat(acts.any(viewer)).isTrue();
        assertThat(acts.any(club.stranger.viewer())).isFalse();
    }

    @Test
    void anActThatFailsLeavesNothing() {
        Map<String, List<?>> before = everything();
        assertThatThrownBy(() -> act(w -> {
                    w.insert(LedgerFormat.READINGS, reading("r1", 9));
                    throw new IllegalStateException("half way");
                }))
                .hasMessage("half way");
        assertThat(everything()).isEqualTo(before);
        assertThat(acts.latest(viewer, "t")).isEmpty();
    }

    @Test
    void whatIsReadWithinAnActIsWhatTheActSees() {
        LedgerRows rows = club.get(LedgerRows.class);
        act(w -> {
            w.insert(LedgerFormat.READINGS, reading("r1", 9));
            assertThat(rows.one(viewer, LedgerFormat.READINGS, "r1")).isPresent();
        });
        assertThatThrownBy(() -> act(w -> {
                    w.insert(LedgerFormat.READINGS, reading("r2", 9));
                    throw new IllegalStateException();
                }))
                .isInstanceOf(IllegalStateException.class);
        assertThat(rows.one(viewer, LedgerFormat.READINGS, "r2")).isEmpty();
    }

    @Test
    void anActSaysWhatItDidAndWhichRowsItTouched() {
        String id = act(w -> {
            w.say("in the doing");
            w.insert(LedgerFormat.READINGS, reading("r1", 9));
            w.insert(LedgerFormat.SIGNS, new Sign("s1", "t", null, TestClub.START, "birds", null));
        });
        Acts.Done done = acts.latest(viewer, "t").get(0);
        assertThat(done.act().id()).isEqualTo(id);
        assertThat(done.act().what()).isEqualTo("in the doing");
        assertThat(done.rows()).containsExactly("r1", "s1");
    }

    @Test
    void anActThatWasOvertakenIsNotUndoneAndOneThatIsGoneSaysSo() {
        String first = act(w -> w.insert(LedgerFormat.READINGS, reading("r1", 9)));
        String second = act(w -> w.update(LedgerFormat.READINGS, reading("r1", 10)));
        assertThat(undo(first)).isEqualTo(Acts.Undoing.OVERTAKEN);
        assertThat(club.all(LedgerFormat.READINGS)).hasSize(1);
        assertThat(undo(second)).isEqualTo(Acts.Undoing.DONE);
        assertThat(undo(second)).isEqualTo(Acts.Undoing.GONE);
        assertThat(undo(first)).isEqualTo(Acts.Undoing.DONE);
        assertThat(undo("never done")).isEqualTo(Acts.Undoing.GONE);
        assertThat(acts.undo(club.stranger.viewer(), "t", first)).isEqualTo(Acts.Undoing.GONE);
        assertThat(club.all(LedgerFormat.READINGS)).isEmpty();
    }

    @Test
    void aRowWrittenTwiceInOneActGoesBackToHowItWasBeforeTheFirst() {
        act(w -> w.insert(LedgerFormat.READINGS, reading("r1", 9)));
        String changed = act(w -> {
            w.update(LedgerFormat.READINGS, reading("r1", 10));
            w.update(LedgerFormat.READINGS, reading("r1", 11));
        });
        assertThat(temperature()).isEqualTo(11);
        undo(changed);
        assertThat(temperature()).isEqualTo(9);
        String replaced = act(w -> {
            w.delete(LedgerFormat.READINGS, "r1");
            w.insert(LedgerFormat.READINGS, reading("r1", 12));
        });
        undo(replaced);
        assertThat(temperature()).isEqualTo(9);
        String madeAndGone = act(w -> {
            w.insert(LedgerFormat.READINGS, reading("r9", 1));
            w.delete(LedgerFormat.READINGS, "r9");
        });
        assertThat(undo(madeAndGone)).isEqualTo(Acts.Undoing.DONE);
        assertThat(club.all(LedgerFormat.READINGS)).hasSize(1);
    }

    private double temperature() {
        Temperature is = club.all(LedgerFormat.READINGS).get(0).waterTemp();
        return is == null ? Double.NaN : is.celsius();
    }

    /** Random acts on several tables, all taken back one by one: every row is as it was. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void whateverIsDoneAndAllTakenBackEveryRowIsAsItWas(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Map<String, List<?>>> states = new ArrayList<>(List.of(everything()));
        List<String> done = new ArrayList<>();
        for (int i = 0; i < 25; i++) {
            done.add(act(w -> {
                for (int j = random.nextInt(3); j >= 0; j--) {
                    something(w, random);
                }
            }));
            states.add(everything());
        }
        for (int i = done.size() - 1; i >= 0; i--) {
            assertThat(undo(done.get(i))).isEqualTo(Acts.Undoing.DONE);
            assertThat(everything()).as("after undoing act " + i).isEqualTo(states.get(i));
        }
        assertThat(acts.latest(viewer, "t")).isEmpty();
    }

    private void something(Writing w, SplittableRandom random) {
        List<Reading> readings = club.all(LedgerFormat.READINGS);
        switch (random.nextInt(5)) {
            case 0 -> w.insert(LedgerFormat.READINGS, reading("r" + random.nextLong(), random.nextInt(30)));
            case 1 -> w.insert(LedgerFormat.ANGLERS, new Angler("a" + random.nextLong(), null));
            case 2 -> pick(readings, random, r -> w.delete(LedgerFormat.READINGS, r.id()));
            case 3 ->
                pick(
                        readings,
                        random,
                        r -> w.update(
                                LedgerFormat.READINGS,
                                ReadingBuilder.builder(r)
                                        .clarity(Length.ofMetres(random.nextInt(40) / 10.0))
                                        .waterTemp(random.nextBoolean() ? null : r.waterTemp())
                                        .sky("rain")
                                        .build()));
            default -> pick(club.all(LedgerFormat.SPOTS), random, s -> w.update(LedgerFormat.SPOTS, grown(s)));
        }
    }

    private static Spot grown(Spot spot) {
        return SpotBuilder.builder(spot)
                .cover("thick".equals(spot.cover()) ? null : "thick")
                .build();
    }

    private static <T> void pick(List<T> list, SplittableRandom random, Consumer<T> with) {
        if (!list.isEmpty()) {
            with.accept(list.get(random.nextInt(list.size())));
        }
    }

    @Test
    void actsAfloatLeaveWhatWasLearntFromEndedTripsAndTheLastOneDoesNot() {
        Store store = club.get(Store.class);
        long version = store.version(viewer.clubId());
        long settled = store.settled(viewer.clubId());
        String act = act(w -> w.insert(LedgerFormat.READINGS, reading("r1", 9)));
        assertThat(store.version(viewer.clubId())).isEqualTo(version + 1);
        assertThat(store.settled(viewer.clubId())).isEqualTo(settled);
        undo(act);
        acts.last(viewer, new Acts.Act("end", "t", TestClub.START, "end"), w -> w.say("end"));
        assertThat(store.settled(viewer.clubId())).isGreaterThan(settled);
    }

    /** Both sorts of table that can be written. */
    @Test
    void everyTableOfTheRecordHasAnIdThatAnActCanRemember() {
        for (Table<?> table : LedgerFormat.ALL) {
            var key = LedgerRows.of(table).getPrimaryKey();
            assertThat(key).as(table.name()).isNotNull();
            assertThat(key.getFields().get(key.getFields().size() - 1).getName())
                    .isEqualTo(table.idColumn());
        }
    }
}
