package dusk.ledger.evidence;

import java.util.Arrays;
import java.util.List;
import java.util.function.DoublePredicate;
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
        double[] steps = blocks.stream()
                .flatMapToDouble(l ->
                        Arrays.stream(l.a()).flatMap(a -> Arrays.stream(l.b()).map(b -> a - b)))
                .sorted()
                .distinct()
                .toArray();
        double aside = aside(steps);
        Integer lastAbove = last(steps, d -> z(blocks, d - aside) > 0);
        Integer firstBelow = first(steps, d -> z(blocks, d + aside) < 0);
        boolean rejectsSmall = z(blocks, steps[0] - aside) > Quantiles.NORMAL_UPPER;
        Integer low = rejectsSmall ? first(steps, d -> z(blocks, d + aside) <= Quantiles.NORMAL_UPPER) : null;
        Integer high = first(steps, d -> z(blocks, d + aside) < -Quantiles.NORMAL_UPPER);
        return new SizeShift(
                blocks.size(),
                fishA,
                fishB,
                z,
                p,
                lastAbove == null || firstBelow == null ? null : (steps[lastAbove] + steps[firstBelow]) / 2,
                low == null ? null : (Double) steps[low],
                high == null ? null : (Double) steps[high]);
    }

    /** So little that no step lies within it of another. */
    private static double aside(double[] steps) {
        double least = 1;
        for (int i = 1; i < steps.length; i++) {
            least = Math.min(least, steps[i] - steps[i - 1]);
        }
        return least / 4;
    }

    /** The first step that something holds for, given that it holds for all after it; null where it holds for none. */
    private static @Nullable Integer first(double[] steps, DoublePredicate holds) {
        int from = 0;
        int to = steps.length;
        while (from < to) {
            int middle = (from + to) >>> 1;
            if (holds.test(steps[middle])) {
                to = middle;
            } else {
                from = middle + 1;
            }
        }
        return from == steps.length ? null : (Integer) from;
    }

    /** The last step that something holds for, given that it holds for all before it. */
    private static @Nullable Integer last(double[] steps, DoublePredicate holds) {
        Integer after = first(steps, d -> !holds.test(d));
        int last = (after == null ? steps.length : after) - 1;
        return last < 0 ? null : (Integer) last;
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
            Arrays.sort(all);
            double ranks = 0;
            for (double x : a) {
                ranks += midRank(all, x);
            }
            double ties = 0;
            for (int i = 0; i < all.length; ) {
                int end = i;
                while (end < all.length && all[end] == all[i]) {
                    end++;
                }
                double t = end - i;
                ties += t * t * t - t;
                i = end;
            }
            double weight = 1 / (n + 1);
            sum += weight * (ranks - n1 * (n + 1) / 2);
            variance += weight * weight * n1 * n0 / 12 * ((n + 1) - ties / (n * (n - 1)));
        }
        return variance > 0 ? sum / Math.sqrt(variance) : Double.NaN;
    }

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
