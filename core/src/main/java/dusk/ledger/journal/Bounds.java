package dusk.ledger.journal;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Between which ends the numbers and times of a record can be at all, wide enough for any fishing and narrow enough
 * that one slip of a finger spoils nobody's findings. In the unit of the column, which its name ends with.
 */
public final class Bounds {
    /** Before this nobody logged, after it nobody has yet. */
    public static final Instant EARLIEST = Instant.parse("1900-01-01T00:00:00Z");

    public static final Instant LATEST = Instant.parse("2100-01-01T00:00:00Z");

    /** From the first line in to the last one out. */
    public static final Duration LONGEST_TRIP = Duration.ofDays(14);

    private static final Duration FAST_CLOCK = Duration.ofMinutes(10);

    /** A stint that ends before this was none. */
    public static final double LEAST_MINUTES = 0.1;

    public static final double MOST_MINUTES = 1440;

    private static final Map<String, Range> COLUMNS = new HashMap<>();

    static {
        between("minutes", LEAST_MINUTES, MOST_MINUTES);
        between("pause_s", 0, 3600);
        for (String count : new String[] {"casts", "plastics_used", "follows", "bites", "hooked"}) {
            between(count, 0, 10_000);
        }
        between("count", 1, 10_000);
        between("head_mass_g", 0.05, 2000);
        between("plastic_length_mm", 3, 1000);
        between("leader_mm", 0, 20_000);
        between("leader_length_mm", 0, 30_000);
        between("trimmed_from_mm", 3, 1000);
        between("line_diameter_mm", 0.01, 3);
        between("leader_diameter_mm", 0.01, 3);
        between("line_strength_n", 0.5, 5000);
        between("leader_strength_n", 0.5, 5000);
        between("length_mm@catches", 5, 6000);
        between("mass_g", 1, 1_000_000);
        between("length_mm@rods", 100, 20_000);
        between("lure_min_g", 0.05, 5000);
        between("lure_max_g", 0.05, 5000);
        between("retrieve_mm", 10, 5000);
        between("depth_m", 0, 500);
        between("fish_depth_m", 0, 500);
        between("top_m", 0, 500);
        between("foot_m", 0, 500);
        between("water_temp_c", -2, 45);
        between("air_temp_c", -60, 60);
        between("clarity_m", 0, 60);
        between("wind_mps", 0, 80);
        between("current_mps", 0, 10);
        between("air_pressure_hpa", 850, 1100);
        between("forage_length_mm", 1, 2000);
        between("seconds", 0.1, 3600);
        between("least_mm", 5, 6000);
        between("most_mm", 5, 6000);
        between("slot_from_mm", 5, 6000);
        between("slot_to_mm", 5, 6000);
        between("bag", 0, 10_000);
        between("latitude", -90, 90);
        between("longitude", -180, 180);
    }

    /** Two ends, both allowed. */
    public record Range(double least, double most) {
        public boolean holds(double value) {
            return value >= least && value <= most;
        }
    }

    private Bounds() {}

    private static void between(String column, double least, double most) {
        COLUMNS.put(column, new Range(least, most));
    }

    /**
     * The ends of a column; nothing for one that is bounded otherwise.
     *
     * @param table name of the file without ending, which tells apart columns of the same name
     */
    public static Optional<Range> of(String column, String table) {
        Range own = COLUMNS.get(column + "@" + table);
        return Optional.ofNullable(own == null ? COLUMNS.get(column) : own);
    }

    /** Whether something can be of a trip that began at a moment: trips are mended, but not by years. */
    public static boolean ofTrip(Instant at, Instant tripStart) {
        return Duration.between(tripStart, at).abs().compareTo(LONGEST_TRIP) <= 0;
    }

    /** Whether what began then is still to come; clocks of devices may go a little fast. */
    public static boolean toCome(Instant at, Instant now) {
        return at.isAfter(now.plus(FAST_CLOCK));
    }

    /** Whether a moment can have been logged. */
    public static boolean holds(Instant at) {
        return !at.isBefore(EARLIEST) && at.isBefore(LATEST);
    }
}
