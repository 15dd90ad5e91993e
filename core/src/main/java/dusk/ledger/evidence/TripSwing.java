package dusk.ledger.evidence;

import java.util.Collection;
import java.util.List;

/** How much more trips differ than chance alone would have them, one figure for a factor. */
final class TripSwing {
    private static final int LEAST_DF = 3;

    private TripSwing() {}

    /**
     * f = max(1, X/df): X = sum over levels with fish and their trips of (Y_lt - R_l E_lt)^2 / (R_l E_lt), df = sum
     * over those of (T_l - 1); 1 where df < 3.
     *
     * @param levels fish and hours by trip, of each level
     */
    static double of(Collection<List<Effort>> levels) {
        double chiSquare = 0;
        int df = 0;
        for (List<Effort> trips : levels) {
            Effort all = Effort.sum(trips);
            if (!(all.fish() > 0)) {
                continue;
            }
            double rate = all.fish() / all.rodHours();
            for (Effort trip : trips) {
                double expected = rate * trip.rodHours();
                chiSquare += (trip.fish() - expected) * (trip.fish() - expected) / expected;
            }
            df += trips.size() - 1;
        }
        return df < LEAST_DF ? 1 : Math.max(1, chiSquare / df);
    }
}
