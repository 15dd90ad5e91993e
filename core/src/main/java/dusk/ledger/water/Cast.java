package dusk.ledger.water;

/**
 * The water and the cast.
 *
 * @param depthM of the bottom, above 0
 * @param castM from under the rod tip to where the lure meets the water
 * @param rodTipM height of the tip above the water
 * @param line in the water
 * @param water density, kg/m3
 * @param surfaceMps speed of the current at the surface; 0 in still water
 * @param headingDeg of the current against the cast: 0 away from the angler, 90 to the right, 180 toward
 * @param driftMps of the boat; seen from it the water runs the other way, from top to bottom alike
 * @param driftDeg where the boat drifts to, as the heading is told
 */
public record Cast(
        double depthM,
        double castM,
        double rodTipM,
        Line line,
        double water,
        double surfaceMps,
        double headingDeg,
        double driftMps,
        double driftDeg) {
    public static final double FRESH = 1000;
    public static final double SALT = 1025;
    public static final double USUAL_ROD_TIP_M = 1.5;

    /** Drag area drawn after a falling lure, for each metre of line drawn down and of its diameter. */
    private static final double LINE_DRAWN = 0.015 * Math.PI;

    /** The current's profile, by the seventh-root law. */
    private static final double PROFILE = 1.0 / 7;

    /** The share of the depth, over the bottom, in which the law is not followed. */
    private static final double BED = 0.01;

    public Cast {
        if (!(depthM > 0)
                || !(castM >= 0)
                || !(rodTipM >= 0)
                || !(water > 0)
                || !(surfaceMps >= 0)
                || !(driftMps >= 0)) {
            throw new IllegalArgumentException("expected a depth and a density above 0, and the rest 0 or more, not "
                    + depthM + ", " + water + ", " + castM + ", " + rodTipM + ", " + surfaceMps + " and " + driftMps);
        }
    }

    /** From where the rod stands still. */
    public Cast(
            double depthM,
            double castM,
            double rodTipM,
            Line line,
            double water,
            double surfaceMps,
            double headingDeg) {
        this(depthM, castM, rodTipM, line, water, surfaceMps, headingDeg, 0, 0);
    }

    /** The same on line of one piece. @param lineM its diameter */
    public Cast(
            double depthM,
            double castM,
            double rodTipM,
            double lineM,
            double water,
            double surfaceMps,
            double headingDeg) {
        this(depthM, castM, rodTipM, new Line(lineM, lineM, 0), water, surfaceMps, headingDeg);
    }

    /** kg/m3 of sea water, or of fresh. */
    public static double density(boolean salt) {
        return salt ? SALT : FRESH;
    }

    /** The same cast in another current, of the same heading. */
    Cast inCurrent(double mps) {
        return new Cast(depthM, castM, rodTipM, line, water, mps, headingDeg, driftMps, driftDeg);
    }

    /** The same cast with a current of another heading. */
    public Cast withHeading(double deg) {
        return new Cast(depthM, castM, rodTipM, line, water, surfaceMps, deg, driftMps, driftDeg);
    }

    /** The same cast from a boat that drifts. @param toDeg against the cast, as a current's heading */
    public Cast drifting(double mps, double toDeg) {
        return new Cast(depthM, castM, rodTipM, line, water, surfaceMps, headingDeg, mps, toDeg);
    }

    /** Drag area of the line drawn after a lure that falls freely, m2. */
    double drawnM2(double z) {
        return LINE_DRAWN * line.drawnM2(Math.max(0, z));
    }

    /** How the water runs at a depth as seen from the rod: out along the cast, then to its right, m/s. */
    double[] runsMps(double z) {
        double current = currentMps(z);
        double heading = Math.toRadians(headingDeg);
        double drift = Math.toRadians(driftDeg);
        return new double[] {
            current * Math.cos(heading) - driftMps * Math.cos(drift),
            current * Math.sin(heading) - driftMps * Math.sin(drift)
        };
    }

    /** Length of the line when the lure meets the water. */
    double lineLengthM() {
        return Math.hypot(castM, rodTipM);
    }

    /**
     * Current at a depth: u_s (1 - z/D)^(1/7), over the last hundredth of the depth straight down to none. The law's
     * slope has no end at the bottom, and a lure that hovers there would be followed in ever smaller steps.
     */
    public double currentMps(double z) {
        if (surfaceMps == 0) {
            return 0;
        }
        double up = Math.max(0, 1 - z / depthM);
        return surfaceMps * Math.pow(Math.max(up, BED), PROFILE) * Math.min(1, up / BED);
    }

    /** Seconds of a free fall to a depth in closed form: sqrt(rho/(2W)) 2/(3c) ((S + c D)^1.5 - S^1.5), leader and main line apart. */
    public double freeFallSeconds(Lure lure, double toM) {
        double leader = Math.min(toM, line.leaderLengthM());
        double speed = Math.sqrt(water / (2 * lure.weightN()));
        double sum = piece(lure.dragM2(), LINE_DRAWN * line.leaderM(), leader);
        return speed * (sum + piece(lure.dragM2() + drawnM2(leader), LINE_DRAWN * line.mainM(), toM - leader));
    }

    /** Integral of sqrt(S + c z) over a length. */
    private static double piece(double s, double c, double length) {
        return c == 0 ? Math.sqrt(s) * length : 2 / (3 * c) * (Math.pow(s + c * length, 1.5) - Math.pow(s, 1.5));
    }
}
