package dusk.ledger.evidence;

import java.util.Arrays;
import org.hipparchus.exception.MathIllegalArgumentException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.MatrixUtils;
import org.jspecify.annotations.Nullable;

/**
 * Poisson regression with log link and offset log effort, by iteratively reweighted least squares (McCullagh &
 * Nelder, Generalized Linear Models, 2.5), with standard errors clustered as in (X'WX)^-1 (sum_t g_t g_t') (X'WX)^-1
 * G/(G-1), g_t a cluster's sum of scores (Liang & Zeger 1986).
 *
 * <p>Three things keep it quick and change nothing in what comes out. Observations alike in all columns are one cell:
 * fish and effort of a cell are all that the coefficients rest on. A factor of many levels is not fitted column by column but
 * as a constant a group, eliminated from the normal equations in each step (their block is diagonal: Schur's complement of
 * it is left). And of the errors only those asked for are reckoned: with v the row of (X'WX)^-1 of a coefficient, its variance is
 * sum_t (v g_t)^2 G/(G-1), which needs one sum a cluster.
 */
final class PoissonFit {
    private static final double CONVERGED = 1e-10;
    private static final int MOST_STEPS = 100;

    /** A column whose part that the columns before it do not tell is less than this share of it is collinear. */
    private static final double COLLINEAR = 1e-9;

    private final Data data;
    private final int[] placeOf;
    private final double[] beta;
    private final double[] constants;

    /** Fish a unit of effort in each cell, as fitted. */
    private final double[] rate;

    private final Normal normal;

    private PoissonFit(Data data, int[] placeOf, double[] beta, double[] constants, double[] rate, Normal normal) {
        this.data = data;
        this.placeOf = placeOf;
        this.beta = beta;
        this.constants = constants;
        this.rate = rate;
        this.normal = normal;
    }

    /**
     * What is alike in all columns, and what was observed of it.
     *
     * @param width how many columns there are
     * @param columns by cell, the columns that are not 0
     * @param values by cell, their values
     * @param group by cell, from 0: each group has a constant of its own
     * @param groups how many
     * @param cellOf by observation
     * @param fish by observation
     * @param effort by observation, above 0
     * @param cluster by observation, from 0
     * @param clusters how many
     */
    @SuppressWarnings("ArrayRecordComponent") // arrays for speed; made once, read once, never compared
    record Data(
            int width,
            int[][] columns,
            double[][] values,
            int[] group,
            int groups,
            int[] cellOf,
            double[] fish,
            double[] effort,
            int[] cluster,
            int clusters) {
        int cells() {
            return group.length;
        }

        private double[] byCell(double[] observed) {
            double[] sums = new double[cells()];
            for (int i = 0; i < observed.length; i++) {
                sums[cellOf[i]] += observed[i];
            }
            return sums;
        }
    }

    /** The normal equations for weights, with the groups' constants eliminated. */
    private static final class Normal {
        /** Weight of each group, and of each column in it. */
        final double[] ofGroup;

        final double[][] ofColumn;

        /** X'WX of the columns alone, then less what the constants tell. */
        final double[][] left;

        final double[] diagonal;

        Normal(Data data, int[] placeOf, int width, double[] weights) {
            ofGroup = new double[data.groups];
            ofColumn = new double[width][data.groups];
            left = new double[width][width];
            for (int c = 0; c < data.cells(); c++) {
                int[] columns = data.columns[c];
                double[] values = data.values[c];
                int group = data.group[c];
                ofGroup[group] += weights[c];
                for (int a = 0; a < columns.length; a++) {
                    int row = placeOf[columns[a]];
                    if (row < 0) {
                        continue;
                    }
                    double weighted = weights[c] * values[a];
                    ofColumn[row][group] += weighted;
                    for (int b = 0; b <= a; b++) {
                        int column = placeOf[columns[b]];
                        if (column >= 0) {
                            left[Math.max(row, column)][Math.min(row, column)] += weighted * values[b];
                        }
                    }
                }
            }
            diagonal = new double[width];
            for (int a = 0; a < width; a++) {
                diagonal[a] = left[a][a];
                for (int b = 0; b <= a; b++) {
                    double told = 0;
                    for (int g = 0; g < data.groups; g++) {
                        told += ofGroup[g] > 0 ? ofColumn[a][g] * ofColumn[b][g] / ofGroup[g] : 0;
                    }
                    left[a][b] -= told;
                    left[b][a] = left[a][b];
                }
            }
        }

