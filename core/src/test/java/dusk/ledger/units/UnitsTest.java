package dusk.ledger.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class UnitsTest {
    @ParameterizedTest
    @CsvSource({
        "3/8, 10.631071125",
        "3/8 oz, 10.631071125",
        "10g, 10",
        "10 g, 10",
        "10, 10",
        "1 1/4 oz, 35.43690375",
        "2.5, 2.5",
        "'2,5 g', 2.5",
        "1.2 kg, 1200",
        "2 lb, 907.184736",
        ".5oz, 14.1747615",
        "1/16 OZ, 1.7718451875"
    })
    void weightsAreReadAsTheyAreWritten(String typed, double grams) {
        assertThat(Mass.parse(typed, Mass.Unit.GRAM).grams()).isCloseTo(grams, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({
        "10.631071125, OUNCE, 3/8 oz",
        "10.6, OUNCE, 3/8 oz",
        "28.349523, OUNCE, 1 oz",
        "42.5, OUNCE, 1.5 oz",
        "10, GRAM, 10 g",
        "3.54, GRAM, 3.5 g",
        "1240, KILOGRAM, 1.24 kg",
        "453.592368, POUND, 1 lb",
        "1.75, OUNCE, 1/16 oz"
    })
    void weightsAreShownAsTheyAreSold(double grams, Mass.Unit unit, String shown) {
        assertThat(Mass.ofGrams(grams).show(unit)).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource({
        "4\", 101.6",
        "4 in, 101.6",
        "10 cm, 100",
        "10, 100",
        "75mm, 75",
        "1.5 m, 1500",
        "6', 1828.8",
        "3 1/2 in, 88.9",
        "0, 0"
    })
    void lengthsAreReadAsTheyAreWritten(String typed, double millimetres) {
        assertThat(Length.parse(typed, Length.Unit.CENTIMETRE).millimetres()).isCloseTo(millimetres, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"12.5, 12.5", "54F, 12.2222222", "54 °F, 12.2222222", "-1 C, -1", "'12,5', 12.5"})
    void temperaturesAreReadAsTheyAreWritten(String typed, double celsius) {
        assertThat(Temperature.parse(typed, Temperature.Unit.CELSIUS).celsius()).isCloseTo(celsius, within(1e-6));
    }

    @Test
    void speedsAndLineStrengthsAreReadAsTheyAreWritten() {
        assertThat(Speed.parse("18 km/h").metresPerSecond()).isCloseTo(5, within(1e-9));
        assertThat(Speed.parse("10 kn").metresPerSecond()).isCloseTo(5.1444444, within(1e-6));
        assertThat(Force.parse("8 lb", Force.Unit.KILOGRAM_TEST).newtons()).isCloseTo(35.5858, within(1e-4));
        assertThat(Force.parse("4", Force.Unit.KILOGRAM_TEST).show(Force.Unit.POUND_TEST))
                .isEqualTo("8.8 lb");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "heavy", "3/0 oz", "10 stone", "1/2/3", "NaN", "1e3"})
    void whatIsNoWeightIsRefusedWithAnExample(String typed) {
        assertThatThrownBy(() -> Mass.parse(typed, Mass.Unit.GRAM))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage("“" + typed + "” is not a weight. Write it like 10 g or 3/8 oz.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"0", "-3 g"})
    void aWeightIsAboveNothing(String typed) {
        assertThatThrownBy(() -> Mass.parse(typed, Mass.Unit.GRAM)).hasMessageStartingWith("A weight must be above 0");
    }

    @Test
    void valuesOutOfTheirDomainAreRefused() {
        assertThatThrownBy(() -> Mass.ofGrams(Double.NaN)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Length.ofMetres(-1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Temperature.ofCelsius(99)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Bearing(-1)).isInstanceOf(IllegalArgumentException.class);
        assertThat(Bearing.ofDegrees(360)).isEqualTo(new Bearing(0));
        assertThatThrownBy(() -> new Position(91, 0)).hasMessageContaining("latitude");
    }

    @ParameterizedTest
    @CsvSource({
        "7'6\", 2286",
        "7' 6\", 2286",
        "7’6”, 2286",
        "7 ft 6 in, 2286",
        "7-6, 2286",
        "7'6, 2286",
        "6'10\", 2082.8",
        "0'6.5\", 165.1",
        "228 cm, 2280",
        "7', 2133.6",
        "0.11 mm, 0.11"
    })
    void aRodsLengthIsReadAsItIsSold(String typed, double millimetres) {
        assertThat(Length.parse(typed, Length.Unit.INCH).millimetres()).isCloseTo(millimetres, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"2286, 7'6\"", "2133.6, 7'", "2280, 7'6\"", "1980, 6'6\"", "300, 1'"})
    void andShownSo(double millimetres, String shown) {
        assertThat(Length.ofMillimetres(millimetres).feetAndInches()).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource({"0.11, 0.11 mm", "0.3, 0.3 mm", "0.235, 0.24 mm", "9.99, 9.99 mm", "75.04, 75 mm", "12.34, 12.3 mm"})
    void aThinLineKeepsItsHundredths(double millimetres, String shown) {
        assertThat(Length.ofMillimetres(millimetres).show(Length.Unit.MILLIMETRE))
                .isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource({
        "10, MILE_AN_HOUR, 4.4704",
        "10 mph, METRE_A_SECOND, 4.4704",
        "4 m/s, MILE_AN_HOUR, 4",
        "9 knots, MILE_AN_HOUR, 4.63",
        "9, KNOT, 4.63",
        "2, FOOT_A_SECOND, 0.6096",
        "2 ft/s, KNOT, 0.6096"
    })
    void aBareWindIsInThePersonsUnit(String typed, Speed.Unit own, double metresPerSecond) {
        assertThat(Speed.parse(typed, own).metresPerSecond()).isCloseTo(metresPerSecond, within(1e-9));
    }

    @Test
    void aWindIsShownRoundedAsPeopleRound() {
        assertThat(Speed.ofMetresPerSecond(4.2).show(Speed.Unit.MILE_AN_HOUR)).isEqualTo("9 mph");
        assertThat(Speed.ofMetresPerSecond(4.2).show(Speed.Unit.KNOT)).isEqualTo("8.2 kn");
        assertThat(Speed.ofMetresPerSecond(0.4).show(Speed.Unit.FOOT_A_SECOND)).isEqualTo("1.3 ft/s");
        assertThat(Speed.ofMetresPerSecond(4.2).show()).isEqualTo("4.2 m/s");
    }
}
