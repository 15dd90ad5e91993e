package dusk.ledger.units;

/** A point on the earth. Degrees, north and east positive. */
public record Position(double latitude, double longitude) {
    public Position {
        if (!(latitude >= -90 && latitude <= 90)) {
            throw new IllegalArgumentException("A latitude must lie from -90 to 90, not " + latitude + ".");
        }
        if (!(longitude >= -180 && longitude <= 180)) {
            throw new IllegalArgumentException("A longitude must lie from -180 to 180, not " + longitude + ".");
        }
    }
}
