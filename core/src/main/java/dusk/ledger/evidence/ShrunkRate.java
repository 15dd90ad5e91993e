package dusk.ledger.evidence;

/**
 * A rate once luck is allowed for: posterior mean and 95 % interval, fish a rod-hour. Rankings use this, never the crude rate.
 */
public record ShrunkRate(double mean, Interval interval) {
    static ShrunkRate of(double shape, double rate) {
        return new ShrunkRate(
                shape / rate,
                new Interval(
                        Quantiles.gamma(Quantiles.LOWER, shape, rate), Quantiles.gamma(Quantiles.UPPER, shape, rate)));
    }
}
