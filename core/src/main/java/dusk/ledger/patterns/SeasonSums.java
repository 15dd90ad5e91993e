package dusk.ledger.patterns;

import java.util.Arrays;

/**
 * Sums by choice and season, for the few pairs that occur: open addressing over slots in the order of their making, so that clearing costs what was
 * used and reading them gives the same order every time.
 */
final class SeasonSums {
    private static final int WIDTH = 4;

    private int[] table = new int[1024];
    private long[] keys = new long[512];
    private double[] sums = new double[512 * WIDTH];
    private int[] rows = new int[512];
    private int size;

    SeasonSums() {
        Arrays.fill(table, -1);
    }

    void clear() {
        if (size > 0) {
            Arrays.fill(table, -1);
            size = 0;
        }
    }

    /**
     * @param x fish of the choice in a block it was alone in
     * @param n1 expected fish there
     * @param fish all fish of a block the choice was made in
     * @param all all expected fish there
     * @param count stints there
     */
    void add(int choice, int season, double x, double n1, double fish, double all, int count) {
        int slot = slot((long) choice << 32 | season);
        int at = slot * WIDTH;
        sums[at] += x;
        sums[at + 1] += n1;
        sums[at + 2] += fish;
        sums[at + 3] += all;
        rows[slot] += count;
    }

    private int slot(long key) {
        int mask = table.length - 1;
        int at = hash(key) & mask;
        while (table[at] >= 0) {
            if (keys[table[at]] == key) {
                return table[at];
            }
            at = (at + 1) & mask;
        }
        if (size == keys.length) {
            grow();
            return slot(key);
        }
        table[at] = size;
        keys[size] = key;
        rows[size] = 0;
        Arrays.fill(sums, size * WIDTH, (size + 1) * WIDTH, 0);
        return size++;
    }

    private void grow() {
        keys = Arrays.copyOf(keys, 2 * keys.length);
        sums = Arrays.copyOf(sums, 2 * sums.length);
        rows = Arrays.copyOf(rows, 2 * rows.length);
        table = new int[2 * table.length];
        Arrays.fill(table, -1);
        int mask = table.length - 1;
        for (int slot = 0; slot < size; slot++) {
            int at = hash(keys[slot]) & mask;
            while (table[at] >= 0) {
                at = (at + 1) & mask;
            }
            table[at] = slot;
        }
    }

    private static int hash(long key) {
        long mixed = key * 0x9E3779B97F4A7C15L;
        return (int) (mixed >>> 40);
    }

    int size() {
        return size;
    }

    int choice(int slot) {
        return (int) (keys[slot] >> 32);
    }

    int season(int slot) {
        return (int) keys[slot];
    }

    double x(int slot) {
        return sums[slot * WIDTH];
    }

    double n1(int slot) {
        return sums[slot * WIDTH + 1];
    }

    double fish(int slot) {
        return sums[slot * WIDTH + 2];
    }

    double all(int slot) {
        return sums[slot * WIDTH + 3];
    }

    int rows(int slot) {
        return rows[slot];
    }
}
