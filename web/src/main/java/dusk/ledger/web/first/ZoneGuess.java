package dusk.ledger.web.first;

import dusk.ledger.units.Position;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;

/** The time zone of a place on the globe: that of the device where it can be, else the whole hour by longitude. */
final class ZoneGuess {
    private static final double DEGREES_PER_HOUR = 15;

    /** Summer time, and borders that keep a neighbour's hour, move clocks so far from the sun and no further. */
    private static final Duration OFF_THE_SUN = Duration.ofHours(3);

    private ZoneGuess() {}

    /**
     * A guess.
     *
     * @param device the zone that the device keeps; empty where it does not say
     */
    static ZoneId of(Position where, String device, Instant now) {
        long hours = Math.round(where.longitude() / DEGREES_PER_HOUR);
        ZoneId kept = zone(device);
        if (kept != null) {
            Duration offset = Duration.ofSeconds(kept.getRules().getOffset(now).getTotalSeconds());
            if (offset.minusHours(hours).abs().compareTo(OFF_THE_SUN) <= 0) {
                return kept;
            }
        }
        // these names count west of Greenwich
        return ZoneId.of(hours == 0 ? "Etc/GMT" : "Etc/GMT" + (hours > 0 ? "-" : "+") + Math.abs(hours));
    }

    private static @Nullable ZoneId zone(String name) {
        try {
            return name.isBlank() ? null : ZoneId.of(name.strip());
        } catch (DateTimeException e) {
            return null;
        }
    }
}
