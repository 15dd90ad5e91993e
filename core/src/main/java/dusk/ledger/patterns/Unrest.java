package dusk.ledger.patterns;

import java.util.Arrays;

/**
 * How much more stints of one trip of one angler differ than chance and what is known let expect. Fish counts are
 * compared with what is expected of the stint times the angler's own level on that trip; blocks without fish tell
 * nothing.
 *
 * <p>One day on which a school came by would otherwise speak for whatever was tied on: a trip that is much more
 * restless than the others counts for less, whichever way it speaks, so that what is left differs about alike
 * everywhere.
 */
@SuppressWarnings("ArrayRecordComponent") // private to the room, never compared
record Unrest(double dispersion, double[] ofTrip) {
    /** How much of the club's dispersion is lent to each trip, in degrees of freedom. */
    private static final double LENT_DF = 5;

    /** So much more restless than the club a trip may be before it counts for less: unknown patterns make trips differ by as much. */
    private static final double BORNE = 1.5;

    /**
     * Measures it.
     *
     * @param expected by place
     * @return of the club, Pearson's chi-square over its degrees of freedom, each trip divided by its own unrest, at
     * least 1; and by trip, at least 1
     */
    static Unrest of(Layout layout, double[] expected) {
        double[] fish = new double[layout.blocks()];
        double[] sum = new double[fish.length];
        int[] stints = new int[fish.length];
        for (int i = 0; i < layout.size; i++) {
            int block = layout.block[i];
            fish[block] += layout.fish[i];
            sum[block] += expected[i];
            stints[block]++;
        }
        double[] chiSquare = new double[layout.trips];
        double[] df = new double[layout.trips];
        for (int i = 0; i < layout.size; i++) {
            int block = layout.block[i];
            double mean = expected[i] * fish[block] / sum[block];
            if (mean > 0) {
                double beyond = layout.fish[i] - mean;
                chiSquare[layout.trip[i]] += beyond * beyond / mean;
                df[layout.trip[i]] += 1 - 1.0 / stints[block];
            }
        }
        double all = ratio(Arrays.stream(chiSquare).sum(), Arrays.stream(df).sum());
        double[] ofTrip = new double[layout.trips];
        double calmed = 0;
        for (int t = 0; t < ofTrip.length; t++) {
            double own = (chiSquare[t] + LENT_DF * all) / (df[t] + LENT_DF);
            ofTrip[t] = Math.max(1, own / (BORNE * all));
            calmed += chiSquare[t] / ofTrip[t];
        }
        return new Unrest(ratio(calmed, Arrays.stream(df).sum()), ofTrip);
    }

    private static double ratio(double chiSquare, double df) {
        return df > 0 ? Math.max(1, chiSquare / df) : 1;
    }
}
