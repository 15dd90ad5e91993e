package dusk.ledger.web.words;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.RodBuilder;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Calibration;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.SetUps;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The record in words, case by case to the exact sentence. */
class WordsTest {
    private static final UnitSystem METRIC = UnitSystem.METRIC;
    private static final UnitSystem US = UnitSystem.US;

    private static Catch fish(
            int count, @Nullable Double mm, @Nullable String how, @Nullable Double grams, @Nullable String massHow) {
        return CatchBuilder.builder()
                .id("f")
                .stintId("s")
                .species("yellow perch")
                .count(count)
                .length(mm == null ? null : Length.ofMillimetres(mm))
                .lengthHow(how)
                .mass(grams == null ? null : Mass.ofGrams(grams))
                .massHow(massHow)
                .build();
    }

    static Stream<Arguments> fish() {
        return Stream.of(
                Arguments.of(fish(1, null, null, null, null), "yellow perch", "yellow perch"),
                Arguments.of(fish(3, null, null, null, null), "3 yellow perch", "3 yellow perch"),
                Arguments.of(fish(1, 240.0, "measured", null, null), "yellow perch 24 cm", "yellow perch 9.45 in"),
                Arguments.of(
                        fish(2, 240.0, "estimated", 180.0, "from_length"),
                        "2 yellow perch 24 cm (estimated), 0.18 kg (from length)",
                        "2 yellow perch 9.45 in (estimated), 0.4 lb (from length)"),
                Arguments.of(fish(1, null, null, 1000.0, "measured"), "yellow perch, 1 kg", "yellow perch, 2.2 lb"));
    }

    @ParameterizedTest
    @MethodSource("fish")
    void aFish(Catch fish, String metric, String us) {
        assertThat(FishWords.of(fish, METRIC)).isEqualTo(metric);
        assertThat(FishWords.of(fish, US)).isEqualTo(us);
    }

    private static Spot spot(@Nullable String label, @Nullable String structure, @Nullable String bottom) {
        return SpotBuilder.builder()
                .id("x")
                .waterId("w")
                .label(label)
                .structure(structure)
                .bottom(bottom)
                .build();
    }

    static Stream<Arguments> places() {
        return Stream.of(
                Arguments.of(spot("Kiln Point", "main point", "rock"), "Kiln Point (main point, rock)"),
                Arguments.of(spot("Kiln Point", null, null), "Kiln Point"),
                Arguments.of(spot("Kiln Point", null, "rock"), "Kiln Point (rock)"),
                Arguments.of(spot(null, "hump", "shell"), "a place kept private (hump, shell)"),
                Arguments.of(spot(null, null, null), "a place kept private"));
    }

    @ParameterizedTest
    @MethodSource("places")
    void aPlace(Spot spot, String words) {
        assertThat(PlaceWords.of(spot)).isEqualTo(words);
    }

    private static final SetUp TEXAS = SetUpBuilder.builder()
            .id("a")
            .rig("texas rig")
            .headMass(Mass.ofGrams(3.5))
            .headMaterial("tungsten")
            .headShape("bullet")
            .plastic("creature")
            .plasticLength(Length.ofMillimetres(100))
            .colour("green pumpkin")
            .colourAccent("none")
            .build();

    @Test
    void aSetUp() {
        assertThat(SetUpWords.of(TEXAS, METRIC))
                .isEqualTo("texas rig, 3.5 g tungsten bullet, creature 10 cm, green pumpkin");
        assertThat(SetUpWords.of(SetUpBuilder.builder().id("b").rig("wacky").build(), METRIC))
                .isEqualTo("wacky");
        SetUp accent = SetUpBuilder.builder(TEXAS)
                .colourAccent("chartreuse")
                .headMass(null)
                .build();
        assertThat(SetUpWords.of(accent, METRIC))
                .isEqualTo("texas rig, tungsten bullet, creature 10 cm, green pumpkin with chartreuse");
    }