        DecompositionSolver solver() {
            return new CholeskyDecomposition(new Array2DRowRealMatrix(left, false), 1e-9, 1e-12).getSolver();
        }

        /**
         * Solves the whole system.
         *
         * @param columns right side of the columns
         * @param groups right side of the constants; what is given back of them is in it
         */
        double[] solve(double[] columns, double[] groups) {
            int width = columns.length;
            double[] right = columns.clone();
            for (int a = 0; a < width; a++) {
                for (int g = 0; g < groups.length; g++) {
                    right[a] -= ofColumn[a][g] * groups[g] / ofGroup[g];
                }
            }
            double[] found = width == 0
                    ? right
                    : solver().solve(MatrixUtils.createRealVector(right)).toArray();
            for (int g = 0; g < groups.length; g++) {
                double told = 0;
                for (int a = 0; a < width; a++) {
                    told += ofColumn[a][g] * found[a];
                }
                groups[g] = (groups[g] - told) / ofGroup[g];
            }
            return found;
        }
    }

    /** Whether a column stayed: one that those before it and the constants tell is dropped. */
    boolean has(int column) {
        return placeOf[column] >= 0;
    }

    double coefficient(int column) {
        return beta[placeOf[column]];
    }

    /** The constant of a group. */
    double constant(int group) {
        return constants[group];
    }

    double standardError(int column) {
        double[] columns = new double[beta.length];
        columns[placeOf[column]] = 1;
        return error(columns, new double[data.groups]);
    }

    double constantError(int group) {
        double[] groups = new double[data.groups];
        groups[group] = 1;
        return error(new double[beta.length], groups);
    }

    /** Error of what a unit vector picks, by its row of the inverse. */
    private double error(double[] columns, double[] groups) {
        double[] ofColumns = normal.solve(columns, groups);
        double[] weightOf = new double[data.cells()];
        for (int c = 0; c < weightOf.length; c++) {
            weightOf[c] = groups[data.group[c]] + sum(data, placeOf, ofColumns, c);
        }
        double[] scores = new double[data.clusters];
        for (int i = 0; i < data.fish.length; i++) {
            int cell = data.cellOf[i];
            scores[data.cluster[i]] += (data.fish[i] - data.effort[i] * rate[cell]) * weightOf[cell];
        }
        double squares = 0;
        for (double score : scores) {
            squares += score * score;
        }
        double g = data.clusters;
        return Math.sqrt(squares * g / (g - 1));
    }

    private static double sum(Data data, int[] placeOf, double[] of, int cell) {
        double sum = 0;
        int[] columns = data.columns[cell];
        for (int a = 0; a < columns.length; a++) {
            int place = placeOf[columns[a]];
            sum += place < 0 ? 0 : of[place] * data.values[cell][a];
        }
        return sum;
    }

