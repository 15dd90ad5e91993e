package dusk.ledger.light;

import dusk.ledger.units.Position;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Locale;

/**
 * Parts of a day by the sun: hours from sunrise and to sunset, which feeding keeps to better than to the clock. In the
 * order of a day from night on.
 */
public enum SunHour {
    NIGHT("the night"),
    TWO_BEFORE_SUNRISE("between 2 and 1 h before sunrise"),
    ONE_BEFORE_SUNRISE("the hour before sunrise"),
    ONE_AFTER_SUNRISE("the hour after sunrise"),
    MORNING("between 1 and 3 h after sunrise"),
    MIDDLE("the middle of the day"),
    AFTERNOON("between 3 and 1 h before sunset"),
    ONE_BEFORE_SUNSET("the hour before sunset"),
    ONE_AFTER_SUNSET("the hour after sunset"),
    TWO_AFTER_SUNSET("between 1 and 2 h after sunset");

    private static final double MINUTES_PER_HOUR = 60;
    private static final double DEGREES_PER_HOUR = 15;

    private final String words;

    SunHour(String words) {
        this.words = words;
    }

    /** As it is said, such as {@code the hour before sunset}. */
    public String words() {
        return words;
    }

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Part of the day of a moment at a place, by the sunrise and sunset of its date in the place's own time by longitude. */
    public static SunHour of(Instant at, Position where) {
        ZoneOffset zone = zone(where);
        return of(at, Sun.day(dateAt(at, where), zone, where));
    }

    /** The date at a place, in its own time by longitude. */
    public static LocalDate dateAt(Instant at, Position where) {
        return at.atOffset(zone(where)).toLocalDate();
    }

    /** The place's own time by longitude, in whole hours. */
    public static ZoneOffset zone(Position where) {
        return ZoneOffset.ofHours((int) Math.round(where.longitude() / DEGREES_PER_HOUR));
    }

    /** The same, given the sunrise and sunset of the date. */
    public static SunHour of(Instant at, Sun.Day day) {
        Instant rise = day.rise();
        Instant set = day.set();
        if (rise == null || set == null) {
            return day.alwaysUp() ? MIDDLE : NIGHT;
        }
        Instant noon = rise.plus(Duration.between(rise, set).dividedBy(2));
        return at.isBefore(noon) ? fromSunrise(hours(rise, at)) : fromSunset(hours(set, at));
    }

    private static double hours(Instant from, Instant to) {
        return Duration.between(from, to).toSeconds() / MINUTES_PER_HOUR / MINUTES_PER_HOUR;
    }

    private static SunHour fromSunrise(double hours) {
        if (hours < -2) {
            return NIGHT;
        }
        if (hours < 0) {
            return hours < -1 ? TWO_BEFORE_SUNRISE : ONE_BEFORE_SUNRISE;
        }
        if (hours < 1) {
            return ONE_AFTER_SUNRISE;
        }
        return hours < 3 ? MORNING : MIDDLE;
    }

    private static SunHour fromSunset(double hours) {
        if (hours >= 2) {
            return NIGHT;
        }
        if (hours >= 0) {
            return hours >= 1 ? TWO_AFTER_SUNSET : ONE_AFTER_SUNSET;
        }
        if (hours >= -1) {
            return ONE_BEFORE_SUNSET;
        }
        return hours >= -3 ? AFTERNOON : MIDDLE;
    }
}
