package dusk.ledger.columns;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Temperature;
import dusk.ledger.vocabulary.Bands;
import dusk.ledger.vocabulary.Factor;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StintTableTest {
    private static final Instant START = Instant.parse("2026-05-01T06:00:00Z");

    private static SetUp setUp(String id, String rig, @Nullable Double leaderMm) {
        return new SetUp(
                id,
                null,
                rig,
                null,
                Mass.ofGrams(3.4),
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                Length.ofMillimetres(75),
                null,
                "violet",
                null,
                leaderMm == null ? null : Length.ofMillimetres(leaderMm),
                null,
                null,
                Length.ofMillimetres(0.30),
                null,
                null,
                Length.ofMillimetres(0.20));
    }

    private static Reading reading(String id, int minute, @Nullable Double celsius) {
        return new Reading(
                id,
                "t1",
                START.plusSeconds(minute * 60L),
                celsius == null ? null : Temperature.ofCelsius(celsius),
                Length.ofMetres(0.3),
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null);
    }

    private static Stint stint(String id, int minute, String setUpId) {
        return new Stint(
                id,
                "t1",
                "a1",
                null,
                setUpId,
                START.plusSeconds(minute * 60L),
                30,
                null,
                null,
                Length.ofMetres(1.5),
                null,
                "hop",
                "slow",
                0.0,
                null,
                null,
                null,
                null,
                0,
                3,
                3);
    }

    private static Ledger ledger() {
        return new Ledger(
                List.of(new Angler("a1", "Nessa")),
                List.of(new Water("w1", "Tarn", "lake", null, null)),
                List.of(),
                List.of(setUp("u1", "drop shot", 300.0), setUp("u2", "texas rig", 300.0)),
                List.of(),
                List.of(new Trip("t1", "w1", START, null, null)),
                List.of(reading("r2", 60, null), reading("r1", 10, 7.0)),
                List.of(stint("x1", 0, "u1"), stint("x2", 30, "u2"), stint("x3", 90, "u2")),
                List.of(
                        new Catch(
                                "c1",
                                "x1",
                                null,
                                "largemouth",
                                1,
                                Length.ofMillimetres(300),
                                null,
                                null,
                                null,
                                null,
                                null),
                        new Catch("c2", "x1", null, "yellow perch", 2, null, null, null, null, null, null)),
                List.of(),
                List.of(),
                List.of());
    }

    private static String level(Factor factor, int row) {
        StintTable table = StintTable.of(ledger());
        return table.codes(factor).levels().get(table.codes(factor).at(row));
    }

    @Test
    void aStintTakesTheNewestReadingBeforeItElseTheFirst() {
        assertThat(level(Factor.WATER_TEMP, 0)).isEqualTo("7-10 C");
        assertThat(level(Factor.WATER_TEMP, 1)).isEqualTo("7-10 C");
        assertThat(level(Factor.WATER_TEMP, 2))
                .as("an empty cell of the newest stays empty")
                .isEqualTo(Factor.NOT_RECORDED);
    }

    @Test
    void levelsAreReadOffTheSetUpAndTheStint() {
        assertThat(level(Factor.HEAD_MASS, 0)).isEqualTo("3.5 g");
        assertThat(level(Factor.PLASTIC_LENGTH, 0)).isEqualTo("75-100 mm");
        assertThat(level(Factor.LINE_DIAMETER, 0))
                .as("the leader's before the line's")
                .isEqualTo("0.20-0.26 mm");
        assertThat(level(Factor.HOOK_HEIGHT, 0)).isEqualTo("30-60 cm");
        assertThat(level(Factor.HOOK_HEIGHT, 1))
                .as("only where hook and weight are apart")
                .isEqualTo(Factor.NOT_RECORDED);
        assertThat(level(Factor.DEPTH, 0)).isEqualTo("1.5-3 m");
        assertThat(level(Factor.CLARITY, 0)).isEqualTo("0.3-0.9 m");
        assertThat(level(Factor.PAUSE, 0)).isEqualTo("none");
        assertThat(level(Factor.STRUCTURE, 0)).isEqualTo(Factor.NOT_RECORDED);
        assertThat(level(Factor.LIGHT, 0)).as("no position: the sun at 0 N 0 E").isEqualTo("dawn");
    }

    @Test
    void fishAreCountedBySpeciesAndLeastLength() {
        StintTable table = StintTable.of(ledger());
        assertThat(table.fish(null, null)).containsExactly(3, 0, 0);
        assertThat(table.fish("yellow perch", null)).containsExactly(2, 0, 0);
        assertThat(table.fish(null, Length.ofMillimetres(300)))
                .as("no length, no count")
                .containsExactly(1, 0, 0);
        assertThat(table.fish(null, Length.ofMillimetres(301))).containsExactly(0, 0, 0);
        assertThat(table.species()).containsExactly("yellow perch", "largemouth");
    }

    @ParameterizedTest
    @CsvSource({"1, 1 g", "1.22, 1 g", "1.23, 1.5 g", "3, 3.5 g", "11.8, 10 g", "11.9, 14 g", "100, 56 g"})
    void aHeadTakesTheNearestStepOnTheLogScale(double grams, String step) {
        assertThat(Bands.headMass(Mass.ofGrams(grams))).isEqualTo(step);
    }
}
