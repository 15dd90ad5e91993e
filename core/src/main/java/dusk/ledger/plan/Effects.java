package dusk.ledger.plan;

import java.util.ArrayList;
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
 * multiplied by a factor of a grid. In the same way the records say how far the rules as a whole are to be believed: a level
 * that a rule speaks of has a mean of so much of the rule's, and a variance between the rule's and that of a level that
 * nobody speaks of. Neither is taken as the likeliest one: each pair has the weight that the records give it (its evidence,
 * by Laplace), and the posterior is the normal with the mean and covariance of them all together, so that what is not known
 * of either is in every interval. Without records the widths are 1 and the rules are believed.
 */
final class Effects {
    private static final double[] WIDTHS = {1, 0.5, 0.25, 0.12, 0.05};
    private static final double[] LESS_TRUST = {0.5, 0};

    /** Evidence below that of the best pair by so much, in natural logs, is worth no fit. */
    private static final double OUT_OF_THE_QUESTION = 25;

    /** A pair of less weight moves no figure that is shown. */
    private static final double NO_WEIGHT = 1e-4;

    private static final int MOST_STEPS = 60;
    private static final double SMALL_STEP = 1e-6;

    private final double[] mean;
    private final double[][] covariance;
    private final double width;
    private final double trust;

    private Effects(List<Mode> modes) {
        double[] weights = weights(modes);
        int size = modes.get(0).at.length;
        mean = new double[size];
        covariance = new double[size][size];
        double widths = 0;
        double trusts = 0;
        for (int k = 0; k < weights.length; k++) {
            Mode mode = modes.get(k);
            widths += weights[k] * mode.width;
            trusts += weights[k] * mode.trust;
            for (int i = 0; i < size; i++) {
                mean[i] += weights[k] * mode.at[i];
            }
        }
        for (int k = 0; k < weights.length; k++) {
            if (weights[k] < NO_WEIGHT) {
                continue;
            }
            Mode mode = modes.get(k);
            double[][] own = mode.covariance();
            for (int i = 0; i < size; i++) {
                for (int j = 0; j < size; j++) {
                    covariance[i][j] += weights[k] * (own[i][j] + (mode.at[i] - mean[i]) * (mode.at[j] - mean[j]));
                }
            }
        }
        width = widths;
        trust = trusts;
    }

    /** By their evidence; of all sum 1. */
    private static double[] weights(List<Mode> modes) {
        double most = modes.stream().mapToDouble(mode -> mode.evidence).max().orElseThrow();
        double[] weights = modes.stream()
                .mapToDouble(mode -> Math.exp(mode.evidence - most))
                .toArray();
        double sum = Arrays.stream(weights).sum();
        return Arrays.stream(weights).map(weight -> weight / sum).toArray();
    }

    /**
     * A stint of a block.
     *
     * @param levels numbers of its levels
     * @param fish weighted
     * @param hours weighted, above 0
     */
    @SuppressWarnings("ArrayRecordComponent") // for speed; never compared
    record Stint(int[] levels, double fish, double hours) {
        /** The levels in order, since only half of what is even about them is summed. */
        Stint {
            levels = levels.clone();
            Arrays.sort(levels);
        }
    }

    /**
     * What is held of a level before the records.
     *
     * @param sd above 0
     * @param open whether nobody says anything of it, so that the records tell how far such levels differ
     */
    record Prior(double mean, double sd, boolean open) {
        /** What a level of which nobody says anything may differ, before the records say. */
        static final double OPEN_SD = 0.7;

        private double variance(double width, double trust) {
            double own = sd * sd;
            double unheard = OPEN_SD * OPEN_SD * width * width;
            return open ? own * width * width : trust * own + (1 - trust) * unheard;
        }
    }

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
        List<Mode> modes = new ArrayList<>();
        if (speaking.isEmpty()) {
            modes.add(new Mode(speaking, priors, alike, 1, 1, null));
        } else {
            boolean ruled = priors.stream().anyMatch(prior -> !prior.open());
            double[] from = null;
            for (double width : WIDTHS) {
                Mode mode = new Mode(speaking, priors, alike, width, 1, from);
                modes.add(mode);
                from = mode.at;
            }
            double most =
                    modes.stream().mapToDouble(mode -> mode.evidence).max().orElseThrow();
            for (Mode believing : ruled ? List.copyOf(modes) : List.<Mode>of()) {
                // a width that is out of the question is so whatever the rules are worth
                if (believing.evidence > most - OUT_OF_THE_QUESTION) {
                    for (double trust : LESS_TRUST) {
                        modes.add(new Mode(speaking, priors, alike, believing.width, trust, believing.at));
                    }
                }
            }
        }
        return new Effects(modes);
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

    /** By which the priors' widths are multiplied, in the mean. */
    double width() {
        return width;
    }

    /** How far the records bear the rules out, 0 to 1, in the mean. */
    double trust() {
        return trust;
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
        private final double trust;
        private final double[] at;
        private final double[][] curvature;
        private final double evidence;

        Mode(
                List<List<Stint>> blocks,
                List<Prior> priors,
                double alike,
                double width,
                double trust,
                double @Nullable [] from) {
            this.blocks = blocks;
            priorMean = priors.stream()
                    .mapToDouble(prior -> prior.open() ? prior.mean() : trust * prior.mean())
                    .toArray();
            this.alike = alike;
            this.width = width;
            this.trust = trust;
            precision = priors.stream()
                    .mapToDouble(prior -> 1 / prior.variance(width, trust))
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
            for (int i = 0; i < effect.length; i++) {
                for (int j = 0; j < i; j++) {
                    curvature[i][j] = curvature[j][i];
                }
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
            double weight = fish / dispersion;
            // the upper half; the lower is its mirror
            for (int i = 0; i < present.length; i++) {
                int a = present[i];
                double own = weight * mean[a];
                slope[a] -= own;
                for (int j = i; j < present.length; j++) {
                    curvature[a][present[j]] -= own * mean[present[j]];
                }
            }
            for (int i = 0; i < share.length; i++) {
                int[] levels = block.get(i).levels();
                double own = weight * share[i];
                for (int a = 0; a < levels.length; a++) {
                    for (int b = a; b < levels.length; b++) {
                        curvature[levels[a]][levels[b]] += own;
                    }
                }
            }
            return height / dispersion;
        }
    }
}
