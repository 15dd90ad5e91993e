package dusk.ledger.places;

import dusk.ledger.units.Position;

/**
 * A piece of the earth as a plane about a point, good to a thousandth over some tens of kilometres: metres east and
 * north of it (equirectangular, with the point's own parallel kept true).
 */
public record Plane(Position centre) {
    /** Of the mean sphere (IUGG). */
    private static final double EARTH_RADIUS_M = 6_371_008.8;

    private static final double METRES_A_DEGREE = Math.toRadians(EARTH_RADIUS_M);

    private static final double HALF_TURN = 180;

    /** Nearer than that to a pole a parallel is no measure of anything. */
    private static final double LEAST_COSINE = 1e-6;

    /** Metres east of the centre, the shorter way round the earth. */
    public double east(Position position) {
        double degrees = position.longitude() - centre.longitude();
        if (degrees > HALF_TURN) {
            degrees -= 2 * HALF_TURN;
        } else if (degrees < -HALF_TURN) {
            degrees += 2 * HALF_TURN;
        }
        return degrees * METRES_A_DEGREE * cosine();
    }

    /** Metres north of the centre. */
    public double north(Position position) {
        return (position.latitude() - centre.latitude()) * METRES_A_DEGREE;
    }

    /** The point so many metres east and north of the centre. */
    public Position at(double east, double north) {
        double latitude = Math.max(-90, Math.min(90, centre.latitude() + north / METRES_A_DEGREE));
        double longitude = centre.longitude() + east / (METRES_A_DEGREE * cosine());
        double turned = (longitude + HALF_TURN) % (2 * HALF_TURN);
        return new Position(latitude, (turned < 0 ? turned + 2 * HALF_TURN : turned) - HALF_TURN);
    }

    private double cosine() {
        return Math.max(LEAST_COSINE, Math.cos(Math.toRadians(centre.latitude())));
    }

    /** The longest round length, of 1, 2 or 5 and noughts, that is no longer than a span. */
    public static double round(double metres) {
        double ten = Math.pow(10, Math.floor(Math.log10(metres)));
        double first = metres / ten;
        return ten * (first >= 5 ? 5 : first >= 2 ? 2 : 1);
    }
}
