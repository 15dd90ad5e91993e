package dusk.ledger.web.words;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Times at the water, as they are read. */
public final class TimeText {
    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("EEE d MMM uuuu", Locale.ENGLISH);
    private static final DateTimeFormatter INPUT = DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm", Locale.ROOT);

    private TimeText() {}

    public static String hour(Instant at, ZoneId zone) {
        return HOUR.format(at.atZone(zone));
    }

    public static String date(Instant at, ZoneId zone) {
        return DATE.format(at.atZone(zone));
    }

    public static String moment(Instant at, ZoneId zone) {
        return date(at, zone) + ", " + hour(at, zone);
    }

    /** The value of an input for date and time. */
    public static String input(Instant at, ZoneId zone) {
        return INPUT.format(at.atZone(zone));
    }
}
