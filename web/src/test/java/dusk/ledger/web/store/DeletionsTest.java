package dusk.ledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Touch;
import dusk.ledger.journal.Trip;
import dusk.ledger.water.Calibration;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.records.Drops;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.schema.DefaultSchema;
import dusk.ledger.web.schema.Tables;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Deletions there and back, for every table that bears their mark. */
class DeletionsTest {
    private TestClub club;
    private Deletions deletions;
    private Viewer viewer;

    @BeforeEach
    void open(@TempDir Path folder) {
        club = new TestClub(folder);
        deletions = club.get(Deletions.class);
        viewer = club.member.viewer();
        Trips trips = club.get(Trips.class);
        trips.add(viewer, new Trip("t", "lake", TestClub.START, null, null));
        trips.add(viewer, new Trip("u", "lake", TestClub.START, null, null));
        for (String x : List.of("x", "y")) {
            club.store(LedgerFormat.STINTS, List.of(stint(x)));
            club.store(
                    LedgerFormat.CATCHES,
                    List.of(CatchBuilder.builder()
                            .id("f" + x)
                            .stintId(x)
                            .species("pike")
                            .count(1)
                            .build()));
            club.store(LedgerFormat.TOUCHES, List.of(new Touch("to" + x, x, TestClub.START, "bite")));
            club.store(LedgerFormat.LOSSES, List.of(new Loss("lo" + x, x, null, "snag", 1)));
        }
        club.store(
                LedgerFormat.READINGS,
                List.of(ReadingBuilder.builder()
                        .id("re")
                        .tripId("t")
                        .at(TestClub.START)
                        .build()));
        club.store(LedgerFormat.SIGNS, List.of(new Sign("si", "t", null, TestClub.START, "birds", null)));
        club.get(Drops.class).add(viewer, "jig", TestClub.START, new Calibration.Drop(9, 3), false);
    }

    private Stint stint(String id) {
        return StintBuilder.builder()
                .id(id)
                .tripId("t")
                .anglerId(club.member.anglerId())
                .setUpId("jig")
                .startedAt(TestClub.START)
                .minutes(30)
                .bites(2)
                .hooked(2)
                .build();
    }

    @AfterEach
    void close() {
        club.close();
    }

    /** How many rows each table of the record shows, drops among them. */
    private Map<String, Integer> counts() {
        Map<String, Integer> counts = new LinkedHashMap<>();
        for (Table<?> table : LedgerFormat.ALL) {
            counts.put(table.name(), club.all(table).size());
        }
        counts.put("drops", club.get(Drops.class).all(viewer).size());
        return counts;
    }

    /** What is missing after a deletion, and that its undoing brings back just that. */
    private Map<String, Integer> taken(Supplier<String> delete) {
        Map<String, Integer> before = counts();
        String deletion = delete.get();
        Map<String, Integer> after = counts();
        Map<String, Integer> taken = new LinkedHashMap<>();
        before.forEach((table, count) -> {
            if (!count.equals(after.get(table))) {
                taken.put(table, count - after.get(table));
            }
        });
        assertThat(deletions.undo(viewer, deletion)).isTrue();
        assertThat(counts()).isEqualTo(before);
        assertThat(deletions.undo(viewer, deletion)).as("only once").isFalse();
        return taken;
    }

    @Test
    void eachDeletionTakesWhatHangsOnItAndUndoingBringsItBack() {
        assertThat(taken(() -> deletions.fish(viewer, "fx", "the pike"))).isEqualTo(Map.of("catches", 1));
        assertThat(taken(() -> deletions.reading(viewer, "re", "the reading"))).isEqualTo(Map.of("readings", 1));
        assertThat(taken(() -> deletions.stint(viewer, "x", "the stint")))
                .isEqualTo(Map.of("stints", 1, "catches", 1, "touches", 1, "losses", 1));
        assertThat(taken(() -> deletions.trip(viewer, "t", "the trip")))
                .isEqualTo(Map.of(
                        "trips", 1, "readings", 1, "signs", 1, "stints", 2, "catches", 2, "touches", 2, "losses", 2));
        String drop = club.get(Drops.class).all(viewer).get(0).id();
        assertThat(taken(() -> deletions.drop(viewer, drop, "the drop"))).isEqualTo(Map.of("drops", 1));
    }

    /** Undoing the deletion of a trip does not bring back the fish that was deleted before it. */
    @Test
    void undoingBringsBackNoMoreThanItsDeletionTook() {
        String fish = deletions.fish(viewer, "fx", "the pike");
        String trip = deletions.trip(viewer, "t", "the trip");
        assertThat(deletions.undo(viewer, trip)).isTrue();
        assertThat(club.all(LedgerFormat.CATCHES)).hasSize(1);
        assertThat(deletions.undo(viewer, fish)).isTrue();
        assertThat(club.all(LedgerFormat.CATCHES)).hasSize(2);
    }

    @Test
    void itsMakerAndAnOfficerUndoADeletion() {
        String fish = deletions.fish(viewer, "fx", "the pike");
        assertThatThrownBy(() -> deletions.undo(club.other.viewer(), fish)).isInstanceOf(NotYours.class);
        assertThat(deletions.undo(club.stranger.viewer(), fish))
                .as("another club's")
                .isFalse();
        assertThat(deletions.recent(club.other.viewer(), 10)).isEmpty();
        assertThat(deletions.recent(club.officer.viewer(), 10)).hasSize(1);
        assertThat(deletions.recent(viewer, 10))
                .singleElement()
                .satisfies(d -> assertThat(d.what()).isEqualTo("the pike"));
        assertThat(deletions.undo(club.officer.viewer(), fish)).isTrue();
        assertThat(deletions.undo(viewer, fish)).as("once").isFalse();
    }

    @Test
    void asManyAsAskedForAreListedTheNewestFirst() {
        for (int i = 0; i < 12; i++) {
            club.clock.turn(java.time.Duration.ofMinutes(1));
            deletions.undo(viewer, deletions.fish(viewer, "fx", "undone"));
            deletions.reading(viewer, "none", "number " + i);
        }
        assertThat(deletions.recent(viewer, 10))
                .hasSize(10)
                .first()
                .satisfies(d -> assertThat(d.what()).isEqualTo("number 11"));
    }

    /** A table that bears the mark and is not in the list would be deleted and never come back. */
    @Test
    void everyMarkedTableIsBroughtBack() {
        List<String> marked = DefaultSchema.DEFAULT_SCHEMA.getTables().stream()
                // an import says which deletion took it back, and is told of it by that one
                .filter(t -> t.field("deletion_id") != null && t != Tables.DELETIONS && t != Tables.IMPORTS)
                .map(org.jooq.Table::getName)
                .sorted()
                .toList();
        assertThat(Deletions.MARKED.stream().map(org.jooq.Table::getName).sorted())
                .containsExactlyElementsOf(marked);
    }
}