    @Test
    void inWhatASetUpDiffers() {
        SetUp other = SetUpBuilder.builder(TEXAS)
                .colour("pearl")
                .headMass(Mass.ofGrams(7))
                .leader(Length.ofMillimetres(300))
                .build();
        assertThat(SetUpWords.changed(TEXAS, other, METRIC))
                .contains("head weight: 3.5 g to 7 g", "colour: green pumpkin to pearl")
                .contains("hook to weight: not recorded to 30 cm");
        assertThat(SetUpWords.changed(TEXAS, TEXAS, METRIC)).isEmpty();
    }

    @Test
    void aRod() {
        Rod rod = RodBuilder.builder()
                .id("r")
                .length(Length.ofMillimetres(2130))
                .power("medium-light")
                .action("moderate")
                .lureMin(Mass.ofGrams(2))
                .lureMax(Mass.ofGrams(12))
                .retrieve(Length.ofMillimetres(700))
                .build();
        assertThat(RodWords.of(rod, METRIC))
                .isEqualTo("2.13 m, medium-light, moderate action, rated 2 g to 12 g, 70 cm a turn");
        assertThat(RodWords.of(
                        RodBuilder.builder().id("r").lureMax(Mass.ofGrams(12)).build(), METRIC))
                .isEqualTo("rated to 12 g");
        assertThat(RodWords.of(RodBuilder.builder().id("r").build(), METRIC)).isEmpty();
    }

    @Test
    void aReading() {
        Reading reading = ReadingBuilder.builder()
                .id("r")
                .tripId("t")
                .at(Instant.EPOCH)
                .waterTemp(Temperature.ofCelsius(9.5))
                .clarity(Length.ofMetres(1.4))
                .sky("overcast")
                .wind(Speed.ofMetresPerSecond(4))
                .levelTrend("falling")
                .tide("flood")
                .forage("not seen")
                .build();
        assertThat(ReadingWords.of(reading, METRIC))
                .containsExactly("water 9.5 °C", "clear to 1.4 m", "overcast", "wind 4 m/s", "level falling", "flood");
        assertThat(ReadingWords.of(
                        ReadingBuilder.builder()
                                .id("r")
                                .tripId("t")
                                .at(Instant.EPOCH)
                                .build(),
                        METRIC))
                .isEmpty();
    }

    private static StintBuilder stint() {
        return StintBuilder.builder()
                .id("s")
                .tripId("t")
                .anglerId("a")
                .setUpId("x")
                .startedAt(Instant.EPOCH)
                .minutes(10);
    }

