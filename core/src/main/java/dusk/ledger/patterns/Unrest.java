package dusk.ledger.patterns;

import java.util.Arrays;

/**
 * How much luckier one stint of an angler's trip is than another, beyond chance and what is known. Fish counts are
 * compared with what is expected of the stint times the angler's own level on that trip; blocks without fish tell
 * nothing.
 *
 * <p>Fish come in schools: a stint of which mu fish are expected varies by mu (1 + luck mu), as where each has a
 * multiplier of its own (mean 1, variance the luck) before chance comes in. The luck is what brings Pearson's
 * chi-square of all stints to its degrees of freedom (Breslow, Applied Statistics 33, 1984). A stint then speaks
 * with one over that as its weight, quasi-likelihood's, the mean's own noise allowed for (see {@link Stints#spread}): of weighted fish the variance is again what is expected of
 * them, however large or small the stint.
 *
 * <p>One day on which a school came by would otherwise speak for whatever was tied on: a trip that is much more
 * restless than the others counts for less, whichever way it speaks, so that what is left differs about alike
 * everywhere.
 *
 * @param luck squared coefficient of variation of a stint's multiplier
 * @param dispersion what is left, of the club: chi-square over its degrees of freedom, each trip divided by its own
 *     unrest, at least 1
 * @param ofTrip by trip, at least 1
 * @param weight by place, in (0, 1]
 */
@SuppressWarnings("ArrayRecordComponent") // private to the room, never compared
record Unrest(double luck, double dispersion, double[] ofTrip, double[] weight) {
    /** How much of the club's dispersion is lent to each trip, in degrees of freedom. */
    private static final double LENT_DF = 5;

    /** So much more restless than the club a trip may be before it counts for less: unknown patterns make trips differ by as much. */
    private static final double BORNE = 3;

    /** Where a multiplier's standard deviation is four times its mean: no club is known to come near. */
    private static final double MOST_LUCK = 16;

    /** What the halving leaves of none. */
    private static final double LEAST_LUCK = 1e-6;

    private static final int HALVINGS = 40;

    /** The luck without the restless trips, and which those are without the luck: settled by then. */
    private static final int ROUNDS = 4;

    /**
     * Measures it.
     *
     * @param expected by place
     */
    static Unrest of(Layout layout, double[] expected) {
        Stints stints = new Stints(layout, expected);
        double[] ofTrip = new double[layout.trips];
        Arrays.fill(ofTrip, 1);
        double luck = 0;
        double calmed = 0;
        for (int round = 0; round < ROUNDS; round++) {
            luck = stints.luck(ofTrip);
            double[] chiSquare = stints.chiSquare(luck);
            double all = ratio(Arrays.stream(chiSquare).sum(), stints.allDf);
            for (int t = 0; t < ofTrip.length; t++) {
                double own = (chiSquare[t] + LENT_DF * all) / (stints.df[t] + LENT_DF);
                ofTrip[t] = Math.max(1, own / (BORNE * all));
            }
            calmed = calmed(chiSquare, ofTrip);
        }
        double[] weight = new double[layout.size];
        for (int i = 0; i < weight.length; i++) {
            weight[i] = 1 / stints.spread(i, luck);
        }
        return new Unrest(luck, ratio(calmed, stints.allDf), ofTrip, weight);
    }

    /** The same with every stint counted in full. */
    Unrest unweighted() {
        double[] ones = new double[weight.length];
        Arrays.fill(ones, 1);
        return new Unrest(luck, dispersion, ofTrip, ones);
    }

    /** How much more fish vary than chance in the stints they were caught in, each fish counted once. */
    double dispersionOfCaught(Layout layout) {
        double fish = 0;
        double squares = 0;
        for (int i = 0; i < layout.size; i++) {
            fish += layout.fish[i];
            squares += layout.fish[i] / weight[i];
        }
        return fish > 0 ? dispersion * squares / fish : dispersion;
    }

    /** Fish and what was to be expected given the angler's own level on the trip. */
    private static final class Stints {
        private final Layout layout;
        private final double[] fish;
        private final double[] even;
        final double[] mean;
        final double[] df;
        final double allDf;

        Stints(Layout layout, double[] expected) {
            this.layout = layout;
            fish = new double[layout.blocks()];
            even = new double[fish.length];
            double[] sum = new double[fish.length];
            double[] squares = new double[fish.length];
            int[] stints = new int[fish.length];
            for (int i = 0; i < layout.size; i++) {
                int block = layout.block[i];
                fish[block] += layout.fish[i];
                sum[block] += expected[i];
                squares[block] += expected[i] * expected[i];
                stints[block]++;
            }
            Arrays.setAll(even, b -> sum[b] * sum[b] / squares[b]);
            mean = new double[layout.size];
            df = new double[layout.trips];
            for (int i = 0; i < layout.size; i++) {
                int block = layout.block[i];
                mean[i] = expected[i] * fish[block] / sum[block];
                if (mean[i] > 0) {
                    df[layout.trip[i]] += 1 - 1.0 / stints[block];
                }
            }
            allDf = Arrays.stream(df).sum();
        }

        /**
         * How much more a stint's fish vary than chance given those of its block: as the counts of a
         * Dirichlet-multinomial, 1 + (Y - 1) luck/(n + luck) for Y fish in n even stints, by the stint's own share.
         */
        double spread(int i, double luck) {
            int block = layout.block[i];
            double n = even[block];
            return fish[block] > 1 ? 1 + luck * mean[i] * (fish[block] - 1) / fish[block] * n / (n + luck) : 1;
        }

        /** Pearson's, by trip. */
        double[] chiSquare(double luck) {
            double[] chiSquare = new double[layout.trips];
            for (int i = 0; i < mean.length; i++) {
                if (mean[i] > 0) {
                    double beyond = layout.fish[i] - mean[i];
                    chiSquare[layout.trip[i]] += beyond * beyond / (mean[i] * spread(i, luck));
                }
            }
            return chiSquare;
        }

        /** By halving: chi-square falls as the luck rises. */
        double luck(double[] ofTrip) {
            double low = 0;
            double high = MOST_LUCK;
            for (int i = 0; i < HALVINGS; i++) {
                double middle = (low + high) / 2;
                if (calmed(chiSquare(middle), ofTrip) > allDf) {
                    low = middle;
                } else {
                    high = middle;
                }
            }
            return low < LEAST_LUCK ? 0 : low;
        }
    }

    private static double calmed(double[] chiSquare, double[] ofTrip) {
        double calmed = 0;
        for (int t = 0; t < chiSquare.length; t++) {
            calmed += chiSquare[t] / ofTrip[t];
        }
        return calmed;
    }

    private static double ratio(double chiSquare, double df) {
        return df > 0 ? Math.max(1, chiSquare / df) : 1;
    }
}
