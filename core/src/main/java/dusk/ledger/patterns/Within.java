package dusk.ledger.patterns;

import java.util.Arrays;

/**
 * The stints where some conditions hold, gathered so that a sweep over many choices reads them in a row: all arrays
 * are by index among them. Blocks are runs of indexes.
 */
final class Within {
    final int size;

    /** Landed. */
    final int[] landed;

    /** Landed, by what each stint may speak for. */
    final double[] fish;

    /** To be expected, by the same weight. */
    final double[] expected;

    final double[] rodHours;

    /** By tackle factor of the terms: code of each. */
    final short[][] codes;

    final int blocks;

    /** First index of each block; one more than there are. */
    final int[] blockFrom;

    /** Trip of each block, in the layout's numbers. */
    final int[] blockTrip;

    /** The most stints of one trip. */
    final int mostInTrip;

    final double leastHours;

    /**
     * Blocks of one season together, of seasons that have several; those of the s-th from {@code seasonFrom[s]} to
     * before {@code seasonFrom[s + 1]}.
     */
    final int[] seasonBlocks;

    final int[] seasonFrom;

    /**
     * @param weight by place, of each stint
     * @param places in rising order
     */
    Within(Layout layout, Terms terms, double[] expectedByPlace, double[] weight, int[] places) {
        size = places.length;
        landed = new int[size];
        fish = new double[size];
        expected = new double[size];
        rodHours = new double[size];
        codes = new short[terms.tackle.size()][size];
        for (int f = 0; f < codes.length; f++) {
            short[] all = terms.tackle.get(f).codes();
            short[] here = codes[f];
            for (int i = 0; i < size; i++) {
                here[i] = all[places[i]];
            }
        }
        int[] from = new int[size + 1];
        int count = 0;
        int last = -1;
        for (int i = 0; i < size; i++) {
            int place = places[i];
            landed[i] = layout.fish[place];
            fish[i] = layout.fish[place] * weight[place];
            expected[i] = expectedByPlace[place] * weight[place];
            rodHours[i] = layout.rodHours[place];
            if (layout.block[place] != last) {
                last = layout.block[place];
                from[count++] = i;
            }
        }
        from[count] = size;
        blocks = count;
        blockFrom = Arrays.copyOf(from, count + 1);
        blockTrip = new int[count];
        int most = 0;
        int tripFrom = 0;
        int[] ofSeason = new int[layout.seasons];
        for (int b = 0; b < count; b++) {
            int place = places[blockFrom[b]];
            blockTrip[b] = layout.trip[place];
            ofSeason[layout.season[place]]++;
            if (b > 0 && blockTrip[b] != blockTrip[b - 1]) {
                tripFrom = blockFrom[b];
            }
            most = Math.max(most, blockFrom[b + 1] - tripFrom);
        }
        mostInTrip = most;
        leastHours = Arrays.stream(rodHours).min().orElse(0);
        int seasons = 0;
        int inSeasons = 0;
        int[] next = new int[layout.seasons];
        int[] starts = new int[layout.seasons + 1];
        for (int s = 0; s < layout.seasons; s++) {
            next[s] = ofSeason[s] > 1 ? inSeasons : -1;
            if (ofSeason[s] > 1) {
                inSeasons += ofSeason[s];
                starts[++seasons] = inSeasons;
            }
        }
        seasonFrom = Arrays.copyOf(starts, seasons + 1);
        seasonBlocks = new int[inSeasons];
        for (int b = 0; b < count; b++) {
            int season = layout.season[places[blockFrom[b]]];
            if (next[season] >= 0) {
                seasonBlocks[next[season]++] = b;
            }
        }
    }

    /** Whether a block is the last of its trip. */
    boolean lastOfTrip(int block) {
        return block + 1 == blocks || blockTrip[block + 1] != blockTrip[block];
    }

    static int[] everywhere(Layout layout) {
        int[] places = new int[layout.size];
        Arrays.setAll(places, i -> i);
        return places;
    }

    /** Places where conditions hold, given by the numbers of their terms. */
    static int[] places(Layout layout, Terms terms, int[] conditionTerms) {
        if (conditionTerms.length == 0) {
            return everywhere(layout);
        }
        int[] places = terms.places(conditionTerms[0]);
        for (int t = 1; t < conditionTerms.length; t++) {
            Terms.Coded coded = terms.of(conditionTerms[t]);
            int wanted = conditionTerms[t] - coded.first() + 1;
            int[] both = new int[places.length];
            int count = 0;
            for (int place : places) {
                if (coded.codes()[place] == wanted) {
                    both[count++] = place;
                }
            }
            places = Arrays.copyOf(both, count);
        }
        return places;
    }
}
