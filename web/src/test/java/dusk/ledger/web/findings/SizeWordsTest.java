package dusk.ledger.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.evidence.Headline;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.SizeShift;
import dusk.ledger.evidence.Sizes;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Factor;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SizeWordsTest {
    private static SizeShift shift(@Nullable Double mm, @Nullable Double low, @Nullable Double high) {
        return new SizeShift(12, 14, 16, mm == null ? null : 1.0, mm == null ? null : 0.02, mm, low, high);
    }

    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            delimiter = '|',
            value = {
                "21  | 4   | 38  | metric | 21 mm longer (4 to 38)",
                "-25 | -57 | -3  | metric | 25 mm shorter (3 to 57)",
                "6   | -26 | 49  | metric | 6 mm longer (26 shorter to 49 longer)",
                "-13 | -44 | 18  | metric | 13 mm shorter (44 shorter to 18 longer)",
                "0   | -9  | 9   | metric | 0 mm longer (9 shorter to 9 longer)",
                "21  | 4   | 38  | us     | 0.8 in longer (0.2 to 1.5)",
                "-25 | -57 | 3   | us     | 1 in shorter (2.2 shorter to 0.1 longer)",
                "21  | -   | 38  | metric | 21 mm longer (from too few to bound it)",
                "-   | -   | -   | metric | not enough measured fish to say"
            })
    void aShiftIsSaidAsAPersonWould(Double mm, Double low, Double high, String units, String said) {
        assertThat(SizeWords.shift(shift(mm, low, high), units.equals("us") ? UnitSystem.US : UnitSystem.METRIC))
                .isEqualTo(said);
    }

    private static Headline headline(Sizes.Told... told) {
        return SizeWords.headline(
                new Sizes(List.of(told)), new Question(Factor.COLOUR, Map.of(), "pike", null), UnitSystem.METRIC);
    }

    @Test
    void aSureOneLeadsAndOthersAreNamedBehindIt() {
        Headline headline = headline(
                new Sizes.Told("smoke", shift(-30.0, -50.0, -10.0), 0.01),
                new Sizes.Told("violet", shift(40.0, 12.0, 70.0), 0.03));
        assertThat(headline.sentence())
                .isEqualTo("On the same trips and in the same hands pike on violet run 40 mm longer (12 to 70) than on"
                        + " the rest, from 12 such trips.");
        assertThat(headline.points()).containsExactly("On smoke they run 30 mm shorter (10 to 50), as surely.");
    }

    @Test
    void aRangeAcrossNothingOrAQThatIsTooLargeLeadsNowhere() {
        assertThat(headline(new Sizes.Told("violet", shift(40.0, 12.0, 70.0), 0.06))
                        .sentence())
                .isEqualTo("On the same trips and in the same hands no colour is sure to take longer pike.");
        assertThat(headline(new Sizes.Told("violet", shift(40.0, -1.0, 70.0), 0.01))
                        .points())
                .containsExactly("Nearest to it comes violet: 40 mm longer (1 shorter to 70 longer), from 12 trips in"
                        + " the same hands.");
    }

    @Test
    void tooFewMeasuredFishAreSaidSoWithWhatWouldHelp() {
        Headline headline = headline(new Sizes.Told("violet", shift(null, null, null), 1));
        assertThat(headline.sentence())
                .isEqualTo("Not enough measured pike to say: no colour has them beside another on three trips of one"
                        + " angler.");
        assertThat(headline.points()).singleElement().asString().contains("measure the small ones too");
    }
}
