package dusk.ledger.plan;

import java.util.List;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.hipparchus.special.Gamma;

/**
 * What is known of places of a kind before a line is wet: one holds biting fish with chance p0, and where it does
 * bites come at a rate ~ Gamma(a, b).
 *
 * @param chance p0, in [0.05, 0.95]
 * @param shape a, 0.5 or more
 * @param rodHours b, above 0
 * @param stints from how many it was learnt; 0 where they were too few and it is assumed
 */
public record Holding(double chance, double shape, double rodHours, int stints) {
    private static final int LEAST_STINTS = 20;
    private static final double LEAST_CHANCE = 0.05;
    private static final double MOST_CHANCE = 0.95;
    private static final double LEAST_SHAPE = 0.5;
    private static final double MOST_SHAPE = 200;
    private static final int MOST_ROUNDS = 300;
    private static final double SETTLED = 1e-7;
    private static final int MOST_EVALUATIONS = 200;
    private static final int HALVINGS = 80;

    public Holding {
        if (!(chance > 0 && chance < 1) || !(shape > 0) || !(rodHours > 0)) {
            throw new IllegalArgumentException(
                    "expected a chance between 0 and 1 and a shape and rod-hours above 0, not " + chance + ", " + shape
                            + " and " + rodHours);
        }
    }

    /** A first stint at a place: bites in rod-hours above 0. */
    public record FirstStint(int bites, double rodHours) {}

    /**
     * Learns it by maximum likelihood (EM): a stint with a bite was at a holding place; one without was with chance
     * p0 L/(p0 L + 1 - p0), L = (b/(b+t))^a. Under 20 stints p0 = 0.5, a = 1, b = 1/overall bite rate.
     *
     * @param overallRate bites a rod-hour over all fishing, above 0; used where there is too little to learn from
     */
    public static Holding learn(List<FirstStint> stints, double overallRate) {
        int bites = stints.stream().mapToInt(FirstStint::bites).sum();
        if (stints.size() < LEAST_STINTS || bites == 0) {
            return new Holding(0.5, 1, 1 / overallRate, 0);
        }
        double chance = 0.5;
        double hours = stints.stream().mapToDouble(FirstStint::rodHours).sum();
        double shape = 1;
        double rate = hours / bites;
        double[] weights = new double[stints.size()];
        for (int round = 0; round < MOST_ROUNDS; round++) {
            double sum = 0;
            for (int i = 0; i < weights.length; i++) {
                FirstStint stint = stints.get(i);
                double blank = chance * Math.pow(rate / (rate + stint.rodHours()), shape);
                weights[i] = stint.bites() > 0 ? 1 : blank / (blank + 1 - chance);
                sum += weights[i];
            }
            double nextChance = Math.max(LEAST_CHANCE, Math.min(MOST_CHANCE, sum / weights.length));
            double nextShape = bestShape(stints, weights);
            double nextRate = bestRate(stints, weights, nextShape);
            double moved = Math.abs(nextChance - chance)
                    + Math.abs(Math.log(nextShape / shape))
                    + Math.abs(Math.log(nextRate / rate));
            chance = nextChance;
            shape = nextShape;
            rate = nextRate;
            if (moved < SETTLED) {
                break;
            }
        }
        return new Holding(chance, shape, rate, stints.size());
    }

    private static double bestShape(List<FirstStint> stints, double[] weights) {
        double log = new BrentOptimizer(1e-9, 1e-9)
                .optimize(
                        new MaxEval(MOST_EVALUATIONS),
                        GoalType.MAXIMIZE,
                        new UnivariateObjectiveFunction(logShape -> {
                            double shape = Math.exp(logShape);
                            return likelihood(stints, weights, shape, bestRate(stints, weights, shape));
                        }),
                        new SearchInterval(Math.log(LEAST_SHAPE), Math.log(MOST_SHAPE)))
                .getPoint();
        return Math.exp(log);
    }

    private static double likelihood(List<FirstStint> stints, double[] weights, double shape, double rate) {
        double sum = 0;
        double start = Gamma.logGamma(shape);
        for (int i = 0; i < weights.length; i++) {
            FirstStint stint = stints.get(i);
            double gained = stint.bites() == 0 ? 0 : Gamma.logGamma(shape + stint.bites()) - start;
            sum += weights[i]
                    * (gained
                            + shape * Math.log(rate / (rate + stint.rodHours()))
                            + stint.bites() * Math.log(stint.rodHours() / (rate + stint.rodHours())));
        }
        return sum;
    }

    /**
     * For a shape the best b: sum w (a/b - (a + n)/(b + t)) = 0, times b, falls from a positive value to a negative
     * one as b grows, unless bites are none.
     */
    private static double bestRate(List<FirstStint> stints, double[] weights, double shape) {
        double low = Math.log(1e-6);
        double high = Math.log(1e9);
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            double rate = Math.exp(middle);
            double slope = 0;
            for (int k = 0; k < weights.length; k++) {
                FirstStint stint = stints.get(k);
                slope += weights[k] * (shape - (shape + stint.bites()) * rate / (rate + stint.rodHours()));
            }
            if (slope > 0) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return Math.exp((low + high) / 2);
    }

    /** Chance that the place holds fish after n bites in t rod-hours: 1 with a bite, else p0 L/(p0 L + 1 - p0). */
    public double chanceAfter(int bites, double hours) {
        if (bites > 0) {
            return 1;
        }
        double blank = chance * Math.pow(rodHours / (rodHours + hours), shape);
        return blank / (blank + 1 - chance);
    }

    /** Bites a rod-hour to expect from here on: the chance that it holds fish times (a + n)/(b + t). */
    public double rateAfter(int bites, double hours) {
        return chanceAfter(bites, hours) * (shape + bites) / (rodHours + hours);
    }
}
