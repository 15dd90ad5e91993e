package dusk.ledger.web.words;

import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Calibration;
import dusk.ledger.water.Calibrations;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Tied;
import dusk.ledger.web.form.Typed;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
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
     * @param typed is given what is wrong, by field
     * @return null where anything is
     */
    public static Calibration.@Nullable Drop read(SetUp setUp, Typed typed, boolean salt) {
        Double seconds = seconds(typed);
        Double depth = depth(typed);
        if (seconds == null || depth == null || !typed.errors().isEmpty()) {
            return null;
        }
        if (!(Tied.of(setUp) instanceof Tied.Known tied)) {
            typed.wrong("seconds", "How this set-up falls cannot be told, so its drops cannot be used.");
            return null;
        }
        Calibration.Drop drop = new Calibration.Drop(seconds, depth);
        double factor = Math.exp(Calibrations.logFactor(tied, drop, Cast.density(salt)));
        if (!(factor < SLIP) || !(factor > 1 / SLIP)) {
            typed.wrong(
                    "seconds",
                    "That is far from what its weight and size can do. Was it this set-up, on slack line, to that depth?");
            return null;
        }
        return drop;
    }

    private static @Nullable Double seconds(Typed typed) {
        String text = typed.text("seconds");
        try {
            double seconds = Typed.decimal(text.replaceFirst("\\s*(s|sec|seconds)$", ""));
            if (seconds > 0 && seconds <= LONGEST_S) {
                return seconds;
            }
        } catch (IllegalArgumentException e) {
            // said below, as for a number out of range
        }
        typed.wrong("seconds", "“" + text + "” is not a count. Write seconds, more than 0 and at most 300, like 9.");
        return null;
    }

    private static @Nullable Double depth(Typed typed) {
        typed.required("depth_m", "Say how deep it fell.");
        Length depth = typed.depth("depth_m");
        if (depth == null) {
            return null;
        }
        if (!(depth.metres() > 0) || depth.metres() > DEEPEST_M) {
            typed.wrong(
                    "depth_m",
                    "A depth must be above 0 and at most "
                            + Length.ofMetres(DEEPEST_M).show(typed.units().depth()) + ".");
            return null;
        }
        return depth.metres();
    }

    /** Such as {@code 9 s to 3 m}. */
    public static String words(Calibration.Drop drop, UnitSystem units) {
        return Figures.trimmed(drop.seconds(), 1) + " s to "
                + Length.ofMetres(drop.metres()).show(units.depth());
    }

    public static String depthHint(UnitSystem units) {
        return units.depth() == Length.Unit.FOOT ? "10 ft" : "3 m";
    }

    public static String day(Instant at) {
        return DAY.format(at.atZone(ZoneOffset.UTC));
    }
}
