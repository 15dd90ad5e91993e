package dusk.ledger.patterns;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * The effect of one pattern, reckoned directly: blocks trip x angler; stints whose block holds one side only fall back to blocks
 * angler x water x calendar month. The cluster of a first block is its trip, of a fallback block itself.
 */
final class Matching {
    private final Layout layout;

    private final double dispersion;

    Matching(Layout layout, double dispersion) {
        this.layout = layout;
        this.dispersion = dispersion;
    }

    /**
     * Sums over the places where a pattern's conditions hold.
     *
     * @param places in rising order
     * @param chosen by index of {@code places}: whether the choice was made, against another recorded one
     * @param expected by place
     */
    Effect.Sums sums(int[] places, boolean[] chosen, double[] expected) {
        Effect.Sums sums = new Effect.Sums();
        double[] fallback = new double[0];
        for (int from = 0; from < places.length; ) {
            int block = layout.block[places[from]];
            double x = 0;
            double n1 = 0;
            double z = 0;
            double n0 = 0;
            int to = from;
            for (; to < places.length && layout.block[places[to]] == block; to++) {
                int place = places[to];
                if (chosen[to]) {
                    x += layout.fish[place];
                    n1 += expected[place];
                } else {
                    z += layout.fish[place];
                    n0 += expected[place];
                }
            }
            if (n1 > 0 && n0 > 0) {
                sums.block(x, n1, z, n0);
            } else {
                fallback = fallback.length == 0 ? new double[4 * layout.seasons] : fallback;
                int season = 4 * layout.season[places[from]];
                fallback[season] += x;
                fallback[season + 1] += n1;
                fallback[season + 2] += z;
                fallback[season + 3] += n0;
            }
            if (to == places.length || layout.trip[places[to]] != layout.trip[places[from]]) {
                sums.closeCluster();
            }
            from = to;
        }
        for (int s = 0; s < fallback.length; s += 4) {
            if (fallback[s + 1] > 0 && fallback[s + 3] > 0) {
                sums.block(fallback[s], fallback[s + 1], fallback[s + 2], fallback[s + 3]);
                sums.closeCluster();
            }
        }
        return sums;
    }

    /** The effect; null where nothing can be said. */
    @Nullable
    Effect effect(int[] places, boolean[] chosen, double[] expected) {
        Effect.Sums sums = sums(places, chosen, expected);
        return sums.clusters >= 2 && sums.forA > 0 && sums.forB > 0 ? sums.effect(dispersion) : null;
    }

    /** The same over the places of some trips only. */
    @Nullable
    Effect effect(int[] places, boolean[] chosen, double[] expected, int fromTrip, int toTrip) {
        int from = 0;
        while (from < places.length && layout.trip[places[from]] < fromTrip) {
            from++;
        }
        int to = from;
        while (to < places.length && layout.trip[places[to]] < toTrip) {
            to++;
        }
        return effect(Arrays.copyOfRange(places, from, to), Arrays.copyOfRange(chosen, from, to), expected);
    }
}
