package dusk.ledger.water;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Casts over an arc, laid out on the water.
 *
 * @param towardDeg the middle of the arc, in degrees from north
 * @param strikeM how wide a fish comes for the lure
 * @param castS seconds that a cast takes
 */
public record LaidFan(double towardDeg, double arcDeg, double castM, double strikeM, double castS) {
    /** As it is asked where nobody said otherwise. */
    public static final LaidFan USUAL = new LaidFan(0, 120, 20, 3, 75);

    /** Wind or current: where it goes, in degrees from north. */
    public record Stream(double mps, double towardDeg) {}

    /** Where a cast comes down beside where it fell in, in metres along the cast and to its right. */
    public record Landing(double alongM, double asideM) {}

    public Fan fan() {
        return Fan.of(arcDeg, castM, strikeM, castS);
    }

    /** Bearings of the casts from north, the first from the left. */
    public List<Double> bearings() {
        double from = towardDeg - fan().arcDeg() / 2;
        return fan().bearingsDeg().stream().map(b -> round(from + b)).toList();
    }

    /**
     * Where a cast comes to the bottom on slack line, in fresh water.
     *
     * @param depthM of the bottom
     * @return null where nothing carries it, or it cannot be told how the lure falls, or it floats
     */
    public @Nullable Landing landing(double bearingDeg, double depthM, @Nullable Fall fall, @Nullable Stream current) {
        if (current == null || !(fall instanceof Fall.Known known) || known.floats(Cast.FRESH)) {
            return null;
        }
        double heading = round(current.towardDeg() - bearingDeg);
        Cast cast =
                new Cast(depthM, castM, Cast.USUAL_ROD_TIP_M, known.tied().line(), Cast.FRESH, current.mps(), heading);
        Arrival arrival = Arrival.of(known.lure(Cast.FRESH), cast, Arrival.Method.SLACK);
        double side = Math.sin(Math.toRadians(heading)) >= 0 ? 1 : -1;
        return new Landing(-arrival.shortM(), side * arrival.driftM());
    }

    private static double round(double degrees) {
        return (degrees % 360 + 360) % 360;
    }
}
