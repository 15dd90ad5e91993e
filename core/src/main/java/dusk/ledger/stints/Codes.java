package dusk.ledger.stints;

import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntUnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * One factor's level of every stint, as a code into its levels. Code 0 is always {@code not recorded}.
 *
 * <p>Bytes where the levels fit, which they do for every word and band a club uses; ids of trips and spots take ints.
 */
public final class Codes {
    private static final int NARROW = 256;

    private final List<String> levels;
    private final Map<String, Integer> codeOf;

    /** Stints at each level. */
    private final int[] counts;

    private final byte[] narrow;
    private final int[] wide;

    private Codes(List<String> levels, Map<String, Integer> codeOf, int[] counts, byte[] narrow, int[] wide) {
        this.levels = levels;
        this.codeOf = codeOf;
        this.counts = counts;
        this.narrow = narrow;
        this.wide = wide;
    }

    private static Codes of(List<String> levels, int[] codes) {
        int[] counts = new int[levels.size()];
        for (int code : codes) {
            counts[code]++;
        }
        Map<String, Integer> codeOf = new HashMap<>();
        levels.forEach(l -> codeOf.put(l, codeOf.size()));
        if (levels.size() > NARROW) {
            return new Codes(List.copyOf(levels), codeOf, counts, new byte[0], codes);
        }
        byte[] narrow = new byte[codes.length];
        for (int i = 0; i < codes.length; i++) {
            narrow[i] = (byte) codes[i];
        }
        return new Codes(List.copyOf(levels), codeOf, counts, narrow, new int[0]);
    }

    /** Codes of the levels of rows; those that occur, in an order, what is not in it behind. */
    static Codes of(List<String> order, List<String> rows) {
        List<String> levels = ordered(order, new HashSet<>(rows));
        Map<String, Integer> codeOf = new HashMap<>();
        levels.forEach(l -> codeOf.put(l, codeOf.size()));
        return of(levels, rows.stream().mapToInt(codeOf::get).toArray());
    }

    /** {@code not recorded}, then the levels in their natural order. */
    private static List<String> ordered(List<String> order, Collection<String> present) {
        Map<String, Integer> place = new HashMap<>();
        order.forEach(l -> place.putIfAbsent(l, place.size()));
        List<String> levels = new ArrayList<>(present);
        levels.remove(Factor.NOT_RECORDED);
        levels.sort(Comparator.<String>comparingInt(l -> place.getOrDefault(l, order.size()))
                .thenComparing(Comparator.naturalOrder()));
        levels.add(0, Factor.NOT_RECORDED);
        return levels;
    }

    /** The same with rows left out and put in, as if made anew of what is there then. */
    Codes spliced(List<String> order, Splice splice, List<String> fresh) {
        int[] left = counts.clone();
        for (int row : splice.removed()) {
            left[at(row)]--;
        }
        boolean known = true;
        for (String level : fresh) {
            Integer code = codeOf.get(level);
            known &= code != null;
            if (code != null) {
                left[code]++;
            }
        }
        Codes same = known ? this : with(order, fresh);
        IntUnaryOperator put = i -> same.codeOf(fresh.get(i));
        boolean bytes = same.levels.size() <= NARROW;
        byte[] narrower = bytes ? splice.bytes(same.narrow, put) : same.narrow;
        int[] wider = bytes ? same.wide : splice.ints(same.wide, put);
        if (!known) {
            return new Codes(same.levels, same.codeOf, recounted(same.levels.size(), narrower, wider), narrower, wider)
                    .withoutVanished();
        }
        return new Codes(levels, codeOf, left, narrower, wider).withoutVanished();
    }

    private static int[] recounted(int levels, byte[] narrow, int[] wide) {
        int[] counts = new int[levels];
        for (byte code : narrow) {
            counts[code & 0xff]++;
        }
        for (int code : wide) {
            counts[code]++;
        }
        return counts;
    }

    /** The same rows, with room for levels that none of them has yet. */
    private Codes with(List<String> order, List<String> more) {
        Set<String> all = new HashSet<>(levels);
        all.addAll(more);
        List<String> wanted = ordered(order, all);
        Map<String, Integer> places = new HashMap<>();
        wanted.forEach(l -> places.put(l, places.size()));
        return renamed(wanted, levels.stream().mapToInt(places::get).toArray());
    }

    private Codes withoutVanished() {
        List<String> left = new ArrayList<>();
        int[] renamed = new int[levels.size()];
        for (int code = 0; code < renamed.length; code++) {
            if (code == 0 || counts[code] > 0) {
                renamed[code] = left.size();
                left.add(levels.get(code));
            }
        }
        return left.size() == levels.size() ? this : renamed(left, renamed);
    }

    private Codes renamed(List<String> names, int[] newCode) {
        int[] codes = new int[size()];
        for (int i = 0; i < codes.length; i++) {
            codes[i] = newCode[at(i)];
        }
        return of(names, codes);
    }

    @Override
    public boolean equals(@Nullable Object o) {
        return o instanceof Codes other
                && levels.equals(other.levels)
                && Arrays.equals(counts, other.counts)
                && Arrays.equals(narrow, other.narrow)
                && Arrays.equals(wide, other.wide);
    }

    @Override
    public int hashCode() {
        return levels.hashCode();
    }

    private int size() {
        return narrow.length + wide.length;
    }

    /** The levels by code, in their natural order after {@code not recorded}. */
    public List<String> levels() {
        return levels;
    }

    /** Code of a stint's level. */
    public int at(int stint) {
        return wide.length > 0 ? wide[stint] : narrow[stint] & 0xff;
    }

    /** A stint's level. */
    public String level(int stint) {
        return levels.get(at(stint));
    }

    /** Appends this factor to combined codes: each becomes itself times the number of levels, plus the code. */
    void append(int[] combined) {
        int width = levels.size();
        if (wide.length > 0) {
            for (int i = 0; i < combined.length; i++) {
                combined[i] = combined[i] * width + wide[i];
            }
            return;
        }
        for (int i = 0; i < combined.length; i++) {
            combined[i] = combined[i] * width + (narrow[i] & 0xff);
        }
    }

    /** The same of some rows only, without the levels that none of them has. */
    Codes only(int[] rows) {
        return of(levels, Arrays.stream(rows).map(this::at).toArray()).withoutVanished();
    }

    /** Code of a level, or -1 where no stint has it. */
    public int codeOf(String level) {
        return codeOf.getOrDefault(level, -1);
    }
}
