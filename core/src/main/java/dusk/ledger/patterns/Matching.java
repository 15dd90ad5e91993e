package dusk.ledger.patterns;

import org.jspecify.annotations.Nullable;

/**
 * The effect of one combination, reckoned directly: blocks trip x angler; stints whose block holds one side only fall back to blocks
 * angler x water x calendar month. The cluster of a first block is its trip, of a fallback block itself.
 */
final class Matching {
    private static final int WIDTH = 4;

    private final Layout layout;
    private final Unrest unrest;

    Matching(Layout layout, Unrest unrest) {
        this.layout = layout;
        this.unrest = unrest;
    }

    /** Hears of the blocks that carry an effect. */
    interface Blocks {
        Blocks NONE = (place, fallback, x, n1, z, n0) -> {};

        /**
         * A block with both sides.
         *
         * @param place one of its stints
         * @param fallback whether it is one of angler, water and month
         * @param x fish of the choice in n1 expected, by the weights of their stints
         * @param z fish of the others in n0 expected
         */
        void block(int place, boolean fallback, double x, double n1, double z, double n0);
    }

    /** Sums over all places. */
    Effect.Sums sums(Combination combination, double[] expected) {
        return sums(combination, expected, 0, layout.trips, Blocks.NONE);
    }

    /**
     * Sums over the places of some trips.
     *
     * @param expected by place
     * @param fromTrip the first trip of them
     * @param toTrip the first one after them
     */
    Effect.Sums sums(Combination combination, double[] expected, int fromTrip, int toTrip, Blocks hears) {
        Effect.Sums sums = new Effect.Sums();
        double[] fallback = new double[WIDTH * layout.seasons];
        int[] seasonPlace = new int[layout.seasons];
        double[] weight = unrest.weight();
        int at = combination.indexFrom(layout.firstOf(fromTrip));
        int end = combination.indexFrom(layout.firstOf(toTrip));
        while (at < end) {
            int from = combination.place(at);
            int place = from;
            double x = 0;
            double n1 = 0;
            double z = 0;
            double n0 = 0;
            while (place < layout.size && layout.block[place] == layout.block[from]) {
                Combination.Side side = combination.at(place);
                if (side == Combination.Side.CHOSEN) {
                    x += layout.fish[place] * weight[place];
                    n1 += expected[place] * weight[place];
                } else if (side == Combination.Side.OTHER) {
                    z += layout.fish[place] * weight[place];
                    n0 += expected[place] * weight[place];
                }
                at++;
                place = at < end ? combination.place(at) : layout.size;
            }
            if (n1 > 0 && n0 > 0) {
                sums.block(x, n1, z, n0);
                hears.block(from, false, x, n1, z, n0);
            } else if (n1 > 0 || n0 > 0) {
                int season = layout.season[from];
                seasonPlace[season] = from;
                fallback[WIDTH * season] += x;
                fallback[WIDTH * season + 1] += n1;
                fallback[WIDTH * season + 2] += z;
                fallback[WIDTH * season + 3] += n0;
            }
            if (place == layout.size || layout.trip[place] != layout.trip[from]) {
                sums.closeTrip(unrest.ofTrip()[layout.trip[from]]);
            }
        }
        for (int s = 0; s < layout.seasons; s++) {
            int of = WIDTH * s;
            if (fallback[of + 1] > 0 && fallback[of + 3] > 0) {
                sums.block(fallback[of], fallback[of + 1], fallback[of + 2], fallback[of + 3]);
                sums.closeFallback();
                hears.block(seasonPlace[s], true, fallback[of], fallback[of + 1], fallback[of + 2], fallback[of + 3]);
            }
        }
        return sums;
    }

    /** The effect; null where nothing can be said. */
    @Nullable
    Effect effect(Combination combination, double[] expected) {
        return effect(combination, expected, 0, layout.trips);
    }

    /** The same over the places of some trips only. */
    @Nullable
    Effect effect(Combination combination, double[] expected, int fromTrip, int toTrip) {
        Effect.Sums sums = sums(combination, expected, fromTrip, toTrip, Blocks.NONE);
        return sums.clusters >= 2 && sums.forA > 0 && sums.forB > 0 ? sums.effect(unrest.dispersion()) : null;
    }
}
