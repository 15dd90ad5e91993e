package dusk.ledger.water;

/**
 * Casts over an arc.
 *
 * @param stepDeg between casts
 */
public record Fan(double stepDeg, int casts, double minutes) {
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
        double step = Math.toDegrees(strikeM / castM);
        int casts = arcDeg >= 360 ? (int) Math.ceil(360 / step) : (int) Math.ceil(arcDeg / step) + 1;
        return new Fan(step, casts, casts * castSeconds / 60);
    }
}