    /** Fits; null where the fit is singular or does not settle. */
    static @Nullable PoissonFit of(Data data) {
        int[] placeOf = places(data);
        int width = (int) Arrays.stream(placeOf).filter(place -> place >= 0).count();
        if (data.fish.length <= width + data.groups) {
            return null;
        }
        double[] fish = data.byCell(data.fish);
        double[] effort = data.byCell(data.effort);
        double apart = apart(data, fish, effort);
        double[] rate = new double[data.cells()];
        for (int c = 0; c < rate.length; c++) {
            rate[c] = (fish[c] + 0.1) / effort[c];
        }
        double deviance = Double.NaN;
        try {
            for (int step = 0; step < MOST_STEPS; step++) {
                double[] constants = new double[data.groups];
                double[] right = new double[width];
                double[] mean = new double[data.cells()];
                for (int c = 0; c < mean.length; c++) {
                    mean[c] = effort[c] * rate[c];
                    double weighted = mean[c] * Math.log(rate[c]) + fish[c] - mean[c];
                    constants[data.group[c]] += weighted;
                    for (int a = 0; a < data.columns[c].length; a++) {
                        int place = placeOf[data.columns[c][a]];
                        if (place >= 0) {
                            right[place] += weighted * data.values[c][a];
                        }
                    }
                }
                double[] beta = new Normal(data, placeOf, width, mean).solve(right, constants);
                for (int c = 0; c < rate.length; c++) {
                    rate[c] = Math.exp(constants[data.group[c]] + sum(data, placeOf, beta, c));
                }
                double now = apart + deviance(fish, effort, rate);
                if (!Double.isFinite(now)) {
                    return null;
                }
                if (Math.abs(now - deviance) <= CONVERGED * Math.abs(now)) {
                    for (int c = 0; c < mean.length; c++) {
                        mean[c] = effort[c] * rate[c];
                    }
                    Normal last = new Normal(data, placeOf, width, mean);
                    if (width > 0) {
                        last.solver();
                    }
                    return new PoissonFit(data, placeOf, beta, constants, rate, last);
                }
                deviance = now;
            }
        } catch (MathIllegalArgumentException singular) {
            return null;
        }
        return null;
    }

    /** How much of the observations' deviance lies within cells, where no fit changes it. */
    private static double apart(Data data, double[] fish, double[] effort) {
        double sum = 0;
        for (int i = 0; i < data.fish.length; i++) {
            double y = data.fish[i];
            sum += y > 0 ? y * Math.log(y / data.effort[i]) : 0;
        }
        for (int c = 0; c < fish.length; c++) {
            sum -= fish[c] > 0 ? fish[c] * Math.log(fish[c] / effort[c]) : 0;
        }
        return 2 * sum;
    }

    private static double deviance(double[] fish, double[] effort, double[] rate) {
        double sum = 0;
        for (int c = 0; c < fish.length; c++) {
            double y = fish[c];
            double mean = effort[c] * rate[c];
            sum += (y > 0 ? y * Math.log(y / mean) : 0) - (y - mean);
        }
        return 2 * sum;
    }

    /**
     * Place of each column among those kept, -1 where it is dropped: a Cholesky sweep over X'X, less what the constants
     * tell, in the columns' order.
     */
    private static int[] places(Data data) {
        double[] ones = new double[data.cells()];
        for (int cell : data.cellOf) {
            ones[cell]++;
        }
        int[] all = new int[data.width];
        for (int j = 0; j < all.length; j++) {
            all[j] = j;
        }
        Normal plain = new Normal(data, all, data.width, ones);
        double[][] lower = new double[data.width][data.width];
        int[] placeOf = new int[data.width];
        int kept = 0;
        for (int j = 0; j < data.width; j++) {
            double left = plain.left[j][j];
            for (int k = 0; k < j; k++) {
                if (placeOf[k] >= 0) {
                    double sum = plain.left[j][k];
                    for (int m = 0; m < k; m++) {
                        sum -= lower[j][m] * lower[k][m];
                    }
                    lower[j][k] = sum / lower[k][k];
                    left -= lower[j][k] * lower[j][k];
                }
            }
            if (left > COLLINEAR * plain.diagonal[j]) {
                lower[j][j] = Math.sqrt(left);
                placeOf[j] = kept++;
            } else {
                placeOf[j] = -1;
            }
        }
        return placeOf;
    }
}
