package dusk.ledger.evidence;

import java.util.Arrays;
import java.util.List;

/**
 * How much more trips differ than chance alone would have them: f of a factor and f_l of each of its levels.
 *
 * <p>X_l = sum over the level's trips of (Y_lt - R_l E_lt)^2 / (R_l E_lt), for levels with fish; X their sum, df = sum
 * over them of (T_l - 1); f = max(1, X/df), 1 where df &lt; 3. f_l = max(1, (5 f + X_l) / (5 + T_l - 1)), and f where the
 * level has no fish: a level that owes its fish to one great day is trusted as far as that day goes and no further.
 *
 * @param all f
 * @param byLevel f_l, in the order of the levels given
 */
record TripSwing(double all, List<Double> byLevel) {
    private static final int LEAST_DF = 3;

    /** How much of the factor's swing is lent to each level, in degrees of freedom. */
    private static final double LENT_DF = 5;

    /** @param levels fish and hours by trip, of each level */
    static TripSwing of(List<List<Effort>> levels) {
        double[] chiSquare = new double[levels.size()];
        int df = 0;
        for (int l = 0; l < chiSquare.length; l++) {
            List<Effort> trips = levels.get(l);
            Effort all = Effort.sum(trips);
            if (!(all.fish() > 0)) {
                chiSquare[l] = Double.NaN;
                continue;
            }
            double rate = all.fish() / all.rodHours();
            for (Effort trip : trips) {
                double expected = rate * trip.rodHours();
                chiSquare[l] += (trip.fish() - expected) * (trip.fish() - expected) / expected;
            }
            df += trips.size() - 1;
        }
        double sum = Arrays.stream(chiSquare).filter(x -> x >= 0).sum();
        double swing = df < LEAST_DF ? 1 : Math.max(1, sum / df);
        Double[] byLevel = new Double[chiSquare.length];
        for (int l = 0; l < byLevel.length; l++) {
            double own =
                    (LENT_DF * swing + chiSquare[l]) / (LENT_DF + levels.get(l).size() - 1);
            byLevel[l] = chiSquare[l] >= 0 ? Math.max(1, own) : swing;
        }
        return new TripSwing(swing, List.of(byLevel));
    }
}
