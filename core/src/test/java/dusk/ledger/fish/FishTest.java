package dusk.ledger.fish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FishTest {
    private static Catch fish(String species, double lengthMm, double massG, String how) {
        return CatchBuilder.builder()
                .id("c")
                .stintId("s")
                .species(species)
                .count(1)
                .length(Length.ofMillimetres(lengthMm))
                .lengthHow(how)
                .mass(Mass.ofGrams(massG))
                .massHow(how)
                .build();
    }

    /** 10^(a + b log10 mm), worked by hand for 400 mm. */
    @ParameterizedTest
    @CsvSource({"largemouth, 974.0", "smallmouth, 994.5", "yellow perch, 1044.0", "walleye, 663.0"})
    void standardWeightsAreThoseOfTheLiterature(String species, double grams) {
        Mass mass = LengthMass.of(species, List.of()).orElseThrow().mass(Length.ofMillimetres(400));
        assertThat(mass.grams()).isCloseTo(grams, within(grams * 0.002));
    }

    @Test
    void tenMeasuredFishGiveAClubItsOwnFitAndNineDoNot() {
        List<Catch> club = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            double length = 300 + 40 * i;
            club.add(fish("pike", length, Math.pow(10, -5.2 + 3.05 * Math.log10(length)), "measured"));
            club.add(fish("pike", length, 5000, "estimated"));
        }
        assertThat(LengthMass.of("pike", club)).isEmpty();
        club.add(fish("pike", 700, Math.pow(10, -5.2 + 3.05 * Math.log10(700)), "measured"));
        LengthMass fit = LengthMass.of("pike", club).orElseThrow();
        assertThat(fit.intercept()).isCloseTo(-5.2, within(1e-9));
        assertThat(fit.slope()).isCloseTo(3.05, within(1e-9));
        assertThat(fit.fish()).isEqualTo(10);
        assertThat(fit.condition(Length.ofMillimetres(500), fit.mass(Length.ofMillimetres(500))))
                .isCloseTo(100, within(1e-9));
        List<Catch> alike =
                club.stream().map(f -> fish("flounder", 300, 400, "measured")).toList();
        assertThat(LengthMass.of("flounder", alike))
                .as("no slope from one length")
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "300, 06-01, 0, SHORT",
        "380, 06-01, 0, ",
        "450, 06-01, 0, SLOT",
        "520, 06-01, 3, BAG",
        "380, 12-31, 0, CLOSED",
        "380, 01-15, 0, CLOSED",
        "380, 03-16, 0, ",
        "700, 03-16, 0, ",
        "701, 03-16, 0, LONG",
        "300, 03-15, 3, CLOSED SHORT BAG",
        ", 06-01, 0, "
    })
    void aRuleSaysWhatToLookUp(Double lengthMm, String day, int kept, String about) {
        WaterRule rule = new WaterRule(
                "pike",
                Length.ofMillimetres(350),
                Length.ofMillimetres(700),
                Length.ofMillimetres(400),
                Length.ofMillimetres(500),
                MonthDay.of(12, 1),
                MonthDay.of(3, 15),
                2);
        List<WaterRule.About> said = rule.cautions(
                lengthMm == null ? null : Length.ofMillimetres(lengthMm), MonthDay.parse("--" + day), kept);
        assertThat(String.join(" ", said.stream().map(Enum::name).toList())).isEqualTo(about == null ? "" : about);
    }

    private static final List<String> SPECIES = List.of("largemouth", "yellow perch", "pike", "smallmouth");

    @Test
    void aNotebooksLineIsUnderstood() {
        Shorthand all = Shorthand.read(
                "2 bites, l41; 3 yellow perch, 1 lost, Pike 62.5, 1 follow", SPECIES, Length.Unit.CENTIMETRE);
        assertThat(all)
                .isEqualTo(new Shorthand(
                        1,
                        2,
                        1,
                        List.of(
                                new Shorthand.Fish(1, "largemouth", Length.ofMillimetres(410)),
                                new Shorthand.Fish(3, "yellow perch", null),
                                new Shorthand.Fish(1, "pike", Length.ofMillimetres(625)))));
        assertThat(all.landed()).isEqualTo(5);
        assertThat(Shorthand.read("2l", SPECIES, Length.Unit.INCH).fish())
                .containsExactly(new Shorthand.Fish(2, "largemouth", null));
        assertThat(Shorthand.read("s 16 in", SPECIES, Length.Unit.CENTIMETRE).fish())
                .containsExactly(new Shorthand.Fish(1, "smallmouth", Length.ofMillimetres(406.4)));
        for (String blank : List.of("", "0", "blank", "-")) {
            assertThat(Shorthand.read(blank, SPECIES, Length.Unit.INCH)).isEqualTo(new Shorthand(0, 0, 0, List.of()));
        }
    }

    @ParameterizedTest
    @CsvSource({"trout", "41", "0 pike", "pike pike 3", "999 pike", "2 bites 4"})
    void whatIsNotUnderstoodIsSaidWithWhatWouldBe(String line) {
        assertThatThrownBy(() -> Shorthand.read(line, SPECIES, Length.Unit.CENTIMETRE))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("rite");
    }

    @Test
    void aSpeciesOutsideTheListIsTakenInQuotesAndASlipIsNot() {
        assertThat(Shorthand.read("2 \"red drum\" 55, l41", SPECIES, Length.Unit.CENTIMETRE)
                        .fish())
                .containsExactly(
                        new Shorthand.Fish(2, "red drum", Length.ofMillimetres(550)),
                        new Shorthand.Fish(1, "largemouth", Length.ofMillimetres(410)));
        assertThat(Shorthand.read("“zander” 16\"", SPECIES, Length.Unit.INCH).fish())
                .containsExactly(new Shorthand.Fish(1, "zander", Length.ofMillimetres(406.4)));
        assertThatThrownBy(() -> Shorthand.read("lagremouth 41", SPECIES, Length.Unit.CENTIMETRE))
                .hasMessage("“lagremouth” in “lagremouth 41” is no species of the list. Mend it, or write a new one in"
                        + " quotes: \"lagremouth\".");
    }
}
