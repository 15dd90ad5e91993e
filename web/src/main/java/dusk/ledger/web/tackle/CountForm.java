package dusk.ledger.web.tackle;

import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Calibration;
import dusk.ledger.water.Calibrations;
import dusk.ledger.water.Tied;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Reads a counted drop as it is typed: seconds and a depth. */
public final class CountForm {
    private static final double LONGEST_S = 300;
    private static final double DEEPEST_M = 60;

    /** So many times the drag that size tells, or so little of it, is a slip. */
    private static final double SLIP = 6;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ROOT);

    private CountForm() {}

    /**
     * Reads it.
     *
     * @param salt whether the water is
     * @param errors is given what is wrong, by field
     * @return null where anything is
     */
    public static Calibration.@Nullable Drop read(
            SetUp setUp, Map<String, String> typed, boolean salt, UnitSystem units, Map<String, String> errors) {
        double seconds = seconds(typed.getOrDefault("seconds", "").strip(), errors);
        double depth = depth(typed.getOrDefault("depth_m", "").strip(), units, errors);
        if (!errors.isEmpty()) {
            return null;
        }
        if (!(Tied.of(setUp) instanceof Tied.Known tied)) {
            errors.put("seconds", "How this set-up falls cannot be told, so its drops cannot be used.");
            return null;
        }
        Calibration.Drop drop = new Calibration.Drop(seconds, depth);
        double factor = Math.exp(Calibrations.logFactor(tied, drop, Drops.density(salt)));
        if (!(factor < SLIP) || !(factor > 1 / SLIP)) {
            errors.put(
                    "seconds",
                    "That is far from what its weight and size can do. Was it this set-up, on slack line, to that depth?");
            return null;
        }
        return drop;
    }

    private static double seconds(String text, Map<String, String> errors) {
        String number = text.replaceFirst("\\s*(s|sec|seconds)$", "");
        try {
            double seconds = Double.parseDouble(number);
            if (seconds > 0 && seconds <= LONGEST_S) {
                return seconds;
            }
        } catch (NumberFormatException e) {
            // said below, as for a number out of range
        }
        errors.put("seconds", "“" + text + "” is not a count. Write seconds, more than 0 and at most 300, like 9.");
        return 0;
    }

    private static double depth(String text, UnitSystem units, Map<String, String> errors) {
        if (text.isEmpty()) {
            errors.put("depth_m", "Say how deep it fell.");
            return 0;
        }
        try {
            double depth = Length.parse(text, units.depth()).metres();
            if (depth > 0 && depth <= DEEPEST_M) {
                return depth;
            }
            errors.put(
                    "depth_m",
                    "A depth must be above 0 and at most "
                            + Length.ofMetres(DEEPEST_M).show(units.depth()) + ".");
        } catch (IllegalArgumentException e) {
            errors.put("depth_m", String.valueOf(e.getMessage()));
        }
        return 0;
    }

    /** Such as {@code 9 s to 3 m}. */
    public static String words(Calibration.Drop drop, UnitSystem units) {
        return Figures.trimmed(drop.seconds(), 1) + " s to "
                + Length.ofMetres(drop.metres()).show(units.depth());
    }

    static String depthHint(UnitSystem units) {
        return units.depth() == Length.Unit.FOOT ? "10 ft" : "3 m";
    }

    static String day(Instant at) {
        return DAY.format(at.atZone(ZoneOffset.UTC));
    }
}
