package dusk.ledger.units;

/** A direction over ground. Inside: degrees clockwise from north, 0 up to but not including 360. */
public record Bearing(double degrees) {
    public Bearing {
        if (!(degrees >= 0 && degrees < 360)) {
            throw new IllegalArgumentException(
                    "A direction must lie from 0 to under 360 degrees, not " + degrees + ".");
        }
    }

    public static Bearing ofDegrees(double degrees) {
        return new Bearing(degrees == 360 ? 0 : degrees);
    }

    /** As a person reads it: {@code 225°}. */
    public String show() {
        return Figures.trimmed(degrees, 0) + "°";
    }
}
