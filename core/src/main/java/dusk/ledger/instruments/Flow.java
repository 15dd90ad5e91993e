package dusk.ledger.instruments;

/**
 * How something moves over the ground: a boat, a wind, a current.
 *
 * @param eastMps metres a second to the east
 * @param northMps metres a second to the north
 */
public record Flow(double eastMps, double northMps) {
    /** Towards a direction, clockwise from north. */
    public static Flow to(double mps, double deg) {
        double angle = Math.toRadians(deg);
        return new Flow(mps * Math.sin(angle), mps * Math.cos(angle));
    }

    /** Out of a direction, as winds are told. */
    public static Flow from(double mps, double deg) {
        return to(mps, deg + 180);
    }

    public Flow plus(Flow other) {
        return new Flow(eastMps + other.eastMps, northMps + other.northMps);
    }

    public Flow minus(Flow other) {
        return new Flow(eastMps - other.eastMps, northMps - other.northMps);
    }

    Flow times(double factor) {
        return new Flow(eastMps * factor, northMps * factor);
    }

    public double mps() {
        return Math.hypot(eastMps, northMps);
    }

    /** Where to, clockwise from north, 0 up to but not including 360. */
    public double toDeg() {
        double deg = Math.toDegrees(Math.atan2(eastMps, northMps));
        double turned = deg < 0 ? deg + 360 : deg;
        return turned >= 360 ? 0 : turned;
    }
}
