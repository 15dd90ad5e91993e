package dusk.ledger.evidence;

import org.apache.commons.statistics.distribution.GammaDistribution;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TDistribution;
import org.hipparchus.special.Gamma;

/** Quantiles of the distributions in use. */
final class Quantiles {
    static final double LOWER = 0.025;
    static final double UPPER = 0.975;

    /** qnorm(0.975), written 1.96 in the methods. */
    static final double NORMAL_UPPER = NormalDistribution.of(0, 1).inverseCumulativeProbability(UPPER);

    /** The library's own search stops at 1e-9 absolute, too coarse for small quantiles. */
    private static final int POLISHING_STEPS = 3;

    private static final double SMALL = 1e-6;

    private Quantiles() {}

    /**
     * Quantile of a gamma distribution.
     *
     * @param p probability in (0, 1)
     * @param shape above 0
     * @param rate above 0
     */
    static double gamma(double p, double shape, double rate) {
        GammaDistribution unit = GammaDistribution.of(shape, 1);
        double x = unit.inverseCumulativeProbability(p);
        if (x < SMALL) {
            // leading term of the incomplete gamma series, P(a, x) = x^a / Gamma(a + 1)
            x = Math.exp((Math.log(p) + Gamma.logGamma(shape + 1)) / shape);
        }
        for (int i = 0; i < POLISHING_STEPS; i++) {
            double density = unit.density(x);
            if (!(x > 0) || !(density > 0)) {
                break;
            }
            // Newton on log x, which keeps x positive
            double next = x * Math.exp((p - unit.cumulativeProbability(x)) / (density * x));
            if (!Double.isFinite(next)) {
                break;
            }
            x = next;
        }
        return x / rate;
    }

    /** t(0.975, df). */
    static double tUpper(double degreesOfFreedom) {
        return TDistribution.of(degreesOfFreedom).inverseCumulativeProbability(UPPER);
    }
}
