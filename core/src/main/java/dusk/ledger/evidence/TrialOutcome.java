package dusk.ledger.evidence;

import org.apache.commons.statistics.distribution.BetaDistribution;

/** What a trial's stints say by themselves. */
public final class TrialOutcome {
    private static final double PRIOR_SHAPE = 0.5;

    private TrialOutcome() {}

    /**
     * Chance that A's rate is above B's, given independent gamma posteriors with shape 0.5 + y/f and rate 0.5/pooled
     * + e/f: with shapes a, b and rates c, d it is 1 - I(c/(c + d); a, b), I the regularised incomplete beta
     * function, since G_a/(G_a + G_b) of two unit gammas is a Beta(a, b).
     *
     * @param dispersion f, 1 or more
     * @return one half where no fish was caught at all on equal fishing, since nothing is known of the rate
     */
    public static double chanceThatABeatsB(Effort a, Effort b, double dispersion) {
        if (!(a.rodHours() > 0) || !(b.rodHours() > 0) || !(dispersion >= 1)) {
            throw new IllegalArgumentException(
                    "expected rod-hours above 0 on both sides and a dispersion of 1 or more, not " + a.rodHours() + ", "
                            + b.rodHours() + " and " + dispersion);
        }
        double fish = a.fish() + b.fish();
        double priorRate = fish > 0 ? PRIOR_SHAPE * (a.rodHours() + b.rodHours()) / fish : 0;
        double rateA = priorRate + a.rodHours() / dispersion;
        double rateB = priorRate + b.rodHours() / dispersion;
        return BetaDistribution.of(PRIOR_SHAPE + a.fish() / dispersion, PRIOR_SHAPE + b.fish() / dispersion)
                .survivalProbability(rateA / (rateA + rateB));
    }
}
