package dusk.ledger.evidence;

import java.util.List;
import java.util.Optional;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.hipparchus.special.Gamma;

/**
 * What the levels of a factor have in common: Gamma(shape a, rate b) over their catch rates.
 *
 * <p>(a, b) maximise sum over levels: lgamma(a+y) - lgamma(a) - lgamma(y+1) + a log(b/(b+e)) + y log(e/(b+e)), the
 * gamma-Poisson (negative binomial) likelihood of empirical Bayes. For a given a the best mean m = a/b solves sum (y
 * - m e)/(a + m e) = 0, which falls in m; what is left is one search over log a.
 *
 * @param shape a
 * @param rate b, rod-hours
 */
public record GammaPrior(double shape, double rate) {
    /** Where the maximum runs off, the levels differ no more than chance: a shape this large pulls all to the pooled rate. */
    private static final double CHANCE_SHAPE = 1e4;

    private static final double LEAST_LOG_SHAPE = Math.log(1e-3);
    private static final double MOST_LOG_SHAPE = Math.log(CHANCE_SHAPE);
    private static final int GRID = 80;
    private static final int MOST_EVALUATIONS = 500;

    /**
     * @param levels fish and rod-hours of each level, both divided by the swing of trips
     * @return empty where there is no fish at all
     */
    public static Optional<GammaPrior> fit(List<Effort> levels) {
        double fish = levels.stream().mapToDouble(Effort::fish).sum();
        double hours = levels.stream().mapToDouble(Effort::rodHours).sum();
        if (!(fish > 0)) {
            return Optional.empty();
        }
        double pooled = fish / hours;
        if (levels.size() <= 2) {
            return Optional.of(new GammaPrior(1, 1 / pooled));
        }
        double shape = bestShape(levels);
        if (shape >= CHANCE_SHAPE) {
            return Optional.of(new GammaPrior(CHANCE_SHAPE, CHANCE_SHAPE / pooled));
        }
        return Optional.of(new GammaPrior(shape, shape / bestMean(levels, shape)));
    }

    /** Whether the levels differ no more than chance would have them. */
    public boolean onlyChance() {
        return shape >= CHANCE_SHAPE;
    }

    /** Posterior of a level's rate: Gamma(a+y, b+e). */
    public ShrunkRate given(Effort level) {
        return ShrunkRate.of(shape + level.fish(), rate + level.rodHours());
    }

    private static double bestShape(List<Effort> levels) {
        double step = (MOST_LOG_SHAPE - LEAST_LOG_SHAPE) / GRID;
        int best = 0;
        double bestValue = Double.NEGATIVE_INFINITY;
        for (int i = 0; i <= GRID; i++) {
            double value = profile(levels, LEAST_LOG_SHAPE + i * step);
            if (value > bestValue) {
                best = i;
                bestValue = value;
            }
        }
        if (best == GRID) {
            return CHANCE_SHAPE;
        }
        double from = LEAST_LOG_SHAPE + Math.max(0, best - 1) * step;
        double to = LEAST_LOG_SHAPE + (best + 1) * step;
        double logShape = new BrentOptimizer(1e-9, 1e-10)
                .optimize(
                        new UnivariateObjectiveFunction(x -> profile(levels, x)),
                        GoalType.MAXIMIZE,
                        new SearchInterval(from, to, LEAST_LOG_SHAPE + best * step),
                        new MaxEval(MOST_EVALUATIONS))
                .getPoint();
        return Math.exp(logShape);
    }

    /** Log-likelihood at the best mean for a shape. */
    private static double profile(List<Effort> levels, double logShape) {
        double a = Math.exp(logShape);
        double b = a / bestMean(levels, a);
        double sum = 0;
        for (Effort level : levels) {
            double y = level.fish();
            double e = level.rodHours();
            sum += Gamma.logGamma(a + y) - Gamma.logGamma(a) - a * Math.log1p(e / b) + y * Math.log(e / (b + e));
        }
        return sum;
    }

    private static double bestMean(List<Effort> levels, double shape) {
        double least = Double.POSITIVE_INFINITY;
        double most = 0;
        for (Effort level : levels) {
            double rate = level.fish() / level.rodHours();
            least = Math.min(least, rate);
            most = Math.max(most, rate);
        }
        if (least == most) {
            return least;
        }
        double floor = Math.max(least, most * 1e-12);
        return new BracketingNthOrderBrentSolver(1e-14, 1e-14, 1e-15, 5)
                .solve(
                        MOST_EVALUATIONS,
                        m -> {
                            double sum = 0;
                            for (Effort level : levels) {
                                sum += (level.fish() - m * level.rodHours()) / (shape + m * level.rodHours());
                            }
                            return sum;
                        },
                        floor,
                        most);
    }
}
