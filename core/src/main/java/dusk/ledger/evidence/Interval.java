package dusk.ledger.evidence;

/** A 95 % interval. */
public record Interval(double low, double high) {
    public Interval {
        if (!(low <= high)) {
            throw new IllegalArgumentException("an interval's low " + low + " must not be above its high " + high);
        }
    }

    /** Of something above 0 whose log is normal. */
    public static Interval around(double middle, double varianceOfLog) {
        double reach = Math.exp(Quantiles.NORMAL_UPPER * Math.sqrt(varianceOfLog));
        return new Interval(middle / reach, middle * reach);
    }

    public boolean contains(double value) {
        return low <= value && value <= high;
    }
}
