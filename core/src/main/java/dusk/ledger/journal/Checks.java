package dusk.ledger.journal;

import dusk.ledger.vocabulary.Words;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Collects all that is wrong with one record, then throws once. */
final class Checks {
    /** What can stand in an address as it is, and cannot be taken for a step up. */
    private static final Pattern ID = Pattern.compile("[A-Za-z0-9_][A-Za-z0-9_.:~-]{0,99}");

    /** What stands in an address where an id may: a record of that id would never be shown. */
    private static final Set<String> ADDRESSES = Set.of("new", "past");

    private static final int LONGEST_NAME = 200;
    private static final int LONGEST_NOTE = 10_000;

    private final String table;
    private final List<Invalid.Problem> problems = new ArrayList<>();

    Checks(String table) {
        this.table = table;
    }

    /** The id of a row. */
    Checks id(String column, @Nullable String value) {
        if (value == null || value.isBlank()) {
            return wrong(column, "empty, expected a value");
        }
        return maybe(column, value);
    }

    /** The id of a row, where there is one. */
    Checks maybe(String column, @Nullable String value) {
        if (value != null && ADDRESSES.contains(value)) {
            wrong(column, quoted(value) + " stands in addresses for a page, expected another id");
        } else if (value != null && !ID.matcher(value).matches()) {
            wrong(
                    column,
                    quoted(value) + " cannot stand in an address, expected 1 to 100 letters, digits or _,"
                            + " and after the first one also - . : ~");
        }
        return this;
    }

    Checks present(String column, @Nullable Object value) {
        return value == null ? wrong(column, "empty, expected a value") : this;
    }

    /** A word or name that must be there. */
    Checks named(String column, @Nullable String value) {
        if (value == null || value.isBlank()) {
            return wrong(column, "empty, expected a value");
        }
        return text(column, value);
    }

    /** A word or name of one line. */
    Checks text(String column, @Nullable String value) {
        return text(column, value, LONGEST_NAME, false);
    }

    /** A text of several lines. */
    Checks note(String column, @Nullable String value) {
        return text(column, value, LONGEST_NOTE, true);
    }

    private Checks text(String column, @Nullable String value, int longest, boolean lines) {
        if (value == null) {
            return this;
        }
        if (value.length() > longest) {
            wrong(column, value.length() + " characters, expected " + longest + " at the most");
        }
        if (value.codePoints().anyMatch(c -> control(c) && !(lines && (c == '\n' || c == '\r' || c == '\t')))) {
            wrong(column, "holds a control character, expected letters, digits and signs that can be seen");
        }
        return this;
    }

    /** What cannot be seen, and half a character, which no file can hold. */
    private static boolean control(int c) {
        int type = Character.getType(c);
        return Character.isISOControl(c)
                || type == Character.LINE_SEPARATOR
                || type == Character.PARAGRAPH_SEPARATOR
                || type == Character.SURROGATE;
    }

    /** The column's value must be one of its closed words, where it has any. */
    Checks word(String column, @Nullable String value) {
        List<String> words = Words.closed(column, table);
        if (value != null && !words.contains(value)) {
            wrong(
                    column,
                    quoted(value) + " is not a word of this column, expected one of: " + String.join(", ", words));
        }
        return this;
    }

    /** A number within the ends of its column, where it is recorded. */
    Checks in(String column, @Nullable Number value) {
        Bounds.Range range = Bounds.of(column, table).orElseThrow();
        if (value != null && !range.holds(value.doubleValue())) {
            wrong(
                    column,
                    shown(value.doubleValue()) + " is out of range, expected " + shown(range.least()) + " to "
                            + shown(range.most()));
        }
        return this;
    }

    /** A moment that can have been logged, where it is recorded. */
    Checks at(String column, @Nullable Instant value) {
        if (value != null && !Bounds.holds(value)) {
            wrong(column, "a time no one logged, expected one from 1900 to 2099");
        }
        return this;
    }

    /** An end that comes after the start and not too long after. */
    Checks ends(String column, @Nullable Instant value, @Nullable Instant start, Duration longest) {
        if (value == null || start == null) {
            return this;
        }
        if (value.isBefore(start)) {
            return wrong(column, value + " is before the start, expected " + start + " or later");
        }
        return that(
                Duration.between(start, value).compareTo(longest) <= 0,
                column,
                "more than " + longest.toDays() + " days after the start, expected " + start.plus(longest)
                        + " or earlier");
    }

    Checks that(boolean holds, String column, String otherwise) {
        return holds ? this : wrong(column, otherwise);
    }

    void done() {
        if (!problems.isEmpty()) {
            throw new Invalid(problems);
        }
    }

    private Checks wrong(String column, String message) {
        problems.add(new Invalid.Problem(column, message));
        return this;
    }

    private static String quoted(String value) {
        return "\"" + (value.length() > 40 ? value.substring(0, 40) + "…" : value) + "\"";
    }

    private static String shown(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e15
                ? Long.toString((long) value)
                : Double.toString(value);
    }
}
