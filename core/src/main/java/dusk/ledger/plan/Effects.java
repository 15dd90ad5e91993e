package dusk.ledger.plan;

import java.util.Arrays;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.jspecify.annotations.Nullable;

/**
 * What levels of tackle do, all at once: a normal on each log ratio before the records, and within each block of stints
 * (a trip in one pair of hands) the fish fall on its stints in proportion to hours x exp(sum of their levels), as in the
 * conditional Poisson regression of matched data. The posterior's mode by Newton's steps, its covariance from the
 * curvature there (Laplace). Levels that are always tied on together therefore share what the records say, where one
 * ratio for each would count it as often as it has names.
 *
 * <p>How far levels differ of which nobody says anything is read off the records too: the width of their priors is
 * multiplied by the one factor of a grid that makes the records likeliest (empirical Bayes); without records it is 1. A
 * level that a rule speaks of keeps its own: that the others hardly differ is no reason to believe the rule.
 */
final class Effects {
    private static final double[] WIDTHS = {1, 0.8, 0.6, 0.45, 0.35, 0.25, 0.18, 0.12, 0.08, 0.05, 0.03};
    private static final int MOST_STEPS = 60;
    private static final double SMALL_STEP = 1e-8;

    private final double[] mean;
    private final double[][] covariance;
    private final double width;

    private Effects(double[] mean, double[][] covariance, double width) {
        this.mean = mean;
        this.covariance = covariance;
        this.width = width;
    }

    /**
     * A stint of a block.
     *
     * @param levels numbers of its levels
     * @param fish weighted
     * @param hours weighted, above 0
     */
    @SuppressWarnings("ArrayRecordComponent") // for speed; never compared
    record Stint(int[] levels, double fish, double hours) {}

    /**
     * What is held of a level before the records.
     *
     * @param sd above 0
     * @param open whether nobody says anything of it, so that the records tell how far such levels differ
     */
    record Prior(double mean, double sd, boolean open) {}

    /**
     * Fits.
     *
     * @param blocks stints by what they have in common
     * @param priors by level
     */
    static Effects of(List<List<Stint>> blocks, List<Prior> priors) {
        List<List<Stint>> speaking = blocks.stream()
                .filter(block -> block.size() > 1 && block.stream().anyMatch(s -> s.fish() > 0))
                .toList();
        double alike = alike(speaking);
        Mode best = null;
        for (double width : speaking.isEmpty() ? new double[] {1} : WIDTHS) {
            Mode mode = new Mode(speaking, priors, alike, width, best == null ? null : best.at);
            if (best == null || mode.evidence > best.evidence) {
                best = mode;
            }
        }
        if (best == null) {
            throw new IllegalStateException("no width of the priors was tried");
        }
        return new Effects(best.at, best.covariance(), best.width);
    }

    /**
     * How much alike the fish of one block choose, 0 for each by itself: what brings Pearson's chi-square of blocks to its
     * degrees of freedom where a block of Y fish speaks as Y / (1 + (Y - 1) of it) (moments of the Dirichlet-multinomial).
     * However many came on one great day, they say no more than one over this of fish would.
     */
    private static double alike(List<List<Stint>> blocks) {
        double excess = 0;
        double reach = 0;
        for (List<Stint> block : blocks) {
            double fish = block.stream().mapToDouble(Stint::fish).sum();
            double hours = block.stream().mapToDouble(Stint::hours).sum();
            double chiSquare = 0;
            for (Stint stint : block) {
                double expected = fish * stint.hours() / hours;
                chiSquare += (stint.fish() - expected) * (stint.fish() - expected) / expected;
            }
            int freedom = block.size() - 1;
            excess += chiSquare - freedom;
            reach += (fish - 1) * freedom;
        }
        return reach > 0 ? Math.max(0, Math.min(1, excess / reach)) : 0;
    }

    double mean(int level) {
        return mean[level];
    }

    double sd(int level) {
        return Math.sqrt(covariance[level][level]);
    }

    /** By which the priors' widths were multiplied. */
    double width() {
        return width;
    }

    /** Of the sum over some levels. */
    double mean(int[] levels) {
        return Arrays.stream(levels).mapToDouble(l -> mean[l]).sum();
    }

    /** Of the sum over some levels. */
    double variance(int[] levels) {
        double sum = 0;
        for (int a : levels) {
            for (int b : levels) {
                sum += covariance[a][b];
            }
        }
        return sum;
    }

    /** How many levels there are. */
    int count() {
        return mean.length;
    }

    /** Of the sum over all levels, each so many times. */
    double variance(double[] times) {
        double sum = 0;
        for (int a = 0; a < times.length; a++) {
            for (int b = 0; b < times.length; b++) {
                sum += times[a] * times[b] * covariance[a][b];
            }
        }
        return sum;
    }

    /** Draws of all levels at once, each a row. */
    double[][] draws(int count, RandomGenerator random) {
        int size = mean.length;
        double[][] draws = new double[count][size];
        if (size == 0) {
            return draws;
        }
        double[][] root = Mode.cholesky(covariance).getL().getData();
        for (double[] draw : draws) {
            double[] unit = new double[size];
            Arrays.setAll(unit, i -> random.nextGaussian());
            for (int i = 0; i < size; i++) {
                draw[i] = mean[i];
                for (int j = 0; j <= i; j++) {
                    draw[i] += root[i][j] * unit[j];
                }
            }
        }
        return draws;
    }

