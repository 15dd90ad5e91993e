package dusk.ledger.stints;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.function.IntToDoubleFunction;
import java.util.function.IntUnaryOperator;

/** Where rows of a table that follows writes come from: runs of rows as they were, and fresh ones between them, all in the order of their ids. */
final class Splice {
    /** Rows as they were: from the first, so many, to a place among the new. */
    private record Run(int from, int to, int length) {}

    private final List<Run> runs = new ArrayList<>();
    private final int[] freshAt;
    private final int[] removed;
    private final int size;

    /**
     * @param ids of the rows as they were, rising
     * @param gone ids whose rows are left out, there or not
     * @param fresh ids of the rows put in, rising, each of them gone or never there
     */
    Splice(String[] ids, Set<String> gone, List<String> fresh) {
        BitSet out = new BitSet();
        for (String id : gone) {
            int at = Arrays.binarySearch(ids, id);
            if (at >= 0) {
                out.set(at);
            }
        }
        removed = out.stream().toArray();
        freshAt = new int[fresh.size()];
        int row = 0;
        int next = 0;
        int to = 0;
        while (row < ids.length || next < freshAt.length) {
            int until = next < freshAt.length ? place(ids, fresh.get(next)) : ids.length;
            while (row < until) {
                int from = out.nextClearBit(row);
                int end = Math.min(until, out.nextSetBit(from) < 0 ? until : out.nextSetBit(from));
                if (from < end) {
                    runs.add(new Run(from, to, end - from));
                    to += end - from;
                }
                row = Math.max(end, Math.min(from, until));
            }
            if (next < freshAt.length) {
                freshAt[next++] = to++;
            }
        }
        size = to;
    }

    /** How many rows stand before an id. */
    private static int place(String[] ids, String id) {
        int at = Arrays.binarySearch(ids, id);
        return at >= 0 ? at : -at - 1;
    }

    int size() {
        return size;
    }

    /** Places of the rows that are left out, among those as they were. */
    int[] removed() {
        return removed;
    }

    @SuppressWarnings("SuspiciousSystemArraycopy") // both are arrays of the same type: the callers below make them
    private void copy(Object before, Object after) {
        for (Run run : runs) {
            System.arraycopy(before, run.from(), after, run.to(), run.length());
        }
    }

    byte[] bytes(byte[] before, IntUnaryOperator fresh) {
        byte[] after = new byte[size];
        copy(before, after);
        for (int i = 0; i < freshAt.length; i++) {
            after[freshAt[i]] = (byte) fresh.applyAsInt(i);
        }
        return after;
    }

    int[] ints(int[] before, IntUnaryOperator fresh) {
        int[] after = new int[size];
        copy(before, after);
        for (int i = 0; i < freshAt.length; i++) {
            after[freshAt[i]] = fresh.applyAsInt(i);
        }
        return after;
    }

    double[] doubles(double[] before, IntToDoubleFunction fresh) {
        double[] after = new double[size];
        copy(before, after);
        for (int i = 0; i < freshAt.length; i++) {
            after[freshAt[i]] = fresh.applyAsDouble(i);
        }
        return after;
    }

    <T> T[] objects(T[] before, IntFunction<T> fresh) {
        T[] after = Arrays.copyOf(before, size);
        copy(before, after);
        for (int i = 0; i < freshAt.length; i++) {
            after[freshAt[i]] = fresh.apply(i);
        }
        return after;
    }
}
