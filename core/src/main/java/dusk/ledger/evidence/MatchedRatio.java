package dusk.ledger.evidence;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import org.apache.commons.statistics.distribution.TDistribution;
import org.jspecify.annotations.Nullable;

/**
 * A against B within blocks: the Mantel-Haenszel rate ratio for person-time, RR = sum(x N0/N) / sum(z N1/N) (Rothman,
 * Greenland & Lash, Modern Epidemiology, ch. 15), with the wider of two intervals: Greenland and Robins' (1985), Var
 * = sum(M N1 N0/N^2) / (sum(x N0/N) sum(z N1/N)) on the normal, and one clustered by trip, Var = sum_t D_t^2 / Rn^2
 * with D_t = sum_k (x N0 - RR z N1)/N, on Student's t with T-1 degrees of freedom.
 *
 * @param blocks blocks with both sides
 * @param clusters T: clusters, as a rule trips, with fish in such a block
 * @param estimate RR, its interval and p
 */
public record MatchedRatio(int blocks, int clusters, Estimate estimate) {
    private static final int LEAST_CLUSTERS = 3;

    static MatchedRatio of(Collection<Block> all) {
        Sums sums = new Sums();
        all.stream().filter(Block::bothSides).forEach(sums::add);
        return new MatchedRatio(sums.blocks, sums.clusters(), sums.estimate());
    }

    /** p of a score z on T clusters: t = z sqrt((T-1)/(T - z^2)) on T-1 degrees of freedom, since z itself never passes sqrt(T). */
    static double pOf(double z, int clusters) {
        if (z * z >= clusters) {
            return 0;
        }
        double t = z * Math.sqrt((clusters - 1) / (clusters - z * z));
        return 2 * TDistribution.of(clusters - 1).survivalProbability(Math.abs(t));
    }

    private static final class Sums {
        private final Map<Integer, double[]> byCluster = new LinkedHashMap<>();
        private int blocks;
        private double forA;
        private double forB;
        private double information;

        void add(Block block) {
            blocks++;
            if (!(block.fish() > 0)) {
                return;
            }
            double n = block.effort();
            double a = block.x() * block.n0() / n;
            double b = block.z() * block.n1() / n;
            forA += a;
            forB += b;
            information += block.fish() * block.n1() * block.n0() / (n * n);
            double[] sums = byCluster.computeIfAbsent(block.cluster(), c -> new double[3]);
            sums[0] += a;
            sums[1] += b;
            sums[2] += block.x() - block.fish() * block.n1() / n;
        }

        int clusters() {
            return byCluster.size();
        }

        Estimate estimate() {
            if (blocks == 0) {
                return new Estimate.None("the two were never fished in the same block");
            }
            if (!(forB > 0)) {
                return new Estimate.None(
                        forA > 0
                                ? "the other side has no fish where both were fished"
                                : "no fish where both were fished");
            }
            double ratio = forA / forB;
            if (clusters() < LEAST_CLUSTERS) {
                return new Estimate.Figure(ratio, null, null, "fish from under three trips where both were fished");
            }
            Double p = p();
            if (!(ratio > 0)) {
                return new Estimate.Figure(0, null, p, "no fish where both were fished");
            }
            return new Estimate.Figure(ratio, interval(ratio), p, p == null ? "no spread to judge by" : "");
        }

        private Interval interval(double ratio) {
            double greenlandRobins = information / (forA * forB);
            double squares = 0;
            for (double[] sums : byCluster.values()) {
                double d = sums[0] - ratio * sums[1];
                squares += d * d;
            }
            double clustered = squares / (forA * forA);
            double reach = Math.max(
                    Quantiles.NORMAL_UPPER * Math.sqrt(greenlandRobins),
                    Quantiles.tUpper(clusters() - 1) * Math.sqrt(clustered));
            return new Interval(ratio * Math.exp(-reach), ratio * Math.exp(reach));
        }

        private @Nullable Double p() {
            double sum = 0;
            double squares = 0;
            for (double[] sums : byCluster.values()) {
                sum += sums[2];
                squares += sums[2] * sums[2];
            }
            return squares > 0 ? pOf(sum / Math.sqrt(squares), clusters()) : null;
        }
    }
}
