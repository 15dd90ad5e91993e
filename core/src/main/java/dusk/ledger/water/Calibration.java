package dusk.ledger.water;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What counted drops say of a lure's drag area: the mean of their log factors.
 *
 * @param factor to put on S
 * @param spread standard deviation of the log factors, the guess of a quarter weighing as one drop among them: it
 * says the spread alone where there is none to see
 * @param drops how many count
 */
public record Calibration(double factor, double spread, int drops) {
    /** Without any, times are shown with so much doubt. */
    public static final double UNCALIBRATED_SPREAD = 0.25;

    /** A drop this many times the usual distance from the median is an outlier, and so much on the log scale at least. */
    private static final double OUTLYING = 3.5;

    private static final double LEAST_OUTLYING = 0.25;

    /** A median distance of normal deviates is so much of a standard deviation. */
    private static final double NORMAL = 1.4826;

    /** What n drops of a plastic's other set-ups are worth: n/(n + 2). */
    private static final double SHRINKAGE = 2;

    public static final Calibration NONE = new Calibration(1, UNCALIBRATED_SPREAD, 0);

    /** A counted drop: so many seconds to so many metres. */
    public record Drop(double seconds, double metres) {
        public Drop {
            if (!(seconds > 0) || !(metres > 0)) {
                throw new IllegalArgumentException(
                        "expected seconds and metres above 0, not " + seconds + " and " + metres);
            }
        }
    }

    /** The log of the factor that makes a lure fall as a drop was counted. */
    public static double logFactor(Lure lure, Cast cast, Drop drop) {
        double low = -6;
        double high = 6;
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            double seconds = cast.freeFallSeconds(lure.calibrated(Math.exp(middle)), drop.metres());
            if (seconds < drop.seconds()) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    /** Which of the drops lie so far from the others that a slip is likelier; none of fewer than three. */
    public static boolean[] outliers(double[] logFactors) {
        boolean[] out = new boolean[logFactors.length];
        if (logFactors.length < 3) {
            return out;
        }
        double middle = median(logFactors);
        double usual = NORMAL
                * median(
                        Arrays.stream(logFactors).map(f -> Math.abs(f - middle)).toArray());
        for (int i = 0; i < out.length; i++) {
            out[i] = Math.abs(logFactors[i] - middle) > Math.max(LEAST_OUTLYING, OUTLYING * usual);
        }
        return out;
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        int half = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
    }

    /** Of a set-up's own drops, outliers left out. */
    public static Calibration of(Lure lure, Cast cast, List<Drop> drops) {
        return ofLogFactors(
                drops.stream().mapToDouble(d -> logFactor(lure, cast, d)).toArray());
    }

    /**
     * Of the log factors that drops say, outliers left out: their mean, and their spread with the guess of a quarter
     * counted as one drop more.
     */
    static Calibration ofLogFactors(double[] logs) {
        boolean[] out = outliers(logs);
        double[] kept = IntStream.range(0, logs.length)
                .filter(i -> !out[i])
                .mapToDouble(i -> logs[i])
                .toArray();
        if (kept.length == 0) {
            return NONE;
        }
        double mean = Arrays.stream(kept).average().orElseThrow();
        double squares = Arrays.stream(kept).map(l -> (l - mean) * (l - mean)).sum();
        double guess = UNCALIBRATED_SPREAD * UNCALIBRATED_SPREAD;
        return new Calibration(Math.exp(mean), Math.sqrt((squares + guess) / kept.length), kept.length);
    }

    /**
     * The time between which and which a reckoned time is likely to be counted. A time goes with the root of S, so
     * the spread of log S is two standard deviations of a time: the quarter without any drop.
     */
    public double[] range(double seconds) {
        return new double[] {seconds * (1 - spread), seconds * (1 + spread)};
    }

    /** What a plastic's calibrated set-ups say of its others: their mean log factor drawn to 0 by n/(n + 2). */
    public static Calibration ofOthers(List<Calibration> others) {
        int n = others.size();
        double mean =
                others.stream().mapToDouble(c -> Math.log(c.factor())).average().orElse(0);
        return n == 0 ? NONE : new Calibration(Math.exp(mean * n / (n + SHRINKAGE)), UNCALIBRATED_SPREAD, 0);
    }
}
