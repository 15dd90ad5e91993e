package dusk.ledger.light;

import dusk.ledger.units.Position;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.shredzone.commons.suncalc.SunPosition;
import org.shredzone.commons.suncalc.SunTimes;

/** Where the sun stands over a water. */
public final class Sun {
    private static final double NIGHT_BELOW_DEG = -12;
    private static final double TWILIGHT_BELOW_DEG = 6;
    private static final double LOW_SUN_BELOW_DEG = 20;
    private static final Duration STEP = Duration.ofMinutes(10);
    private static final Duration A_MINUTE = Duration.ofMinutes(1);
    private static final Duration A_DAY = Duration.ofDays(1);

    private Sun() {}

    /** A moment of a day: the sun's altitude in degrees, without refraction, and the light it gives. */
    public record Moment(Instant at, double altitudeDeg, Light light) {}

    /**
     * Sunrise and sunset of a date at a water; null where the sun does not rise or set that day.
     *
     * @param alwaysUp the sun stays up all day
     */
    public record Day(@Nullable Instant rise, @Nullable Instant set, boolean alwaysUp) {}

    /** Light at a moment: before the sun's highest point a low sun under +6 degrees is dawn, after it dusk. */
    public static Light lightAt(Instant at, Position where) {
        return momentAt(at, where).light();
    }

    /** Altitude and light at a moment. */
    public static Moment momentAt(Instant at, Position where) {
        SunPosition sun = SunPosition.compute()
                .on(at)
                .at(where.latitude(), where.longitude())
                .execute();
        double altitude = sun.getTrueAltitude();
        boolean beforeNoon = sun.getAzimuth() < 180;
        return new Moment(at, altitude, of(altitude, beforeNoon));
    }

    private static Light of(double altitudeDeg, boolean beforeNoon) {
        if (altitudeDeg < NIGHT_BELOW_DEG) {
            return Light.NIGHT;
        }
        if (altitudeDeg < TWILIGHT_BELOW_DEG) {
            return beforeNoon ? Light.DAWN : Light.DUSK;
        }
        return altitudeDeg < LOW_SUN_BELOW_DEG ? Light.LOW_SUN : Light.DAY;
    }

    /** The sun's course over a date at the water, a moment each ten minutes, both midnights included. */
    public static List<Moment> course(LocalDate date, ZoneId zone, Position where) {
        List<Moment> moments = new ArrayList<>();
        Instant end = date.plusDays(1).atStartOfDay(zone).toInstant();
        for (Instant at = date.atStartOfDay(zone).toInstant(); at.isBefore(end); at = at.plus(STEP)) {
            moments.add(momentAt(at, where));
        }
        moments.add(momentAt(end, where));
        return moments;
    }

    /** When the light of a moment turns to another, to the minute; null where it does not within a day. */
    public static @Nullable Instant lightEnds(Instant now, Position where) {
        Light light = lightAt(now, where);
        Instant last = now;
        for (Instant at = now.plus(STEP); at.isBefore(now.plus(A_DAY)); at = at.plus(STEP)) {
            if (lightAt(at, where) != light) {
                return turns(last, light, where);
            }
            last = at;
        }
        return null;
    }

    /** The first whole minute after a moment that has another light. */
    private static Instant turns(Instant from, Light light, Position where) {
        Instant at = from.plus(A_MINUTE);
        while (lightAt(at, where) == light) {
            at = at.plus(A_MINUTE);
        }
        return at;
    }

    /** Sunrise and sunset of a date, as almanacs give them. */
    public static Day day(LocalDate date, ZoneId zone, Position where) {
        SunTimes times = SunTimes.compute()
                .on(date.atStartOfDay(zone))
                .oneDay()
                .at(where.latitude(), where.longitude())
                .execute();
        return new Day(instant(times.getRise()), instant(times.getSet()), times.isAlwaysUp());
    }

    private static @Nullable Instant instant(@Nullable ZonedDateTime time) {
        return time == null ? null : time.toInstant();
    }
}
