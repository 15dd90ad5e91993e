package dusk.ledger.sheets;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Cells as people type them: dates, times, spans, figures, words. */
class CellsAsTypedTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    DAY_FIRST   | 03/04/2024        | 2024-04-03
                    DAY_FIRST   | 3.4.24            | 2024-04-03
                    DAY_FIRST   | 3-4-1998          | 1998-04-03
                    DAY_FIRST   | 3. Mai 2024       | 2024-05-03
                    DAY_FIRST   | Sat 3rd May 2024  | 2024-05-03
                    DAY_FIRST   | 03-Sep-69         | 2069-09-03
                    MONTH_FIRST | 3/4/2024          | 2024-03-04
                    MONTH_FIRST | March 4, 2024     | 2024-03-04
                    MONTH_FIRST | 2024-03-04        | 2024-03-04
                    YEAR_FIRST  | 2024/3/4          | 2024-03-04
                    YEAR_FIRST  | 20240304          | 2024-03-04
                    DAY_FIRST   | 31/02/2024        |
                    MONTH_FIRST | 13/04/2024        |
                    YEAR_FIRST  | 03/04/2024        |
                    DAY_FIRST   | last Tuesday      |
                    DAY_FIRST   | Total             |
                    """)
    void dates(DateForm form, String typed, String date) {
        assertThat(form.read(typed).map(Object::toString).orElse(null)).isEqualTo(date);
    }

    @Test
    void theFormOfDatesIsTheOneThatReadsMost() {
        assertThat(DateForm.among(List.of("03/04/2024", "21/04/2024"), true)).isEqualTo(DateForm.DAY_FIRST);
        assertThat(DateForm.among(List.of("03/04/2024", "04/21/2024"), false)).isEqualTo(DateForm.MONTH_FIRST);
        assertThat(DateForm.among(List.of("2024-04-03"), true)).isEqualTo(DateForm.YEAR_FIRST);
        assertThat(DateForm.among(List.of("03/04/2024"), false)).isEqualTo(DateForm.DAY_FIRST);
        assertThat(DateForm.among(List.of("03/04/2024"), true)).isEqualTo(DateForm.MONTH_FIRST);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    6:30     | 06:30
                    06.05    | 06:05
                    0615     | 06:15
                    6 pm     | 18:00
                    12 am    | 00:00
                    12:10 pm | 12:10
                    18h30    | 18:30
                    ca. 7:15 | 07:15
                    18 Uhr   | 18:00
                    25:10    |
                    noonish  |
                    6.5 fish |
                    """)
    void timesOfDay(String typed, String time) {
        assertThat(Hours.timeOfDay(typed).map(Object::toString).orElse(null)).isEqualTo(time);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    6.5       | false | 390
                    6:30      | false | 390
                    6 h 30    | false | 390
                    6 1/2     | false | 390
                    4 hrs     | false | 240
                    45 min    | false | 45
                    390       | true  | 390
                    all day   | false |
                    """)
    void spansOfTime(String typed, boolean inMinutes, Double minutes) {
        assertThat(Hours.minutes(typed, inMinutes).orElse(null)).isEqualTo(minutes);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    head_mass_g       | 3/8 oz       | g   | false | 10.631 | false
                    head_mass_g       | 3/8          | g   | false | 10.631 | false
                    head_mass_g       | ⅜ oz         | g   | false | 10.631 | false
                    head_mass_g       | 10,5 g       | g   | true  | 10.5   | false
                    length_mm         | 12"          | cm  | false | 304.8  | false
                    length_mm         | 14½          | in  | false | 368.3  | false
                    length_mm         | 14 1/2       | in  | false | 368.3  | false
                    length_mm         | 14-1/2"      | cm  | false | 368.3  | false
                    length_mm         | ~40          | cm  | false | 400    | true
                    length_mm         | 40 est.      | cm  | false | 400    | true
                    length_mm         | 1.205,5 mm   | cm  | true  | 1205.5 | false
                    mass_g            | 4 lb 6 oz    | kg  | false | 1984.5 | false
                    mass_g            | 4-6          | lb  | false | 1984.5 | false
                    mass_g            | 2.5#         | kg  | false | 1134.0 | false
                    mass_g            | 1.2          | kg  | false | 1200   | false
                    mass_g            | 1,250        | g   | false | 1250   | false
                    mass_g            | 1,25         | kg  | true  | 1250   | false
                    water_temp_c      | 68F          | C   | false | 20     | false
                    water_temp_c      | 68 deg F     | C   | false | 20     | false
                    water_temp_c      | 12,5 °C      | F   | true  | 12.5   | false
                    depth_m           | 8-12 ft      | m   | false | 3.048  | true
                    depth_m           | 2 to 4       | m   | false | 3      | true
                    wind_mps          | 10           | mph | false | 4.4704 | false
                    wind_mps          | 5-10 mph     | m/s | false | 3.3528 | true
                    wind_from_deg     | NW           |     | false | 315    | false
                    wind_from_deg     | south west   |     | false | 225    | false
                    clarity_m         | stained      | m   | false | 0.6    | true
                    pause_s           | 10 sec       |     | false | 10     | false
                    """)
    void figures(String column, String typed, String unit, boolean commas, double value, boolean about) {
        Figure figure = Figure.read(column, typed, unit == null ? "" : unit, commas);
        assertThat(figure.value()).isCloseTo(value, within(value * 1e-4 + 1e-9));
        assertThat(figure.about()).isEqualTo(about);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    length_mm     | big one | “big one” is not a length. Write it like 10 cm or 4 in.
                    mass_g        | 4 stone | “4 stone” is not a weight. Write it like 10 g or 3/8 oz.
                    wind_from_deg | up      | “up” is no direction, expected one like SW or 225
                    pause_s       | long    | “long” is not a number, expected one like 12.5
                    """)
    void figuresThatAreNone(String column, String typed, String message) {
        assertThatThrownBy(() -> Figure.read(column, typed, Figure.units(column).isEmpty() ? "" : "g", false))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage(message);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    grn pumpkin        | green pumpkin      | true
                    GreenPumpkin       | green pumpkin      | true
                    Green-Pumpkn       | green pumpkin      | true
                    GP                 | green pumpkin      | true
                    pumpkin green      | green pumpkin      | true
                    black/blue         | black-blue         | true
                    Blk                | black              | true
                    watermellon        | watermelon         | true
                    Glow-Bright        | glow bright        | true
                    watermelon red     | watermelon         | false
                    pink               |                    |
                    """)
    void coloursInManySpellings(String typed, String word, Boolean sure) {
        var taken = new WordGuess(dusk.ledger.vocabulary.Words.of("colour"))
                .of(typed)
                .filter(WordGuess.Guess::sure)
                .map(WordGuess.Guess::word);
        assertThat(taken.orElse(null)).isEqualTo(Boolean.TRUE.equals(sure) ? word : null);
    }

    @ParameterizedTest
    @CsvSource({
        "LMB, largemouth, true",
        "Largemouth Bass, largemouth, true",
        "perch, yellow perch, false",
        "smalmouth, smallmouth, true",
        "Walleye, walleye, true"
    })
    void speciesInManySpellings(String typed, String word, boolean sure) {
        assertThat(new WordGuess(dusk.ledger.vocabulary.Words.of("species")).of(typed))
                .contains(new WordGuess.Guess(word, sure));
    }
}
