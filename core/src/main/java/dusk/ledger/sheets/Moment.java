package dusk.ledger.sheets;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A cell that holds a date, a date and a time of day, or both with a T between. */
record Moment(LocalDate date, Optional<LocalTime> time) {
    private static final Pattern BEHIND = Pattern.compile(
            "^(.*?\\d)(?:T|,?\\s+(?:at\\s+)?)(\\d{1,2}[:.h]\\d{2}(?::\\d{2})?\\s*(?:am|pm)?)(?:Z|[+-]\\d{2}:?\\d{2})?$",
            Pattern.CASE_INSENSITIVE);

    /** The date's part of a cell. */
    static String dateOf(String cell) {
        Matcher both = BEHIND.matcher(cell.strip());
        return both.matches() && !both.group(1).matches("\\d{1,2}") ? both.group(1) : cell;
    }

    static Optional<Moment> read(String cell, DateForm form) {
        String date = dateOf(cell);
        Matcher both = BEHIND.matcher(cell.strip());
        Optional<LocalTime> time =
                date.equals(cell) || !both.matches() ? Optional.empty() : Hours.timeOfDay(both.group(2));
        return form.read(date).map(d -> new Moment(d, time));
    }
}
