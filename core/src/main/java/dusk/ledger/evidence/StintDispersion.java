package dusk.ledger.evidence;

import java.util.HashMap;
import java.util.Map;

/** How much more stints of a trip differ than chance: Pearson's chi-square over its degrees of freedom. */
public final class StintDispersion {
    private StintDispersion() {}

    /**
     * f = max(1, sum (y - R_t e)^2/(R_t e) / (stints - trips)), R_t the trip's own rate, over trips with fish; 1
     * where no degree of freedom is left.
     *
     * @param trip of each stint
     * @param fish of each stint
     * @param rodHours of each stint, above 0
     */
    public static double of(int[] trip, int[] fish, double[] rodHours) {
        Map<Integer, Effort> trips = new HashMap<>();
        for (int i = 0; i < trip.length; i++) {
            trips.merge(trip[i], new Effort(fish[i], rodHours[i]), Effort::plus);
        }
        double chiSquare = 0;
        int stints = 0;
        for (int i = 0; i < trip.length; i++) {
            Effort whole = trips.getOrDefault(trip[i], new Effort(0, 1));
            if (whole.fish() > 0) {
                double expected = whole.fish() / whole.rodHours() * rodHours[i];
                chiSquare += (fish[i] - expected) * (fish[i] - expected) / expected;
                stints++;
            }
        }
        long withFish = trips.values().stream().filter(t -> t.fish() > 0).count();
        return stints > withFish ? Math.max(1, chiSquare / (stints - withFish)) : 1;
    }
}
