package dusk.ledger.stints;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
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
        return SetUpBuilder.builder()
                .id(id)
                .rig(rig)
                .headMass(Mass.ofGrams(3.4))
                .plasticLength(Length.ofMillimetres(75))
                .colour("violet")
                .leader(leaderMm == null ? null : Length.ofMillimetres(leaderMm))
                .lineDiameter(Length.ofMillimetres(0.30))
                .leaderDiameter(Length.ofMillimetres(0.20))
                .build();
    }

    private static Reading reading(String id, int minute, @Nullable Double celsius) {
        return ReadingBuilder.builder()
                .id(id)
                .tripId("t1")
                .at(START.plusSeconds(minute * 60L))
                .waterTemp(celsius == null ? null : Temperature.ofCelsius(celsius))
                .clarity(Length.ofMetres(0.3))
                .build();
    }

    private static Stint stint(String id, int minute, String setUpId) {
        return StintBuilder.builder()
                .id(id)
                .tripId("t1")
                .anglerId("a1")
                .setUpId(setUpId)
                .startedAt(START.plusSeconds(minute * 60L))
                .minutes(30)
                .depth(Length.ofMetres(1.5))
                .presentation("hop")
                .speed("slow")
                .pauseSeconds(0.0)
                .bites(3)
                .hooked(3)
                .build();
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
                        CatchBuilder.builder()
                                .id("c1")
                                .stintId("x1")
                                .species("largemouth")
                                .count(1)
                                .length(Length.ofMillimetres(300))
                                .build(),
                        CatchBuilder.builder()
                                .id("c2")
                                .stintId("x1")
                                .species("yellow perch")
                                .count(2)
                                .build()),
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
