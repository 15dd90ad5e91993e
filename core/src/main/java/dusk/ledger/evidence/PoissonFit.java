package dusk.ledger.evidence;

import java.util.Arrays;
import org.hipparchus.exception.MathIllegalArgumentException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.jspecify.annotations.Nullable;

/**
 * Poisson regression with log link and offset log effort, by iteratively reweighted least squares (McCullagh &
 * Nelder, Generalized Linear Models, 2.5), with standard errors clustered as in (X'WX)^-1 (sum_t g_t g_t') (X'WX)^-1
 * G/(G-1), g_t a cluster's sum of scores (Liang & Zeger 1986).
 *
 * <p>Rows are sparse: of most columns, which stand for levels, a row has none.
 */
final class PoissonFit {
    private static final double CONVERGED = 1e-10;
    private static final int MOST_STEPS = 100;

    /** A column whose part that the columns before it do not tell is less than this share of it is collinear. */
    private static final double COLLINEAR = 1e-9;

    private final double[] coefficients;
    private final RealMatrix covariance;
    private final int[] placeOf;

    private PoissonFit(double[] coefficients, RealMatrix covariance, int[] placeOf) {
        this.coefficients = coefficients;
        this.covariance = covariance;
        this.placeOf = placeOf;
    }

    /**
     * The data of a fit.
     *
     * @param columns by row, the columns that are not 0, in rising order; column 0 is the intercept
     * @param values by row, their values
     * @param fish by row
     * @param effort by row, above 0
     * @param cluster by row, from 0
     */
    @SuppressWarnings("ArrayRecordComponent") // arrays for speed; made once, read once, never compared
    record Data(
            int width,
            int[][] columns,
            double[][] values,
            double[] fish,
            double[] effort,
            int[] cluster,
            int clusters) {
        int rows() {
            return fish.length;
        }
    }

    /** Whether a column stayed: one collinear with those before it is dropped. */
    boolean has(int column) {
        return placeOf[column] >= 0;
    }

    double coefficient(int column) {
        return coefficients[placeOf[column]];
    }

    double standardError(int column) {
        return Math.sqrt(covariance.getEntry(placeOf[column], placeOf[column]));
    }

    /** Fits; null where the fit is singular or does not settle. */
    static @Nullable PoissonFit of(Data data) {
        int[] placeOf = places(data);
        int width = 0;
        for (int place : placeOf) {
            width = Math.max(width, place + 1);
        }
        if (width == 0 || data.rows() <= width) {
            return null;
        }
        double[] mean = new double[data.rows()];
        for (int i = 0; i < mean.length; i++) {
            mean[i] = data.fish[i] + 0.1;
        }
        double deviance = Double.NaN;
        try {
            for (int step = 0; step < MOST_STEPS; step++) {
                RealMatrix information = information(data, placeOf, width, mean);
                DecompositionSolver solver = new CholeskyDecomposition(information, 1e-9, 1e-12).getSolver();
                double[] beta = solver.solve(MatrixUtils.createRealVector(response(data, placeOf, width, mean)))
                        .toArray();
                means(data, placeOf, beta, mean);
                double now = deviance(data, mean);
                if (!Double.isFinite(now)) {
                    return null;
                }
                if (Math.abs(now - deviance) <= CONVERGED * Math.abs(now)) {
                    return new PoissonFit(beta, sandwich(data, placeOf, width, mean), placeOf);
                }
                deviance = now;
            }
        } catch (MathIllegalArgumentException singular) {
            return null;
        }
        return null;
    }

