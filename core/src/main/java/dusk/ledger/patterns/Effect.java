package dusk.ledger.patterns;

import dusk.ledger.evidence.Interval;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * What a choice does within its conditions, against every other recorded choice there.
 *
 * @param ratio Mantel-Haenszel ratio of fish to expected fish
 * @param logError standard error of its log: the larger of Greenland and Robins' and the clustered one
 * @param clusters T, clusters with fish where both were fished
 * @param interval 95 %: the wider of the normal one with the first error and Student's t with the second
 * @param p two-sided, t = log ratio / logError on T-1 degrees of freedom
 */
record Effect(double ratio, double logError, int clusters, double information, Interval interval, double p) {
    static final int LEAST_CLUSTERS = 6;
    static final double LEAST_INFORMATION = 10;

    /** Weight of the variance that the whole club's dispersion lets expect, in degrees of freedom, against the pattern's own clusters. */
    static final double PRIOR_DF = 5;

    double log() {
        return Math.log(ratio);
    }

    /** Whether it does better than the rest. */
    boolean better() {
        return ratio > 1;
    }

    /** Sums over blocks, and over clusters of them, from which an effect follows. */
    static final class Sums {
        double forA;
        double forB;
        double information;
        int clusters;
        double squaresA;
        double products;
        double squaresB;

        private double ofClusterA;
        private double ofClusterB;
        private boolean fishInCluster;

        /** Adds a block with both sides to the open cluster. */
        void block(double x, double n1, double z, double n0) {
            double fish = x + z;
            if (!(fish > 0)) {
                return;
            }
            double n = n1 + n0;
            double a = x * n0 / n;
            double b = z * n1 / n;
            forA += a;
            forB += b;
            information += fish * n1 * n0 / (n * n);
            ofClusterA += a;
            ofClusterB += b;
            fishInCluster = true;
        }

        void closeCluster() {
            if (fishInCluster) {
                clusters++;
                squaresA += ofClusterA * ofClusterA;
                products += ofClusterA * ofClusterB;
                squaresB += ofClusterB * ofClusterB;
                ofClusterA = 0;
                ofClusterB = 0;
                fishInCluster = false;
            }
        }

        /** Whether there is enough in it to be tested. */
        boolean telling() {
            return clusters >= LEAST_CLUSTERS && information >= LEAST_INFORMATION && forA > 0 && forB > 0;
        }

        /**
         * The effect, given at least two clusters and fish on both sides.
         *
         * @param dispersion how much more fish counts vary within a trip of an angler than chance, 1 or more
         */
        Effect effect(double dispersion) {
            double ratio = forA / forB;
            double expectedVariance = dispersion * information / (forA * forB);
            double clusteredVariance =
                    Math.max(0, squaresA - 2 * ratio * products + ratio * ratio * squaresB) / (forA * forA);
            double df = PRIOR_DF + clusters - 1;
            double variance = (PRIOR_DF * expectedVariance + (clusters - 1) * clusteredVariance) / df;
            double error = Math.sqrt(variance);
            TDistribution t = TDistribution.of(df);
            double reach = t.inverseCumulativeProbability(0.975) * error;
            double log = Math.log(ratio);
            double p = 2 * t.survivalProbability(Math.abs(log) / error);
            return new Effect(
                    ratio, error, clusters, information, new Interval(Math.exp(log - reach), Math.exp(log + reach)), p);
        }
    }
}
