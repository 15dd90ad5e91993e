package dusk.ledger.columns;

import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Stint;
import dusk.ledger.units.Length;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.vocabulary.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A ledger's stints as columns: a code per factor, effort and counts as arrays. Immutable; made once per ledger version and scope, read by every
 * analysis. Row order is the ledger's.
 */
public final class StintTable {
    private final Ledger ledger;
    private final double[] rodHours;
    private final Map<Factor, Codes> codes;
    private final Map<String, Integer> rowOf = new HashMap<>();

    private final List<Stint> stints;

    private StintTable(Ledger ledger, List<Stint> stints, double[] rodHours, Map<Factor, Codes> codes) {
        this.ledger = ledger;
        this.stints = stints;
        this.rodHours = rodHours;
        this.codes = codes;
        for (int i = 0; i < stints.size(); i++) {
            rowOf.put(stints.get(i).id(), i);
        }
    }

    /** Builds the table of all stints of a ledger. */
    public static StintTable of(Ledger ledger) {
        LevelReader reader = new LevelReader(ledger);
        List<Stint> stints = ledger.stints();
        double[] hours = new double[stints.size()];
        List<Map<Factor, String>> rows = new ArrayList<>(stints.size());
        for (int i = 0; i < stints.size(); i++) {
            hours[i] = stints.get(i).rodHours();
            rows.add(reader.levels(stints.get(i)));
        }
        Map<Factor, Codes> codes = new EnumMap<>(Factor.class);
        for (Factor factor : Factor.values()) {
            codes.put(factor, code(factor, rows));
        }
        return new StintTable(ledger, stints, hours, codes);
    }

    private static Codes code(Factor factor, List<Map<Factor, String>> rows) {
        Set<String> present = new HashSet<>();
        rows.forEach(r -> present.add(r.getOrDefault(factor, Factor.NOT_RECORDED)));
        present.remove(Factor.NOT_RECORDED);
        List<String> order = factor.order().isEmpty() ? Words.of(factor.key()) : factor.order();
        List<String> levels = new ArrayList<>(present);
        levels.sort(Comparator.<String>comparingInt(l -> order.contains(l) ? order.indexOf(l) : order.size())
                .thenComparing(Comparator.naturalOrder()));
        levels.add(0, Factor.NOT_RECORDED);
        Map<String, Integer> codeOf = new HashMap<>();
        levels.forEach(l -> codeOf.put(l, codeOf.size()));
        int[] codes = new int[rows.size()];
        for (int i = 0; i < codes.length; i++) {
            codes[i] = codeOf.getOrDefault(rows.get(i).getOrDefault(factor, Factor.NOT_RECORDED), 0);
        }
        return new Codes(levels, codes);
    }

    /** The rows that a condition holds for, as a table of their own; levels that none of them has are gone. */
    public StintTable where(IntPredicate condition) {
        int[] rows = IntStream.range(0, size()).filter(condition).toArray();
        Map<Factor, Codes> left = new EnumMap<>(Factor.class);
        codes.forEach((factor, all) -> left.put(factor, all.only(rows)));
        return new StintTable(
                ledger,
                Arrays.stream(rows).mapToObj(stints::get).toList(),
                Arrays.stream(rows).mapToDouble(row -> rodHours[row]).toArray(),
                left);
    }

    /** Number of stints. */
    public int size() {
        return rodHours.length;
    }

    /** Effort of a stint in rod-hours. */
    public double rodHours(int stint) {
        return rodHours[stint];
    }

    /** The record behind a row. */
    public Stint stint(int row) {
        return stints.get(row);
    }

    public Codes codes(Factor factor) {
        Codes found = codes.get(factor);
        if (found == null) {
            throw new IllegalStateException("no codes for " + factor);
        }
        return found;
    }

    /**
     * Fish landed in each stint.
     *
     * @param species null for all
     * @param least null for all; a fish without a length fails a least length
     */
    public int[] fish(@Nullable String species, @Nullable Length least) {
        int[] fish = new int[size()];
        for (Catch one : ledger.catches()) {
            Integer row = rowOf.get(one.stintId());
            if (row != null && one.countsFor(species, least)) {
                fish[row] += one.count();
            }
        }
        return fish;
    }

    /** Species landed, most first. */
    public List<String> species() {
        Map<String, Integer> counts = new HashMap<>();
        ledger.catches().forEach(c -> counts.merge(c.species(), c.count(), Integer::sum));
        return counts.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .toList();
    }
}
