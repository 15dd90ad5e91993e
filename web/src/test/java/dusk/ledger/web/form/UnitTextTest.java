package dusk.ledger.web.form;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.RodBuilder;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Every column of the record, there and back, in every system of units. */
class UnitTextTest {
    /** A system that has the one unit's neighbour of each: what is typed bare is in the reader's own. */
    private static final UnitSystem MIXED = new UnitSystem(
            Mass.Unit.OUNCE,
            Mass.Unit.KILOGRAM,
            Length.Unit.INCH,
            Length.Unit.METRE,
            dusk.ledger.units.Temperature.Unit.FAHRENHEIT,
            dusk.ledger.units.Force.Unit.KILOGRAM_TEST,
            dusk.ledger.units.Speed.Unit.MILE_AN_HOUR,
            dusk.ledger.units.Speed.Unit.KNOT);

    static Stream<Arguments> columns() {
        return Stream.of(UnitSystem.METRIC, UnitSystem.US, MIXED)
                .flatMap(units -> LedgerFormat.ALL.stream()
                        .flatMap(table -> table.columns().stream().map(column -> Arguments.of(units, column))));
    }

    private static List<Object> values(FileColumn<?> column) {
        return switch (column.kind()) {
            case TEXT -> List.of("a word", "“quoted”, with a comma");
            case YES_NO -> List.of(true, false);
            case TIME -> List.of(Instant.parse("2026-10-03T15:20:00Z"));
            case WHOLE -> List.of(0L, 3L, 40L);
            case NUMBER -> {
                // a fish and a line of less than a hundred grams are shown as nothing
                double least = column.name().endsWith("_n") || column.name().equals("mass_g") ? 100 : 1;
                yield List.of(0.25 * least, least, 3.5 * least, 12.0 * least, 38.0 * least);
            }
        };
    }

