package dusk.ledger.patterns;

import dusk.ledger.evidence.Interval;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * What a choice does within its conditions, against every other recorded choice there.
 *
 * @param ratio Mantel-Haenszel ratio of fish to expected fish
 * @param logError standard error of its log: of the variance by cluster and the one that the club's unrest lets
 *     expect (Greenland and Robins' times the dispersion, restless clusters counting for less), weighted by their
 *     degrees of freedom, as moderated t statistics have it (Smyth, Stat. Appl. Genet. Mol. Biol. 3, 2004)
 * @param df as many degrees of freedom as both variances have
 * @param clusters T, clusters with fish where both were fished
 * @param information sum of M N1 N0/N^2
 */
record Effect(double ratio, double logError, double df, int clusters, double information) {
    static final int LEAST_CLUSTERS = 6;
    static final double LEAST_INFORMATION = 15;

    /** Weight of the variance that the whole club's dispersion lets expect, in degrees of freedom, against the pattern's own clusters. */
    static final double PRIOR_DF = 100;

    /** Variance between trips of what a choice does, as a log ratio: a trip with endless fish would tell only so much. */
    private static final double TRIP_SWING = 0.03;

    /** The same between fallback blocks, which set days against other days. */
    private static final double DAY_SWING = 0.5;

    private static final double UPPER = 0.975;

    double log() {
        return Math.log(ratio);
    }

    double variance() {
        return logError * logError;
    }

    /** Whether it does better than the rest. */
    boolean better() {
        return ratio > 1;
    }

    /** log ratio / logError, to be read on Student's t. */
    double t() {
        return log() / logError;
    }

    /** Two-sided. */
    double p() {
        return 2 * TDistribution.of(df).survivalProbability(Math.abs(t()));
    }

    /** 95 %. */
    Interval interval() {
        double reach = TDistribution.of(df).inverseCumulativeProbability(UPPER) * logError;
        return new Interval(Math.exp(log() - reach), Math.exp(log() + reach));
    }

    /** Sums over blocks, and over clusters of them, from which an effect follows. */
    static class Sums {
        double forA;
        double forB;
        double information;
        int clusters;

        /** The information, each cluster's by its weight. */
        private double weighted;

        private double squaresA;
        private double products;
        private double squaresB;

        /** Sum of squares of the clusters' weighted information: how evenly it is spread. */
        private double squaresWeighted;

        private double ofClusterA;
        private double ofClusterB;
        private double ofClusterInformation;

        /** The cluster that weighs most. */
        private double topA;

        private double topB;

        /** Makes it ready for another use. */
        void clear() {
            forA = 0;
            forB = 0;
            information = 0;
            clusters = 0;
            squaresA = 0;
            products = 0;
            squaresB = 0;
            weighted = 0;
            squaresWeighted = 0;
            ofClusterA = 0;
            ofClusterB = 0;
            ofClusterInformation = 0;
            topA = 0;
            topB = 0;
        }

        /** Adds a block with both sides to the open cluster. */
        void block(double x, double n1, double z, double n0) {
            double fish = x + z;
            if (!(fish > 0)) {
                return;
            }
            double share = n1 / (n1 + n0);
            ofClusterA += x * (1 - share);
            ofClusterB += z * share;
            ofClusterInformation += fish * share * (1 - share);
        }

        /** Closes a cluster of first blocks, those of a trip that is so restless. */
        void closeTrip(double unrest) {
            close(unrest, TRIP_SWING);
        }

        /** Closes a cluster of one fallback block. */
        void closeFallback() {
            close(1, DAY_SWING);
        }

        /**
         * A cluster's difference has the variance V (unrest + swing V), up to a factor that all share: it is weighted
         * by what of V remains of it.
         */
        private void close(double unrest, double swing) {
            if (ofClusterInformation > 0) {
                double weight = 1 / (unrest + swing * ofClusterInformation);
                information += ofClusterInformation;
                ofClusterA *= weight;
                ofClusterB *= weight;
                ofClusterInformation *= weight;
                forA += ofClusterA;
                forB += ofClusterB;
                weighted += ofClusterInformation;
                clusters++;
                squaresA += ofClusterA * ofClusterA;
                products += ofClusterA * ofClusterB;
                squaresB += ofClusterB * ofClusterB;
                squaresWeighted += ofClusterInformation * ofClusterInformation;
                if (ofClusterA + ofClusterB > topA + topB) {
                    topA = ofClusterA;
                    topB = ofClusterB;
                }
                ofClusterA = 0;
                ofClusterB = 0;
                ofClusterInformation = 0;
            }
        }

        /** Clusters that weigh alike and tell as much (Kish): one great day among many counts for little more than one. */
        double effectiveClusters() {
            return squaresWeighted > 0 ? weighted * weighted / squaresWeighted : 0;
        }

        /** Whether there is enough in it to be tested. */
        boolean telling() {
            return effectiveClusters() >= LEAST_CLUSTERS && information >= LEAST_INFORMATION && forA > 0 && forB > 0;
        }

        /**
         * The squares of what each cluster differs by, over the whole. The cluster that weighs most draws the ratio
         * to itself and so seems to differ little: its part is what leaving it out would show (jackknife, D/(1 - h)
         * with h its weight).
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
         * @param dispersion how much more fish counts vary within a trip of an angler than chance, restless trips calmed; 1 or more
         */
        Effect effect(double dispersion) {
            double ratio = forA / forB;
            double expectedVariance = dispersion * weighted / (forA * forB);
            double own = Math.max(1, effectiveClusters() - 1);
            double df = PRIOR_DF + own;
            double variance = (PRIOR_DF * expectedVariance + own * clusteredVariance(ratio)) / df;
            return new Effect(ratio, Math.sqrt(variance), df, clusters, information);
        }
    }
}
