package dusk.ledger.water;

/** Where the fish are, between two depths in m. */
public record Band(double fromM, double toM) {
    public Band {
        if (!(fromM >= 0) || !(toM > fromM)) {
            throw new IllegalArgumentException(
                    "expected a band from 0 or deeper down to a greater depth, not " + fromM + " to " + toM);
        }
    }

    /** Seconds that a path spends in it. */
    public double secondsOf(Path path) {
        return path.secondsBetween(fromM, toM);
    }
}
