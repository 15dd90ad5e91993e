package dusk.ledger.water;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/**
 * Casts over an arc, evenly spread and no farther apart at their far end than a fish comes for the lure.
 *
 * @param arcDeg that is to be covered
 * @param stepDeg the widest that casts may be apart: strike width over length of the cast
 * @param minutes for all of them
 */
public record Fan(double arcDeg, double stepDeg, int casts, double minutes) {
    private static final double CIRCLE = 360;

    /**
     * @param arcDeg to be covered, above 0
     * @param castM length of a cast, above 0
     * @param strikeM width within which a fish comes for the lure, above 0
     * @param castSeconds of one cast and its retrieve
     */
    public static Fan of(double arcDeg, double castM, double strikeM, double castSeconds) {
        if (!(arcDeg > 0) || !(castM > 0) || !(strikeM > 0) || !(castSeconds > 0)) {
            throw new IllegalArgumentException("expected an arc, a cast, a width and a time above 0, not " + arcDeg
                    + ", " + castM + ", " + strikeM + " and " + castSeconds);
        }
        double arc = Math.min(CIRCLE, arcDeg);
        double step = Math.toDegrees(strikeM / castM);
        int casts = (int) Math.ceil(arc / step) + (arc == CIRCLE ? 0 : 1);
        return new Fan(arc, step, casts, casts * castSeconds / 60);
    }

    /** How far apart the casts are: no more than the step. */
    public double apartDeg() {
        return arcDeg == CIRCLE ? CIRCLE / casts : arcDeg / Math.max(1, casts - 1);
    }

    /** Where each cast goes, in degrees from the arc's first edge. */
    public List<Double> bearingsDeg() {
        double apart = apartDeg();
        List<Double> bearings = new ArrayList<>();
        for (int i = 0; i < casts; i++) {
            bearings.add(i * apart);
        }
        return bearings;
    }

    /** Share of the arc that lies within half a step of a cast that was made: 0 to 1. */
    public double covered(Collection<Integer> made) {
        List<Double> bearings = bearingsDeg();
        List<double[]> parts = new ArrayList<>();
        for (int cast : made) {
            if (cast >= 0 && cast < casts) {
                double from = bearings.get(cast) - stepDeg / 2;
                double to = bearings.get(cast) + stepDeg / 2;
                parts.add(new double[] {Math.max(0, from), Math.min(arcDeg, to)});
                if (arcDeg == CIRCLE && from < 0) {
                    parts.add(new double[] {CIRCLE + from, CIRCLE});
                }
            }
        }
        parts.sort(Comparator.comparingDouble(p -> p[0]));
        double covered = 0;
        double reached = 0;
        for (double[] part : parts) {
            covered += Math.max(0, part[1] - Math.max(reached, part[0]));
            reached = Math.max(reached, part[1]);
        }
        return covered / arcDeg;
    }
}
