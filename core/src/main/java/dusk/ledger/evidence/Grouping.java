package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntUnaryOperator;

/**
 * Stints numbered by what they have in common, in the order in which each kind turns up.
 *
 * @param of number by place among the rows, from 0
 * @param count how many kinds there are
 */
@SuppressWarnings("ArrayRecordComponent") // an array for speed; made once, never compared
record Grouping(int[] of, int count) {
    /**
     * What stints may have in common.
     *
     * @param codeOf code of a row of the table, from 0
     * @param width codes are under it
     */
    record By(IntUnaryOperator codeOf, int width) {
        static By of(Codes codes) {
            return new By(codes::at, codes.levels().size());
        }
    }

    /** Numbers rows of a table. */
    static Grouping of(int[] rows, List<By> common) {
        long[] key = new long[rows.length];
        long width = 1;
        for (By by : common) {
            if (width > Long.MAX_VALUE / by.width()) {
                // more kinds than a number tells apart: number those so far first, which leaves no more than there are
                // rows
                Grouping sofar = numbered(key);
                Arrays.setAll(key, i -> sofar.of[i]);
                width = sofar.count;
            }
            for (int i = 0; i < rows.length; i++) {
                key[i] = key[i] * by.width() + by.codeOf().applyAsInt(rows[i]);
            }
            width *= by.width();
        }
        return numbered(key);
    }

    /** By open addressing: each slot holds a number and one more, 0 where it is free. */
    private static Grouping numbered(long[] key) {
        int slots = Integer.highestOneBit(Math.max(8, key.length)) * 4;
        int[] slot = new int[slots];
        long[] keyOf = new long[slots];
        int[] of = new int[key.length];
        int count = 0;
        for (int i = 0; i < key.length; i++) {
            long mixed = key[i] * 0x9E3779B97F4A7C15L;
            int at = (int) (mixed >>> 32) & (slots - 1);
            while (slot[at] != 0 && keyOf[at] != key[i]) {
                at = (at + 1) & (slots - 1);
            }
            if (slot[at] == 0) {
                keyOf[at] = key[i];
                slot[at] = ++count;
            }
            of[i] = slot[at] - 1;
        }
        return new Grouping(of, count);
    }
}
