package dusk.ledger.journal;

import dusk.ledger.vocabulary.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Collects all that is wrong with one record, then throws once. */
final class Checks {
    private final String table;
    private final List<Invalid.Problem> problems = new ArrayList<>();

    Checks(String table) {
        this.table = table;
    }

    Checks named(String column, @Nullable String value) {
        if (value == null || value.isBlank()) {
            wrong(column, "empty, expected a value");
        }
        return this;
    }

    Checks present(String column, @Nullable Object value) {
        if (value == null) {
            wrong(column, "empty, expected a value");
        }
        return this;
    }

    /** The column's value must be one of its closed words, where it has any. */
    Checks word(String column, @Nullable String value) {
        List<String> words = Words.closed(column, table);
        if (value != null && !words.contains(value)) {
            wrong(
                    column,
                    "\"" + value + "\" is not a word of this column, expected one of: " + String.join(", ", words));
        }
        return this;
    }

    Checks atLeast(String column, double value, double least) {
        if (!(value >= least)) {
            wrong(column, shown(value) + " is too small, expected " + shown(least) + " or more");
        }
        return this;
    }

    Checks above(String column, double value, double bound) {
        if (!(value > bound)) {
            wrong(column, shown(value) + " is too small, expected more than " + shown(bound));
        }
        return this;
    }

    Checks within(String column, @Nullable Double value, double least, double most) {
        if (value != null && !(value >= least && value <= most)) {
            wrong(column, shown(value) + " is out of range, expected " + shown(least) + " to " + shown(most));
        }
        return this;
    }

    Checks notBefore(String column, @Nullable Instant value, @Nullable Instant start) {
        if (value != null && start != null && value.isBefore(start)) {
            wrong(column, value + " is before the start, expected " + start + " or later");
        }
        return this;
    }

    Checks that(boolean holds, String column, String otherwise) {
        if (!holds) {
            wrong(column, otherwise);
        }
        return this;
    }

    void done() {
        if (!problems.isEmpty()) {
            throw new Invalid(problems);
        }
    }

    private void wrong(String column, String message) {
        problems.add(new Invalid.Problem(column, message));
    }

    private static String shown(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e15
                ? Long.toString((long) value)
                : Double.toString(value);
    }
}