    /** What was written is read again, and written anew it is the same text: it does not drift by being looked at. */
    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("columns")
    void whatIsWrittenIsReadAndWrittenTheSame(UnitSystem units, FileColumn<?> column) {
        UnitText text = new UnitText(units, ZoneId.of("Etc/GMT+1"));
        for (Object value : values(column)) {
            String written = text.write(column, value);
            Object read = text.read(column, written);
            assertThat(text.write(column, read)).isEqualTo(written);
            if (!(value instanceof Double)) {
                assertThat(read).isEqualTo(value);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "setups, head_mass_g, 10, 10 g, 0.35 oz",
        "setups, plastic_length_mm, 100, 10 cm, 3.94 in",
        "setups, line_diameter_mm, 0.2, 0.2 mm, 0.2 mm",
        "stints, depth_m, 3.048, 3.05 m, 10 ft",
        "catches, mass_g, 2500, 2.5 kg, 5.51 lb",
        "readings, water_temp_c, 12.5, 12.5 °C, 54.5 °F",
        "readings, wind_mps, 4.2, 4.2 m/s, 9 mph",
        "readings, current_mps, 0.3, 0.3 m/s, 1 ft/s",
        "setups, leader_diameter_mm, 0.11, 0.11 mm, 0.11 mm",
    })
    void aColumnIsWrittenInTheUnitOfItsReader(String file, String name, double value, String metric, String us) {
        FileColumn<?> column = column(file, name);
        assertThat(new UnitText(UnitSystem.METRIC, ZoneOffset.UTC).write(column, value))
                .isEqualTo(metric);
        assertThat(new UnitText(UnitSystem.US, ZoneOffset.UTC).write(column, value))
                .isEqualTo(us);
    }

    @ParameterizedTest
    @CsvSource({"6.2:1 x 11 cm, 682", "6.2:1 × 110 mm, 682", "7:1 with 10 cm, 700", "'5,1:1 12 cm', 612", "70 cm, 700"})
    void aReelsRatioCountsWithItsSpool(String typed, double millimetres) {
        FileColumn<?> retrieve = column("rods", "retrieve_mm");
        assertThat((Double) new UnitText(UnitSystem.METRIC, ZoneOffset.UTC).read(retrieve, "rods", typed))
                .isCloseTo(millimetres, org.assertj.core.api.Assertions.within(1e-9));
        assertThatThrownBy(() -> new UnitText(UnitSystem.US, ZoneOffset.UTC).read(retrieve, "rods", "6.2:1"))
                .hasMessage(
                        "“6.2:1” alone does not tell. Write what one turn of the spool takes in too, like 6.2:1 x 11"
                                + " cm.");
    }

    @Test
    void yesAndNoAreWordsOnAForm() {
        FileColumn<?> pegged = column("setups", "pegged");
        UnitText text = new UnitText(UnitSystem.METRIC, ZoneOffset.UTC);
        assertThat(text.read(pegged, "setups", "yes")).isEqualTo(true);
        assertThat(text.read(pegged, "setups", "no")).isEqualTo(false);
        assertThat(text.write(pegged, true)).isEqualTo("yes");
        assertThatThrownBy(() -> text.read(pegged, "setups", "perhaps")).hasMessage("Write yes or no, not “perhaps”.");
    }

    private static FileColumn<?> column(String file, String name) {
        return LedgerFormat.ALL.stream()
                .filter(table -> table.name().equals(file))
                .flatMap((Table<?> table) -> table.columns().stream().map(c -> (FileColumn<?>) c))
                .filter(c -> c.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aTimeIsTheWatersAndMayComeWithItsOffset() {
        UnitText text = new UnitText(UnitSystem.METRIC, ZoneId.of("Etc/GMT+1"));
        FileColumn<?> at = column("readings", "at");
        assertThat(text.read(at, "2026-10-03T14:20")).isEqualTo(Instant.parse("2026-10-03T15:20:00Z"));
        assertThat(text.read(at, "2026-10-03T14:20Z")).isEqualTo(Instant.parse("2026-10-03T14:20:00Z"));
        assertThat(text.read(at, "2026-10-03T14:20+02:00")).isEqualTo(Instant.parse("2026-10-03T12:20:00Z"));
        assertThatThrownBy(() -> text.read(at, "half past two"))
                .hasMessage("“half past two” is not a date and time. Write it like 2026-05-01T18:30.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "setups | head_mass_g | 0.01 g | Write more than 0 and at most 2000 g, not “0.01 g”. | Write more than 0 and at most 70.55 oz, not “0.01 g”.",
                "setups | head_mass_g | 3 kg | Write more than 0 and at most 2000 g, not “3 kg”. | Write more than 0 and at most 70.55 oz, not “3 kg”.",
                "stints | depth_m | 501 m | Write 0 m to 500 m, not “501 m”. | Write 0 ft to 1640.4 ft, not “501 m”.",
                "stints | minutes | 1441 | Write more than 0 and at most 1440, not “1441”. | =",
                "stints | bites | -1 | Write 0 to 10000, not “-1”. | Write 0 to 10000, not “-1”.",
                "catches | length_mm | 7 m | Write more than 0 and at most 600 cm, not “7 m”. | Write more than 0 and at most 236.22 in, not “7 m”.",
                "rods | length_mm | 9 cm | Write 10 cm to 2000 cm, not “9 cm”. | Write 3.94 in to 787.4 in, not “9 cm”.",
                "readings | water_temp_c | 50 C | Write -2 °C to 45 °C, not “50 C”. | Write 28.4 °F to 113 °F, not “50 C”.",
                "trips | started_at | 1899-12-31T23:00 | “1899-12-31T23:00” is not a year anyone logs. Write one from 1900 to 2099. | =",
            })
    void whatCannotBeIsRefusedInTheUnitOfItsReader(String file, String name, String typed, String metric, String us) {
        FileColumn<?> column = column(file, name);
        assertThatThrownBy(() -> new UnitText(UnitSystem.METRIC, ZoneOffset.UTC).read(column, file, typed))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage(metric);
        assertThatThrownBy(() -> new UnitText(UnitSystem.US, ZoneOffset.UTC).read(column, file, typed))
                .hasMessage(us.equals("=") ? metric : us);
    }

    private static RecordForm<Rod> rods(UnitSystem units) {
        return new RecordForm<>(LedgerFormat.RODS, new UnitText(units, ZoneOffset.UTC))
                .ask("name", "Name", "")
                .ask("length_mm", "Length", "2.1 m")
                .askMore("lure_max_g", "Rated to", "");
    }

    @Test
    void aRecordKeepsTheExactValueOfAFieldLeftAsItWasShown() {
        Rod exact = RodBuilder.builder()
                .id("r")
                .name("stout")
                .length(Length.ofMillimetres(2133.333))
                .lureMax(Mass.ofGrams(17.77))
                .build();
        for (UnitSystem units : List.of(UnitSystem.METRIC, UnitSystem.US, MIXED)) {
            RecordForm<Rod> form = rods(units);
            Map<String, String> typed = form.typed(exact);
            typed.put("name", "renamed");
            Rod read = form.read(typed, Map.of(), exact);
            assertThat(read.length()).isEqualTo(exact.length());
            assertThat(read.lureMax()).isEqualTo(exact.lureMax());
            assertThat(read.name()).isEqualTo("renamed");
        }
    }

    @Test
    void aFieldThatIsEmptiedIsEmptyAndOneThatIsNotAskedStays() {
        Rod before = RodBuilder.builder()
                .id("r")
                .name("stout")
                .length(Length.ofMillimetres(2100))
                .build();
        Rod read = rods(UnitSystem.METRIC).read(Map.of("length_mm", " "), Map.of(), before);
        assertThat(read.length()).isNull();
        assertThat(read.name()).isEqualTo("stout");
    }

    @Test
    void everyFaultIsSaidAtOnceAtItsField() {
        assertThatThrownBy(() -> rods(UnitSystem.METRIC)
                        .read(Map.of("length_mm", "long", "lure_max_g", "heavy"), Map.of(), null))
                .isInstanceOfSatisfying(
                        Invalid.class,
                        e -> assertThat(e.problems())
                                .extracting(Invalid.Problem::column)
                                .containsExactlyInAnyOrder("rod_id", "length_mm", "lure_max_g"));
    }

    @Test
    void aFaultOpensTheFieldsThatStandFoldedAway() {
        Form head = new Form("rod-form", "New rod", "/rods", "Save", "/", List.of(), List.of());
        Form form = rods(UnitSystem.METRIC)
                .form(head, Map.of("lure_max_g", "heavy"), List.of(new Invalid.Problem("lure_max_g", "too much")));
        assertThat(form.wrong()).isTrue();
        assertThat(form.moreWrong()).isTrue();
        assertThat(form.more())
                .extracting(FormField::value, FormField::error)
                .containsExactly(org.assertj.core.api.Assertions.tuple("heavy", "Too much."));
        assertThat(rods(UnitSystem.METRIC).form(head, Map.of(), List.of()).wrong())
                .isFalse();
    }
}
