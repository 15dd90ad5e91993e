package dusk.ledger.evidence;

/** A 95 % interval. */
public record Interval(double low, double high) {
    public Interval {
        if (!(low <= high)) {
            throw new IllegalArgumentException("an interval's low " + low + " must not be above its high " + high);
        }
    }

    public boolean contains(double value) {
        return low <= value && value <= high;
    }
}
