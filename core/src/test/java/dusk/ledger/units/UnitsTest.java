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
}
