package dusk.ledger.web.form;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedTest {
    private static Typed typed(String value) {
        return new Typed(Map.of("x", value), UnitSystem.METRIC);
    }

    private static Typed us(String value) {
        return new Typed(Map.of("x", value), UnitSystem.US);
    }

    @ParameterizedTest
    @CsvSource({"2.5, 2.5", "2.5 m, 2.5", "250 cm, 2.5", "' 3 ', 3", "0, 0", "10 ft, 3.048"})
    void aDepthIsInThePersonsUnitUnlessItSaysItsOwn(String text, double metres) {
        assertThat(typed(text).depth("x"))
                .isNotNull()
                .extracting(Length::metres)
                .isEqualTo(metres);
    }

    @Test
    void aBareDepthOfSomebodyWhoReadsFeetIsInFeet() {
        assertThat(us("10").depth("x")).isEqualTo(Length.ofMillimetres(3048));
        assertThat(us("4").length("x")).isEqualTo(Length.ofMillimetres(101.6));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "metres | -1 | A length must be 0 or more, not “-1”.",
                "metres | 31 | Write 0.5 m to 30 m, not “31”.",
                "metres | deep | “deep” is not a length. Write it like 2.5 m or 8 ft.",
                "speed | 9 m/s | Write 0 m/s to 3 m/s, not “9 m/s”.",
                "number | 200 | Write 10 s to 180 s, not “200”.",
                "number | soon | “soon” is not a number. Write it like 12.5.",
                "number | NaN | “NaN” is not a number. Write it like 12.5.",
                "number | 1e999 | “1e999” is not a number. Write it like 12.5.",
                "whole | 2.5 | “2.5” is not a whole number. Write it like 3.",
                "whole | 9 | Write a whole number from 1 to 8, not “9”.",
                "whole | 99999999999 | “99999999999” is not a whole number. Write it like 3.",
                "head | 0 | A weight must be above 0, not “0”.",
                "head | 600 | A head weighs more than 0 and at most 500 g.",
                "date | 31.5.2026 | “31.5.2026” is not a date. Write it like 2026-05-01.",
                "date | 2026-02-30 | “2026-02-30” is not a date. Write it like 2026-05-01.",
                "day | spring | “spring” is not a day of the year. Write it like 15 Mar.",
                "time | 25:00 | “25:00” is not a time of day. Write it like 17:30, or 17.",
            })
    void whatCannotBeReadIsSaidAtItsField(String what, String text, String sentence) {
        Typed typed = typed(text);
        Object read = switch (what) {
            case "metres" -> typed.metres("x", 0.5, 30);
            case "speed" -> typed.speed("x", 0, 3);
            case "number" -> typed.number("x", 10, 180, " s");
            case "whole" -> typed.whole("x", 1, 8);
            case "head" -> typed.headMass("x");
            case "date" -> typed.date("x");
            case "day" -> typed.day("x");
            default -> typed.time("x");
        };
        assertThat(read).isNull();
        assertThat(typed.errors()).containsExactly(Map.entry("x", sentence));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "  "})
    void anEmptyFieldIsNothingAndNoFault(String text) {
        Typed typed = typed(text);
        assertThat(typed.depth("x")).isNull();
        assertThat(typed.whole("x", 1, 2)).isNull();
        assertThat(typed.time("x")).isNull();
        assertThat(typed.textOrNull("x")).isNull();
        assertThat(typed.metres("nowhere", 0, 1)).isNull();
        assertThat(typed.errors()).isEmpty();
        assertThat(typed.required("x", "Say it.")).isEmpty();
        assertThat(typed.errors()).containsEntry("x", "Say it.");
    }

    @Test
    void bothEndsAreAllowedAndAUnitMayStandBehind() {
        assertThat(typed("10 s").number("x", 10, 180, " s")).isEqualTo(10);
        assertThat(typed("180").number("x", 10, 180, " s")).isEqualTo(180);
        assertThat(typed("12,5").number("x", 0, 20, "°")).isEqualTo(12.5);
        assertThat(typed("8").whole("x", 1, 8)).isEqualTo(8);
        assertThat(typed("1/4 oz").headMass("x").grams()).isBetween(7.08, 7.09);
    }

    @Test
    void daysAndDatesAreReadAsTheyAreShown() {
        MonthDay day = MonthDay.of(3, 15);
        assertThat(typed(Typed.DAY.format(day)).day("x")).isEqualTo(day);
        assertThat(typed("2026-05-01").date("x")).isEqualTo(LocalDate.of(2026, 5, 1));
    }

    @Test
    void theFirstWordOnAFieldStands() {
        Typed typed = typed("a");
        typed.wrong("x", "first");
        typed.wrong("x", "second");
        assertThat(typed.errors()).containsExactly(Map.entry("x", "first"));
    }

    @Test
    void whatAnIdNamesIsFoundOrSaidToBeMissing() {
        Typed typed = typed("b");
        Map<String, Integer> things = Map.of("b", 2);
        assertThat(typed.known("x", things::get, "Choose one.")).isEqualTo(2);
        assertThat(typed("c").known("x", things::get, "Choose one.")).isNull();
        Typed none = typed("c");
        none.known("x", things::get, "Choose one.");
        assertThat(none.errors()).containsEntry("x", "Choose one.");
    }

    @Test
    void ticksThatWereNeverOfferedArePassedOver() {
        assertThat(Typed.ticks(List.of("0", "3", "x", "-1", "7", "999999999"), 7))
                .containsExactly(0, 3);
        assertThat(Typed.or(null, () -> 5)).isEqualTo(5);
        assertThat(Typed.or(4, () -> 5)).isEqualTo(4);
        assertThat(typed("on").ticked("x")).isTrue();
        assertThat(typed("on").ticked("y")).isFalse();
    }
}
