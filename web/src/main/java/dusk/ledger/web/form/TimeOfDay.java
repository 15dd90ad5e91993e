package dusk.ledger.web.form;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.regex.Pattern;

/** A time on the clock at a water, as it is typed, and the moment that is meant by it. */
public record TimeOfDay(LocalTime time) {
    private static final Pattern FORM = Pattern.compile("[0-9]{1,2}:[0-9]{2}|[0-9]{1,4}");

    /**
     * Reads {@code 17:30}, {@code 1730}, {@code 7:05} or {@code 17}.
     *
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    public static TimeOfDay parse(String text) {
        String digits = text.strip().replace(":", "");
        try {
            if (FORM.matcher(text.strip()).matches()) {
                int split = digits.length() > 2 ? digits.length() - 2 : digits.length();
                int minute = split == digits.length() ? 0 : Integer.parseInt(digits.substring(split));
                return new TimeOfDay(LocalTime.of(Integer.parseInt(digits.substring(0, split)), minute));
            }
        } catch (DateTimeException e) {
            // said below, as for what is no number at all
        }
        throw new IllegalArgumentException("“" + text + "” is not a time of day. Write it like 17:30, or 17.");
    }

    /** The latest moment up to another at which the clock showed it. */
    public Instant upTo(Instant last, ZoneId zone) {
        ZonedDateTime at = last.atZone(zone).with(time);
        return (at.toInstant().isAfter(last) ? at.minusDays(1) : at).toInstant();
    }

    /** The first moment after another at which the clock shows it. */
    public Instant after(Instant before, ZoneId zone) {
        ZonedDateTime at = before.atZone(zone).with(time);
        return (at.toInstant().isAfter(before) ? at : at.plusDays(1)).toInstant();
    }

    /** The first moment at which the clock shows it, that moment included. */
    public Instant from(Instant first, ZoneId zone) {
        ZonedDateTime at = first.atZone(zone).with(time);
        return (at.toInstant().isBefore(first) ? at.plusDays(1) : at).toInstant();
    }
}
