package dusk.ledger.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.Cells;
import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Bounds;
import dusk.ledger.vocabulary.Words;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A package we made is one we take, with the same numbers in it, over the whole range of each column. */
class NumbersThereAndBackTest {
    private static final int DRAWN = 2000;

    private static Stream<Arguments> numbers() {
        return LedgerFormat.ALL.stream()
                .flatMap(table -> table.columns().stream()
                        .filter(c -> c.kind() == FileColumn.Kind.NUMBER
                                && Bounds.of(c.name(), table.name()).isPresent()
                                && !c.name().endsWith("itude"))
                        .map(c -> Arguments.of(table, c)));
    }

    private static <T> T record(Table<T> table, String column, Object value) {
        Cells cells = new Cells();
        for (FileColumn<T> one : table.columns()) {
            List<String> closed = Words.closed(one.name(), table.name());
            if (one.required() && !one.name().equals(column)) {
                cells.with(
                        one.name(),
                        switch (one.kind()) {
                            case TEXT -> closed.isEmpty() ? "a" + one.name() : closed.get(0);
                            case NUMBER -> 30.0;
                            case TIME -> Instant.parse("2026-05-01T06:00:00Z");
                            case WHOLE -> 1L;
                            case YES_NO -> true;
                        });
            }
        }
        if (column.startsWith("slot_")) {
            cells.with("slot_from_mm", 5.0).with("slot_to_mm", 6000.0);
        }
        cells.with(column, value);
        return table.read(cells);
    }

    private static <T> String written(Table<T> table, FileColumn<T> column, double value) {
        return CellText.write(column.value().apply(record(table, column.name(), value)));
    }

    private static <T> double read(FileColumn<T> column, String text) {
        Cells cells = new Cells();
        CellText.read(column, text, cells);
        return (Double) cells.value(column.name());
    }

    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("numbers")
    <T> void aNumberIsWrittenAsItIsAndTakenAgain(Table<T> table, FileColumn<T> column) {
        Bounds.Range range = Bounds.of(column.name(), table.name()).orElseThrow();
        Random lot = new Random(column.name().hashCode());
        for (int i = 0; i < DRAWN; i++) {
            // any number at all, as one of a person with few digits, and the ends
            double drawn = range.least() + lot.nextDouble() * (range.most() - range.least());
            double value =
                    i == 0 ? range.least() : i == 1 ? range.most() : i % 2 == 0 ? drawn : Math.rint(drawn * 100) / 100;
            if (!range.holds(value)) {
                continue;
            }
            String text = written(table, column, value);
            double back = read(column, text);
            assertThat(range.holds(back)).as(text + " is taken").isTrue();
            if (i % 2 == 1) {
                assertThat(back).as("few digits, as " + text).isEqualTo(value);
            }
            String again = written(table, column, back);
            assertThat(Math.abs(read(column, again) - back)).as(text).isLessThanOrEqualTo(Math.ulp(back));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "0.1, 0.1",
        "10, 10",
        "2133.7, 2133.7",
        "0.30000000000000004, 0.30000000000000004",
        "1e-7, 0.0000001",
        "0, 0"
    })
    void aNumberIsTheShortestThatReadsBackEqual(double value, String text) {
        assertThat(CellText.write(value)).isEqualTo(text);
        assertThat(Double.parseDouble(text)).isEqualTo(value);
    }

    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+44", "-calm", "@home", "'=x", "''@y", "=HYPERLINK(\"x\")"})
    void whatASpreadsheetWouldRunIsWrittenAsATextAndReadAsItWas(String note) {
        FileColumn<?> column = LedgerFormat.TRIPS.columns().stream()
                .filter(c -> c.name().equals("note"))
                .findFirst()
                .orElseThrow();
        String written = CellText.write(note);
        assertThat(written).startsWith("'").endsWith(note);
        Cells cells = new Cells();
        CellText.read(column, written, cells);
        assertThat(cells.value("note")).isEqualTo(note);
    }

    @ParameterizedTest
    @ValueSource(strings = {"calm", "'calm", "a=b", "3-4 m", "", "don't"})
    void otherTextsAreWrittenAsTheyAre(String note) {
        assertThat(CellText.write(note)).isEqualTo(note);
    }
}