    @Test
    void aStint() {
        Stint stint = stint().presentation("dead-stick")
                .speed("slow")
                .depth(Length.ofMetres(4))
                .follows(1)
                .bites(3)
                .hooked(2)
                .build();
        assertThat(StintWords.how(stint, METRIC)).isEqualTo("dead-stick, slow, 4 m deep");
        assertThat(StintWords.how(
                        stint().pauseSeconds(2.5).fishDepth(Length.ofMetres(3)).build(), METRIC))
                .isEqualTo("pausing 2.5 s, fish at 3 m");
        assertThat(StintWords.came(stint, 1)).isEqualTo("1 follow, 3 bites, 2 hooked, 1 lost");
        assertThat(StintWords.touched(stint)).containsExactly("1 follow", "3 bites");
        assertThat(StintWords.came(stint().build(), 0)).isEmpty();
        assertThat(StintWords.how(stint().build(), METRIC)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0, 0 stints", "1, 1 stint", "2, 2 stints"})
    void oneOrMany(int count, String words) {
        assertThat(StintWords.count(count, "stint", "stints")).isEqualTo(words);
    }

    @Test
    void fishingThatASetUpHasSeen() {
        assertThat(EffortWords.of(SetUps.Fished.NEVER)).isEqualTo("not fished yet");
        assertThat(EffortWords.of(new SetUps.Fished(9, 12.5, 20)))
                .isEqualTo("12.5 rod-hours in 9 stints: 20 fish, 1.6 an hour as it was fished");
        assertThat(EffortWords.of(new SetUps.Fished(1, 0.5, 0).and(SetUps.Fished.NEVER)))
                .isEqualTo("0.5 rod-hours in 1 stint: 0 fish, 0.0 an hour as it was fished");
    }

    @Test
    void timesAtTheWater() {
        Instant at = Instant.parse("2026-10-03T00:05:00Z");
        ZoneId zone = ZoneId.of("Etc/GMT+1");
        assertThat(TimeText.hour(at, zone)).isEqualTo("23:05");
        assertThat(TimeText.date(at, zone)).isEqualTo("Fri 2 Oct 2026");
        assertThat(TimeText.moment(at, zone)).isEqualTo("Fri 2 Oct 2026, 23:05");
        assertThat(TimeText.input(at, zone)).isEqualTo("2026-10-02T23:05");
    }

    @ParameterizedTest
    @CsvSource({"3.04, 3 m, 10 ft, 3 m, 10 ft", "-0.4, 0 m, 0 ft, 0 m, -1 ft", "12.34, 12.3 m, 40.5 ft, 12 m, 40 ft"})
    void distances(double metres, String metric, String us, String rough, String roughUs) {
        assertThat(DistanceWords.of(metres, METRIC)).isEqualTo(metric);
        assertThat(DistanceWords.of(metres, US)).isEqualTo(us);
        if (metres > 0) {
            assertThat(DistanceWords.round(metres, METRIC)).isEqualTo(rough);
            assertThat(DistanceWords.round(metres, US)).isEqualTo(roughUs);
        }
    }

    @ParameterizedTest
    @CsvSource({"head_mass_g, head weight, Head weight", "leader_mm, hook to weight, Hook to weight", "x, x, X"})
    void fieldsOfASetUp(String column, String word, String label) {
        assertThat(FieldWords.of(column)).isEqualTo(word);
        assertThat(FieldWords.label(column)).isEqualTo(label);
    }

    private static final SetUp JIG = SetUpBuilder.builder()
            .id("j")
            .rig("open jig head")
            .headShape("ball")
            .headMass(Mass.ofGrams(7))
            .headMaterial("lead")
            .plastic("curl-tail grub")
            .plasticLength(Length.ofMillimetres(75))
            .lineDiameter(Length.ofMillimetres(0.2))
            .build();

    private static Typed count(String seconds, String depth) {
        Map<String, String> typed = new HashMap<>();
        typed.put("seconds", seconds);
        typed.put("depth_m", depth);
        return new Typed(typed, METRIC);
    }

    @ParameterizedTest
    @CsvSource({"9, 4", "9 s, 4 m", "9 sec, 400 cm", "'9,0', 4"})
    void aCountIsReadAsItIsCalledOut(String seconds, String depth) {
        assertThat(CountForm.read(JIG, count(seconds, depth), false)).isEqualTo(new Calibration.Drop(9, 4));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0 | 4 | seconds | “0” is not a count. Write seconds, more than 0 and at most 300, like 9.",
                "301 | 4 | seconds | “301” is not a count. Write seconds, more than 0 and at most 300, like 9.",
                "9 | 0 | depth_m | A depth must be above 0 and at most 60 m.",
                "9 | 61 | depth_m | A depth must be above 0 and at most 60 m.",
            })
    void whatIsNoCountIsSaid(String seconds, String depth, String field, String sentence) {
        Typed typed = count(seconds, depth);
        assertThat(CountForm.read(JIG, typed, false)).isNull();
        assertThat(typed.errors()).containsEntry(field, sentence);
    }

    @Test
    void aCountOfWhatCannotBeToldIsOfNoUse() {
        Typed typed = count("9", "4");
        assertThat(CountForm.read(SetUpBuilder.builder().id("b").rig("wacky").build(), typed, false))
                .isNull();
        assertThat(typed.errors())
                .containsEntry("seconds", "How this set-up falls cannot be told, so its drops cannot be used.");
        assertThat(CountForm.words(new Calibration.Drop(9.5, 3), METRIC)).isEqualTo("9.5 s to 3 m");
        assertThat(CountForm.words(new Calibration.Drop(9, 3.048), US)).isEqualTo("9 s to 10 ft");
        assertThat(List.of(CountForm.depthHint(METRIC), CountForm.depthHint(US)))
                .containsExactly("3 m", "10 ft");
        assertThat(CountTable.depths(METRIC)).hasSameSizeAs(CountTable.depths(US));
    }
}
