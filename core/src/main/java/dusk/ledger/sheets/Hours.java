package dusk.ledger.sheets;

import java.time.DateTimeException;
import java.time.LocalTime;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Times of day and spans of time as people write them. */
final class Hours {
    private static final Pattern TIME = Pattern.compile(
            "(?:(?:ca|approx|about|~)\\.?\\s*)?(\\d{1,2})(?:\\s*[:.h]\\s*(\\d{2})(?::\\d{2})?)?\\s*(?:h|hrs?|uhr|o'clock)?\\s*(am|pm|a\\.m\\.|p\\.m\\.|a|p)?\\.?");
    private static final Pattern SOLID = Pattern.compile("(\\d{2})(\\d{2})\\s*(?:h|hrs?)?");
    private static final Pattern CLOCKED = Pattern.compile("(\\d{1,2}):(\\d{2})(?::\\d{2})?(?:\\s*h)?");
    private static final Pattern LONG = Pattern.compile(
            "(?:(\\d+(?:\\.\\d+)?|\\d+ \\d/\\d|\\d/\\d)\\s*(?:h|hr|hrs|hour|hours|std|stunden)\\.?)?\\s*(?:(\\d+)\\s*(?:m|min|mins|minutes|')?\\.?)?");
    private static final Pattern MINUTES = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*(?:m|min|mins|minutes|')\\.?");
    private static final double PER_HOUR = 60;
    private static final int NOON = 12;

    private Hours() {}

    /** Such as {@code 6:30}, {@code 18.05}, {@code 6 pm}, {@code 0615}. */
    static Optional<LocalTime> timeOfDay(String text) {
        String typed = text.strip().toLowerCase(Locale.ROOT);
        Matcher solid = SOLID.matcher(typed);
        Matcher time = TIME.matcher(typed);
        try {
            if (solid.matches()) {
                return Optional.of(LocalTime.of(Integer.parseInt(solid.group(1)), Integer.parseInt(solid.group(2))));
            } else if (!time.matches()
                    || time.group(2) == null
                            && time.group(3) == null
                            && !typed.matches("\\d{1,2}\\s*(h|hrs?|uhr|o'clock)?")) {
                return Optional.empty();
            }
            int hour = Integer.parseInt(time.group(1));
            int minute = time.group(2) == null ? 0 : Integer.parseInt(time.group(2));
            if (time.group(3) != null) {
                hour = hour % NOON + (time.group(3).startsWith("p") ? NOON : 0);
            }
            return Optional.of(LocalTime.of(hour == 24 ? 0 : hour, minute));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    /**
     * Minutes of a span such as {@code 6.5}, {@code 6:30}, {@code 6 h 30}, {@code 390 min}.
     *
     * @param inMinutes whether a bare number is minutes
     */
    static Optional<Double> minutes(String text, boolean inMinutes) {
        String typed = text.strip().toLowerCase(Locale.ROOT);
        Matcher clocked = CLOCKED.matcher(typed);
        if (clocked.matches()) {
            return Optional.of(Integer.parseInt(clocked.group(1)) * PER_HOUR + Integer.parseInt(clocked.group(2)));
        }
        if (typed.matches("\\d+(\\.\\d+)?|\\d+ \\d/\\d|\\d/\\d")) {
            return Optional.of(number(typed) * (inMinutes ? 1 : PER_HOUR));
        }
        Matcher minutes = MINUTES.matcher(typed);
        if (minutes.matches()) {
            return Optional.of(Double.parseDouble(minutes.group(1)));
        }
        Matcher span = LONG.matcher(typed);
        if (!span.matches() || span.group(1) == null) {
            return Optional.empty();
        }
        return Optional.of(
                number(span.group(1)) * PER_HOUR + (span.group(2) == null ? 0 : Integer.parseInt(span.group(2))));
    }

    private static double number(String text) {
        int slash = text.indexOf('/');
        if (slash < 0) {
            return Double.parseDouble(text);
        }
        int space = text.indexOf(' ');
        double whole = space < 0 ? 0 : Double.parseDouble(text.substring(0, space));
        return whole
                + Double.parseDouble(text.substring(space + 1, slash)) / Double.parseDouble(text.substring(slash + 1));
    }
}
