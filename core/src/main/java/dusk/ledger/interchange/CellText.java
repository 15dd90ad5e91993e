package dusk.ledger.interchange;

import dusk.ledger.format.Cells;
import dusk.ledger.format.FileColumn;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Cells as text and back. */
final class CellText {
    private static final Pattern NUMBER = Pattern.compile("[+-]?(\\d+(\\.\\d*)?|\\.\\d+)([eE][+-]?\\d{1,2})?");
    private static final Pattern WHOLE = Pattern.compile("[+-]?\\d{1,9}");

    /** What a spreadsheet would run as a formula. */
    private static final Pattern FORMULA = Pattern.compile("'*[=+\\-@].*", Pattern.DOTALL);

    private CellText() {}

    /** Reads a cell that is not empty into its column's type; a fault goes to {@code cells}. */
    static void read(FileColumn<?> column, String text, Cells cells) {
        switch (column.kind()) {
            case TEXT -> cells.with(column.name(), harmful(text) && text.startsWith("'") ? text.substring(1) : text);
            case NUMBER -> {
                if (NUMBER.matcher(text).matches() && Double.isFinite(Double.parseDouble(text))) {
                    cells.with(column.name(), Double.parseDouble(text));
                } else {
                    cells.wrong(column.name(), quoted(text) + " is not a number, expected one like 12.5");
                }
            }
            case WHOLE -> {
                if (WHOLE.matcher(text).matches()) {
                    cells.with(column.name(), Long.parseLong(text));
                } else {
                    cells.wrong(column.name(), quoted(text) + " is not a whole number, expected one like 3");
                }
            }
            case TIME -> {
                try {
                    cells.with(column.name(), OffsetDateTime.parse(text).toInstant());
                } catch (DateTimeParseException e) {
                    cells.wrong(
                            column.name(),
                            quoted(text) + " is not a time with offset, expected one like 2026-05-01T18:30:00+01:00");
                }
            }
            case YES_NO -> {
                if (text.equals("true") || text.equals("false")) {
                    cells.with(column.name(), Boolean.valueOf(text));
                } else {
                    cells.wrong(column.name(), quoted(text) + " is neither, expected true or false");
                }
            }
        }
    }

    /** A cell as text; a number as the shortest that reads back as the same. */
    static String write(@Nullable Object value) {
        if (value == null) {
            return "";
        }
        if (value instanceof Double number) {
            return BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
        }
        if (value instanceof Instant time) {
            return time.toString();
        }
        String text = value.toString();
        return value instanceof String && harmful(text) ? "'" + text : text;
    }

    /** Such a cell is written behind an apostrophe, which a spreadsheet takes for the mark of a text, and read without it. */
    private static boolean harmful(String text) {
        return FORMULA.matcher(text).matches();
    }

    private static String quoted(String text) {
        return "\"" + (text.length() > 40 ? text.substring(0, 40) + "…" : text) + "\"";
    }
}
