package dusk.ledger.vocabulary;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.units.UnitSystem;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class BandWordsTest {
    private static final BandWords US = BandWords.of(UnitSystem.US);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "under 1.5 m | under 5 ft",
                "1.5-3 m | 5 to 10 ft",
                "3-6 m | 10 to 20 ft",
                "6-10 m | 20 to 33 ft",
                "10 m and over | 33 ft and over",
                "under 0.3 m | under 1 ft",
                "0.3-0.9 m | 1 to 3 ft",
                "4 m and over | 13 ft and over",
                "calm under 2 | calm, under 4 mph",
                "fresh 5-9 | fresh, 11 to 20 mph",
                "strong 9 and over | strong, 20 mph and over",
                "still under 0.05 | still, under 0.2 ft/s",
                "steady 0.3-0.7 | steady, 1 to 2.3 ft/s",
                "strong 0.7 and over | strong, 2.3 ft/s and over",
                "under 7 C | under 45 °F",
                "7-10 C | 45 to 50 °F",
                "25 C and over | 77 °F and over",
                "under 50 mm | under 2 in",
                "75-100 mm | 3 to 4 in",
                "150 mm and over | 6 in and over",
                "30-60 cm | 12 to 24 in",
                "under 0.6 m | under 2 ft",
                "2 m and over | 7 ft and over",
                "slow under 0.6 m a turn | slow, under 24 in a turn",
                "middling 0.6-0.75 | middling, 24 to 30 in a turn",
                "fast 0.75 and over | fast, 30 in a turn and over",
                "3.5 g | 1/8 oz",
                "28 g | 1 oz",
                "none | none",
                "dusk | dusk",
                "0.20-0.26 mm | 0.20-0.26 mm",
                "5-15 s | 5-15 s"
            })
    void aBandIsSaidAsPeopleRound(String band, String said) {
        assertThat(US.of(band)).isEqualTo(said);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "calm under 2 | calm, under 4 kn",
                "fresh 5-9 | fresh, 10 to 17 kn",
                "slow 0.05-0.3 | slow, 0.1 to 0.6 kn",
                "strong 0.7 and over | strong, 1.4 kn and over",
                "1.5-3 m | 1.5-3 m"
            })
    void onTidalWaterWhatFlowsAndBlowsIsSaidInKnots(String band, String said) {
        assertThat(BandWords.of(UnitSystem.METRIC.inKnots()).of(band)).isEqualTo(said);
    }

    @Test
    void bandsAreFoundInASentenceAndNothingElseIs() {
        assertThat(
                        US.of(
                                "A 3.5 g head takes 2.1 times as many fish in water of 7-10 C in 1.5-3 m of water as another head weight."))
                .isEqualTo(
                        "A 1/8 oz head takes 2.1 times as many fish in water of 45 to 50 °F in 5 to 10 ft of water as another"
                                + " head weight.");
        assertThat(US.of("13.5 g and 1.5-3 more, from 307 rod-hours (0.59 to 0.91)"))
                .isEqualTo("13.5 g and 1.5-3 more, from 307 rod-hours (0.59 to 0.91)");
    }

    @ParameterizedTest
    @EnumSource
    void inMetricUnitsEveryBandKeepsItsNameAndNoTwoAreSaidAlike(Factor factor) {
        List<String> bands = factor.order();
        assertThat(bands.stream().map(BandWords.of(UnitSystem.METRIC)::of).toList())
                .isEqualTo(bands);
        assertThat(Set.copyOf(bands.stream().map(US::of).toList())).hasSameSizeAs(bands);
    }

    /** What is measured in metres, millimetres, degrees or grams is left in none of them. */
    @Test
    void noBandThatIsMeasuredIsLeftInMetricUnits() {
        assertThat(Arrays.stream(Factor.values())
                        .filter(f -> f != Factor.LINE_DIAMETER)
                        .flatMap(f -> f.order().stream())
                        .map(US::of)
                        .toList())
                .noneMatch(said -> said.matches(".*\\d ?(m|mm|cm|C|g|m/s)( .*)?"));
    }
}
