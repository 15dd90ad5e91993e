package dusk.ledger.patterns;

import dusk.ledger.evidence.Interval;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * What a choice does within its conditions, against every other recorded choice there.
 *
 * @param ratio Mantel-Haenszel ratio of fish to expected fish
 * @param logError standard error of its log: of the variance by cluster and the one that the club's dispersion lets expect (Greenland and Robins' times
 *     the dispersion), weighted by their degrees of freedom, as moderated t statistics have it (Smyth, Stat. Appl. Genet. Mol. Biol. 3, 2004)
 * @param clusters T, clusters with fish where both were fished
 * @param interval 95 %, on Student's t
 * @param p two-sided, t = log ratio / logError on as many degrees of freedom as both variances have
 */
record Effect(double ratio, double logError, int clusters, double information, Interval interval, double p) {
    static final int LEAST_CLUSTERS = 6;
    static final double LEAST_INFORMATION = 10;

    /** Weight of the variance that the whole club's dispersion lets expect, in degrees of freedom, against the pattern's own clusters. */
    static final double PRIOR_DF = 10;

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

        /** Sum of squares of the clusters' information: how evenly it is spread. */
        double squaresInformation;

        private double ofClusterA;
        private double ofClusterB;
        private double ofClusterInformation;
        private boolean fishInCluster;

        /** The cluster that weighs most. */
        private double topA;

        private double topB;

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
            double told = fish * n1 * n0 / (n * n);
            information += told;
            ofClusterInformation += told;
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
                squaresInformation += ofClusterInformation * ofClusterInformation;
                if (ofClusterA + ofClusterB > topA + topB) {
                    topA = ofClusterA;
                    topB = ofClusterB;
                }
                ofClusterA = 0;
                ofClusterB = 0;
                ofClusterInformation = 0;
                fishInCluster = false;
            }
        }

        /** Clusters that weigh alike and tell as much (Kish): one great day among many counts for little more than one. */
        double effectiveClusters() {
            return squaresInformation > 0 ? information * information / squaresInformation : 0;
        }

        /** Whether there is enough in it to be tested. */
        boolean telling() {
            return effectiveClusters() >= LEAST_CLUSTERS && information >= LEAST_INFORMATION && forA > 0 && forB > 0;
        }

        /**
         * The squares of what each cluster differs by, over the whole. The cluster that weighs most draws the ratio to itself and so seems to differ little: its
         * part is what leaving it out would show (jackknife, D/(1 - h) with h its weight).
         */
        private double clusteredVariance(double ratio) {
            double squares = Math.max(0, squaresA - 2 * ratio * products + ratio * ratio * squaresB);
            double weight = (topA + ratio * topB) / (2 * forA);
            double top = topA - ratio * topB;
            if (weight < 1) {
                squares += top * top * (1 / ((1 - weight) * (1 - weight)) - 1);
            }
            return squares / (forA * forA);
        }

        /**
         * The effect, given at least two clusters and fish on both sides.
         *
         * @param dispersion how much more fish counts vary within a trip of an angler than chance, 1 or more
         */
        Effect effect(double dispersion) {
            double ratio = forA / forB;
            double expectedVariance = dispersion * information / (forA * forB);
            double own = Math.max(1, effectiveClusters() - 1);
            double df = PRIOR_DF + own;
            double variance = (PRIOR_DF * expectedVariance + own * clusteredVariance(ratio)) / df;
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
