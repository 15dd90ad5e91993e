package dusk.ledger.evidence;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.jspecify.annotations.Nullable;

/**
 * Whether fish on A are longer than fish on B: van Elteren's rank-sum test over blocks (van Elteren, Bulletin of the ISI 37,
 * 1960; Lehmann, Nonparametrics, 1975), and by how much.
 *
 * <p>In block k with n1 values on A, n0 on B, n = n1 + n0, mid-ranks, R the rank sum of A and w = 1/(n + 1): z = sum w (R - n1
 * (n + 1)/2) / sqrt(sum w^2 n1 n0/12 ((n + 1) - sum (t^3 - t)/(n (n - 1)))), t the sizes of ties. z(d) is z with d taken from
 * all of A: it steps down at the differences of A's and B's values within blocks. The shift lies half way between the
 * largest of them with z &gt; 0 just under it and the smallest with z &lt; 0 just over it; low is where z first comes to 1.96 or
 * under, high where it goes under -1.96.
 *
 * @param blocks with values on both sides
 * @param fishA values on A in them
 * @param fishB values on B
 * @param z null, as all that follow, under three blocks or where all values are alike
 * @param p two-sided, by the normal
 * @param shiftMm how much longer on A
 * @param lowMm null where the test rejects no shift, however small
 * @param highMm null where it rejects none, however large
 */
public record SizeShift(
        int blocks,
        int fishA,
        int fishB,
        @Nullable Double z,
        @Nullable Double p,
        @Nullable Double shiftMm,
        @Nullable Double lowMm,
        @Nullable Double highMm) {
    private static final int LEAST_BLOCKS = 3;

    /** Lengths of one block, in mm; both sides have some. */
    @SuppressWarnings("ArrayRecordComponent") // made once, never compared
    record Lengths(double[] a, double[] b) {}

    static SizeShift of(List<Lengths> blocks) {
        int fishA = blocks.stream().mapToInt(l -> l.a().length).sum();
        int fishB = blocks.stream().mapToInt(l -> l.b().length).sum();
        double z = blocks.size() < LEAST_BLOCKS ? Double.NaN : z(blocks, 0);
        if (Double.isNaN(z)) {
            return new SizeShift(blocks.size(), fishA, fishB, null, null, null, null, null);
        }
        double p = 2 * NormalDistribution.of(0, 1).survivalProbability(Math.abs(z));
        Steps steps = Steps.of(blocks);
        int lastAbove = steps.lastOver(0);
        int firstBelow = steps.firstUnder(0);
        boolean rejectsSmall = steps.zBefore(0) > Quantiles.NORMAL_UPPER;
        int low = rejectsSmall ? steps.firstAtMost(Quantiles.NORMAL_UPPER) : steps.count();
        int high = steps.firstUnder(-Quantiles.NORMAL_UPPER);
        return new SizeShift(
                blocks.size(),
                fishA,
                fishB,
                z,
                p,
                lastAbove < 0 || firstBelow == steps.count() ? null : (steps.at(lastAbove) + steps.at(firstBelow)) / 2,
                steps.orNone(low),
                steps.orNone(high));
    }

    /**
     * z(d) off its steps. Taking d from all of A moves no rank within A or within B, so there the rank sum is a weighted count
     * of the pairs whose difference is beyond d, and the variance, with ties only within a side, is one and the same.
     *
     * @param differences of the pairs, rising, each once
     * @param after z just over each
     * @param first z under all of them
     */
    @SuppressWarnings("ArrayRecordComponent") // made once, never compared
    private record Steps(double[] differences, double[] after, double first) {
        /** What sums of weights may leave of a sum that is none; there the blocks themselves are summed in their order. */
        private static final double NOTHING = 1e-9;

        static Steps of(List<Lengths> blocks) {
            TreeMap<Double, Double> weights = new TreeMap<>();
            double half = 0;
            double variance = 0;
            for (Lengths block : blocks) {
                double n1 = block.a().length;
                double n0 = block.b().length;
                double n = n1 + n0;
                double weight = 1 / (n + 1);
                half += weight * n1 * n0 / 2;
                double ties = ties(block.a().clone()) + ties(block.b().clone());
                variance += weight * weight * n1 * n0 / 12 * ((n + 1) - ties / (n * (n - 1)));
                for (double a : block.a()) {
                    for (double b : block.b()) {
                        weights.merge(a - b, weight, Double::sum);
                    }
                }
            }
            double[] differences = new double[weights.size()];
            double[] after = new double[weights.size()];
            double beyond = half;
            double scale = Math.sqrt(variance);
            double first = half / scale;
            int i = 0;
            for (Map.Entry<Double, Double> step : weights.entrySet()) {
                differences[i] = step.getKey();
                beyond -= step.getValue();
                after[i++] = beyond / scale;
            }
            for (i = 0; i + 1 < after.length; i++) {
                if (Math.abs(after[i]) < NOTHING) {
                    after[i] = z(blocks, (differences[i] + differences[i + 1]) / 2);
                }
            }
            return new Steps(differences, after, first);
        }

        int count() {
            return differences.length;
        }

        double at(int step) {
            return differences[step];
        }

        @Nullable
        Double orNone(int step) {
            return step == count() ? null : (Double) differences[step];
        }

        /** z just under a step. */
        double zBefore(int step) {
            return step == 0 ? first : after[step - 1];
        }

        /** The last step just under which z is over a bound; -1 where there is none. */
        int lastOver(double bound) {
            int last = -1;
            for (int step = 0; step < count() && zBefore(step) > bound; step++) {
                last = step;
            }
            return last;
        }

        /** The first step just over which z is under a bound; the count of steps where there is none. */
        int firstUnder(double bound) {
            int step = 0;
            while (step < count() && !(after[step] < bound)) {
                step++;
            }
            return step;
        }

        /** The same for at or under it. */
        int firstAtMost(double bound) {
            int step = 0;
            while (step < count() && after[step] > bound) {
                step++;
            }
            return step;
        }
    }

    /** Sum of t^3 - t over the sizes of ties. Sorts the values. */
    private static double ties(double[] values) {
        Arrays.sort(values);
        double ties = 0;
        for (int i = 0; i < values.length; ) {
            int end = i;
            while (end < values.length && values[end] == values[i]) {
                end++;
            }
            double t = end - i;
            ties += t * t * t - t;
            i = end;
        }
        return ties;
    }

    /** NaN where the variance is 0. */
    private static double z(List<Lengths> blocks, double shift) {
        double sum = 0;
        double variance = 0;
        for (Lengths block : blocks) {
            double n1 = block.a().length;
            double n0 = block.b().length;
            double n = n1 + n0;
            double[] a = Arrays.stream(block.a()).map(x -> x - shift).toArray();
            double[] all = Arrays.copyOf(a, (int) n);
            System.arraycopy(block.b(), 0, all, a.length, block.b().length);
            double ties = ties(all);
            double ranks = 0;
            for (double x : a) {
                ranks += midRank(all, x);
            }
            double weight = 1 / (n + 1);
            sum += weight * (ranks - n1 * (n + 1) / 2);
            variance += weight * weight * n1 * n0 / 12 * ((n + 1) - ties / (n * (n - 1)));
        }
        return variance > 0 ? sum / Math.sqrt(variance) : Double.NaN;
    }

    /** Of values that are sorted. */
    private static double midRank(double[] sorted, double x) {
        int from = 0;
        while (sorted[from] < x) {
            from++;
        }
        int to = from;
        while (to < sorted.length && sorted[to] == x) {
            to++;
        }
        return (from + 1 + to) / 2.0;
    }
}
