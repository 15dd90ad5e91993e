package dusk.ledger.patterns;

import java.util.Arrays;

/**
 * The stints where some conditions hold, gathered so that a sweep over many choices reads them in a row: all arrays are by index among them. Blocks are
 * runs of indexes.
 */
final class Within {
    final int size;
    final int[] fish;
    final double[] expected;
    final double[] rodHours;

    /** By tackle factor of the terms: code of each. */
    final short[][] codes;

    final int blocks;

    /** First index of each block; one more than there are. */
    final int[] blockFrom;

    /** Trip of each block, in the layout's numbers. */
    final int[] blockTrip;

    /** Blocks of one season together; those of season s from {@code seasonFrom[s]} to before {@code seasonFrom[s + 1]}. */
    final int[] seasonBlocks;

    final int[] seasonFrom;

    /** @param places in rising order */
    Within(Layout layout, Terms terms, double[] expectedByPlace, int[] places) {
        size = places.length;
        fish = new int[size];
        expected = new double[size];
        rodHours = new double[size];
        codes = new short[terms.tackle.size()][size];
        for (int f = 0; f < codes.length; f++) {
            int[] all = terms.tackle.get(f).codes();
            short[] here = codes[f];
            for (int i = 0; i < size; i++) {
                here[i] = (short) all[places[i]];
            }
        }
        int[] from = new int[size + 1];
        int count = 0;
        int last = -1;
        for (int i = 0; i < size; i++) {
            int place = places[i];
            fish[i] = layout.fish[place];
            expected[i] = expectedByPlace[place];
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
        int[] seasonOf = new int[count];
        seasonFrom = new int[layout.seasons + 1];
        for (int b = 0; b < count; b++) {
            int place = places[blockFrom[b]];
            blockTrip[b] = layout.trip[place];
            seasonOf[b] = layout.season[place];
            seasonFrom[seasonOf[b] + 1]++;
        }
        for (int s = 0; s < layout.seasons; s++) {
            seasonFrom[s + 1] += seasonFrom[s];
        }
        seasonBlocks = new int[count];
        int[] next = seasonFrom.clone();
        for (int b = 0; b < count; b++) {
            seasonBlocks[next[seasonOf[b]]++] = b;
        }
    }

    static int[] everywhere(Layout layout) {
        int[] places = new int[layout.size];
        Arrays.setAll(places, i -> i);
        return places;
    }

    /** Places where conditions hold, given by the numbers of their terms. */
    static int[] places(Layout layout, Terms terms, int[] conditionTerms) {
        int[] places = everywhere(layout);
        for (int term : conditionTerms) {
            Terms.Coded coded = terms.of(term);
            int[] codes = coded.codes();
            int wanted = term - coded.first() + 1;
            int count = 0;
            for (int place : places) {
                if (codes[place] == wanted) {
                    places[count++] = place;
                }
            }
            places = Arrays.copyOf(places, count);
        }
        return places;
    }
}
