package dusk.ledger.evidence;

import org.apache.commons.statistics.distribution.NormalDistribution;

/** How much fishing a fair trial takes. */
public final class TrialSize {
    /** The chance of finding a difference that is there. */
    public static final double USUAL_POWER = 0.8;

    private TrialSize() {}

    /**
     * Rod-hours for each of two choices: f (1.96 + z(power))^2 (1/r0 + 1/r1) / (ln ratio)^2 with r1 = ratio r0, the
     * usual sample size for a ratio of two Poisson rates, stretched by their dispersion.
     *
     * @param r0 fish a rod-hour of the one, above 0
     * @param ratio by how much the other differs, above 0 and not 1
     * @param dispersion f, 1 or more
     * @param power in (0, 1)
     */
    public static double rodHoursEach(double r0, double ratio, double dispersion, double power) {
        if (!(r0 > 0) || !(ratio > 0) || ratio == 1 || !(dispersion >= 1) || !(power > 0 && power < 1)) {
            throw new IllegalArgumentException(
                    "expected a rate above 0, a ratio above 0 and not 1, a dispersion of 1 or"
                            + " more and a power between 0 and 1, not " + r0 + ", " + ratio + ", " + dispersion + ", "
                            + power);
        }
        double z = Quantiles.NORMAL_UPPER + NormalDistribution.of(0, 1).inverseCumulativeProbability(power);
        double log = Math.log(ratio);
        return dispersion * z * z * (1 / r0 + 1 / (ratio * r0)) / (log * log);
    }
}