    /** Place of each column among those kept, -1 where it is dropped: a Cholesky sweep over X'X in the columns' order. */
    private static int[] places(Data data) {
        double[] ones = new double[data.rows()];
        Arrays.fill(ones, 1);
        int[] all = new int[data.width];
        for (int j = 0; j < all.length; j++) {
            all[j] = j;
        }
        double[][] gram = information(data, all, data.width, ones).getData();
        double[][] lower = new double[data.width][data.width];
        int[] placeOf = new int[data.width];
        int kept = 0;
        for (int j = 0; j < data.width; j++) {
            double left = gram[j][j];
            for (int k = 0; k < j; k++) {
                if (placeOf[k] >= 0) {
                    double sum = gram[j][k];
                    for (int m = 0; m < k; m++) {
                        sum -= lower[j][m] * lower[k][m];
                    }
                    lower[j][k] = sum / lower[k][k];
                    left -= lower[j][k] * lower[j][k];
                }
            }
            if (left > COLLINEAR * gram[j][j]) {
                lower[j][j] = Math.sqrt(left);
                placeOf[j] = kept++;
            } else {
                placeOf[j] = -1;
            }
        }
        return placeOf;
    }

    /** X'WX with W = diag(weights). */
    private static RealMatrix information(Data data, int[] placeOf, int width, double[] weights) {
        double[][] sum = new double[width][width];
        for (int i = 0; i < data.rows(); i++) {
            int[] columns = data.columns[i];
            double[] values = data.values[i];
            for (int a = 0; a < columns.length; a++) {
                int row = placeOf[columns[a]];
                if (row < 0) {
                    continue;
                }
                for (int b = 0; b <= a; b++) {
                    int column = placeOf[columns[b]];
                    if (column >= 0) {
                        sum[row][column] += weights[i] * values[a] * values[b];
                    }
                }
            }
        }
        for (int a = 0; a < width; a++) {
            for (int b = 0; b < a; b++) {
                sum[b][a] = sum[a][b];
            }
        }
        return new Array2DRowRealMatrix(sum, false);
    }

    /** X'W times the working response less the offset. */
    private static double[] response(Data data, int[] placeOf, int width, double[] mean) {
        double[] sum = new double[width];
        for (int i = 0; i < data.rows(); i++) {
            double working = Math.log(mean[i] / data.effort[i]) + (data.fish[i] - mean[i]) / mean[i];
            for (int a = 0; a < data.columns[i].length; a++) {
                int place = placeOf[data.columns[i][a]];
                if (place >= 0) {
                    sum[place] += mean[i] * working * data.values[i][a];
                }
            }
        }
        return sum;
    }

    private static void means(Data data, int[] placeOf, double[] beta, double[] mean) {
        for (int i = 0; i < data.rows(); i++) {
            double eta = 0;
            for (int a = 0; a < data.columns[i].length; a++) {
                int place = placeOf[data.columns[i][a]];
                eta += place < 0 ? 0 : beta[place] * data.values[i][a];
            }
            mean[i] = data.effort[i] * Math.exp(eta);
        }
    }

    private static double deviance(Data data, double[] mean) {
        double sum = 0;
        for (int i = 0; i < data.rows(); i++) {
            double y = data.fish[i];
            sum += (y > 0 ? y * Math.log(y / mean[i]) : 0) - (y - mean[i]);
        }
        return 2 * sum;
    }

    private static RealMatrix sandwich(Data data, int[] placeOf, int width, double[] mean) {
        double[][] scores = new double[data.clusters][width];
        for (int i = 0; i < data.rows(); i++) {
            for (int a = 0; a < data.columns[i].length; a++) {
                int place = placeOf[data.columns[i][a]];
                if (place >= 0) {
                    scores[data.cluster[i]][place] += (data.fish[i] - mean[i]) * data.values[i][a];
                }
            }
        }
        RealMatrix meat = new Array2DRowRealMatrix(sumOfSquares(scores, width), false);
        RealMatrix bread = new CholeskyDecomposition(information(data, placeOf, width, mean), 1e-9, 1e-12)
                .getSolver()
                .getInverse();
        double g = data.clusters;
        return bread.multiply(meat).multiply(bread).scalarMultiply(g / (g - 1));
    }

    /** sum_t g_t g_t', row by row: a large club has tens of thousands of clusters. */
    private static double[][] sumOfSquares(double[][] scores, int width) {
        double[][] sum = new double[width][width];
        for (double[] score : scores) {
            for (int a = 0; a < width; a++) {
                for (int b = 0; b < width; b++) {
                    sum[a][b] += score[a] * score[b];
                }
            }
        }
        return sum;
    }
}