    /** The likeliest effects for one width of the priors. */
    private static final class Mode {
        private final List<List<Stint>> blocks;
        private final double[] priorMean;
        private final double[] precision;
        private final double alike;
        private final double width;
        private final double[] at;
        private final double[][] curvature;
        private final double evidence;

        Mode(List<List<Stint>> blocks, List<Prior> priors, double alike, double width, double @Nullable [] from) {
            this.blocks = blocks;
            priorMean = priors.stream().mapToDouble(Prior::mean).toArray();
            this.alike = alike;
            this.width = width;
            precision = priors.stream()
                    .mapToDouble(prior -> prior.open() ? prior.sd() * width : prior.sd())
                    .map(sd -> 1 / (sd * sd))
                    .toArray();
            at = from == null ? priorMean.clone() : from.clone();
            curvature = new double[at.length][at.length];
            double value = climb();
            double logDet = 0;
            for (int i = 0; i < at.length; i++) {
                logDet -= Math.log(precision[i]);
            }
            if (at.length > 0) {
                double[][] root = cholesky(curvature).getL().getData();
                for (int i = 0; i < at.length; i++) {
                    logDet += 2 * Math.log(root[i][i]);
                }
            }
            evidence = value - logDet / 2;
        }

        static CholeskyDecomposition cholesky(double[][] matrix) {
            // sums of the same terms in another order differ in their last bits, which the library takes for a fault
            double[][] even = new double[matrix.length][matrix.length];
            for (int i = 0; i < matrix.length; i++) {
                for (int j = 0; j < matrix.length; j++) {
                    even[i][j] = (matrix[i][j] + matrix[j][i]) / 2;
                }
            }
            return new CholeskyDecomposition(new Array2DRowRealMatrix(even, false), 1e-6, 1e-14);
        }

        double[][] covariance() {
            return at.length == 0
                    ? new double[0][0]
                    : cholesky(curvature).getSolver().getInverse().getData();
        }

        /** Newton's steps, halved where they overshoot; the height reached. */
        private double climb() {
            double[] slope = new double[at.length];
            double height = height(at, slope);
            for (int step = 0; step < MOST_STEPS && at.length > 0; step++) {
                double[] move = cholesky(curvature)
                        .getSolver()
                        .solve(new ArrayRealVector(slope, false))
                        .toArray();
                double part = 1;
                double[] next = moved(move, part);
                double[] nextSlope = new double[at.length];
                double reached = height(next, nextSlope);
                while (!(reached >= height) && part > 1e-6) {
                    part /= 2;
                    next = moved(move, part);
                    reached = height(next, nextSlope);
                }
                boolean there = Math.abs(reached - height) < SMALL_STEP;
                System.arraycopy(next, 0, at, 0, at.length);
                slope = nextSlope;
                height = reached;
                if (there) {
                    break;
                }
            }
            return height;
        }

        private double[] moved(double[] move, double part) {
            double[] next = new double[at.length];
            Arrays.setAll(next, i -> at[i] + part * move[i]);
            return next;
        }

        /** Log posterior but for a constant; fills its slope, and the curvature there. */
        private double height(double[] effect, double[] slope) {
            double height = 0;
            for (int i = 0; i < effect.length; i++) {
                double off = effect[i] - priorMean[i];
                height -= precision[i] * off * off / 2;
                slope[i] = -precision[i] * off;
                Arrays.fill(curvature[i], 0);
                curvature[i][i] = precision[i];
            }
            for (List<Stint> block : blocks) {
                height += block(block, effect, slope);
            }
            return height;
        }

        private double block(List<Stint> block, double[] effect, double[] slope) {
            double fish = 0;
            double hours = 0;
            double height = 0;
            double[] share = new double[block.size()];
            for (int i = 0; i < share.length; i++) {
                Stint stint = block.get(i);
                double sum = 0;
                for (int level : stint.levels()) {
                    sum += effect[level];
                }
                share[i] = stint.hours() * Math.exp(sum);
                hours += share[i];
                fish += stint.fish();
                height += stint.fish() * sum;
            }
            height -= fish * Math.log(hours);
            double dispersion = 1 + Math.max(0, fish - 1) * alike;
            // mean of the levels under the shares, over the levels that the block has
            double[] mean = new double[effect.length];
            for (int i = 0; i < share.length; i++) {
                share[i] /= hours;
                for (int level : block.get(i).levels()) {
                    mean[level] += share[i];
                    slope[level] += block.get(i).fish() / dispersion;
                }
            }
            int[] present = IntStream.range(0, mean.length)
                    .filter(level -> mean[level] > 0)
                    .toArray();
            for (int a : present) {
                slope[a] -= fish * mean[a] / dispersion;
                for (int b : present) {
                    curvature[a][b] -= fish * mean[a] * mean[b] / dispersion;
                }
            }
            for (int i = 0; i < share.length; i++) {
                for (int a : block.get(i).levels()) {
                    for (int b : block.get(i).levels()) {
                        curvature[a][b] += fish * share[i] / dispersion;
                    }
                }
            }
            return height / dispersion;
        }
    }
}
