package dusk.ledger.evidence;

/**
 * A share with its Wilson interval (J. Am. Stat. Assoc. 22, 1927), sound at 0 and 1.
 *
 * @param of how many there were, above 0
 */
public record Share(int count, int of, double share, Interval interval) {
    /** The share of {@code count} in {@code of}. */
    public static Share of(int count, int of) {
        if (!(of > 0) || count < 0 || count > of) {
            throw new IllegalArgumentException(
                    "expected a count of 0 to " + of + " of more than 0, not " + count + " of " + of);
        }
        double z = Quantiles.NORMAL_UPPER;
        double p = (double) count / of;
        double scale = 1 + z * z / of;
        double middle = (p + z * z / (2 * of)) / scale;
        double reach = z * Math.sqrt(p * (1 - p) / of + z * z / (4.0 * of * of)) / scale;
        double low = count == 0 ? 0 : Math.max(0, middle - reach);
        double high = count == of ? 1 : Math.min(1, middle + reach);
        return new Share(count, of, p, new Interval(low, high));
    }
}
