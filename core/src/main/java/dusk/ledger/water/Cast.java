package dusk.ledger.water;

/**
 * The water and the cast.
 *
 * @param depthM of the bottom, above 0
 * @param castM from under the rod tip to where the lure meets the water
 * @param rodTipM height of the tip above the water
 * @param lineM diameter of the line, in m
 * @param water density, kg/m3
 * @param surfaceMps speed of the current at the surface; 0 in still water
 * @param headingDeg of the current against the cast: 0 away from the angler, 90 to the right, 180 toward
 */
public record Cast(
        double depthM, double castM, double rodTipM, double lineM, double water, double surfaceMps, double headingDeg) {
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
        if (!(depthM > 0) || !(castM >= 0) || !(rodTipM >= 0) || !(lineM >= 0) || !(water > 0) || !(surfaceMps >= 0)) {
            throw new IllegalArgumentException("expected a depth and a density above 0, and the rest 0 or more, not "
                    + depthM + ", " + water + ", " + castM + ", " + rodTipM + ", " + lineM + " and " + surfaceMps);
        }
    }

    /** kg/m3 of sea water, or of fresh. */
    public static double density(boolean salt) {
        return salt ? SALT : FRESH;
    }

    /** The same cast in another current, of the same heading. */
    Cast inCurrent(double mps) {
        return new Cast(depthM, castM, rodTipM, lineM, water, mps, headingDeg);
    }

    /** The same cast with a current of another heading. */
    public Cast withHeading(double deg) {
        return new Cast(depthM, castM, rodTipM, lineM, water, surfaceMps, deg);
    }

    /** c of S* = S + c z. */
    double drawnPerMetre() {
        return LINE_DRAWN * lineM;
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

    /** Seconds of a free fall to a depth in closed form: sqrt(rho/(2W)) 2/(3c) ((S + c D)^1.5 - S^1.5). */
    public double freeFallSeconds(Lure lure, double toM) {
        double speed = Math.sqrt(water / (2 * lure.weightN()));
        double c = drawnPerMetre();
        double s = lure.dragM2();
        return c == 0
                ? speed * Math.sqrt(s) * toM
                : speed * 2 / (3 * c) * (Math.pow(s + c * toM, 1.5) - Math.pow(s, 1.5));
    }
}
