package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;

/**
 * The five longest fish of a trip, a season or a person: a tally for the pleasure of it, which says nothing of any choice.
 *
 * @param of a level of what the fish were grouped by
 * @param lengthsMm longest first, five at most
 */
public record BestFive(String of, List<Double> lengthsMm) {
    private static final int MOST = 5;

    /**
     * By the levels of a factor, the one whose five together are longest first; those with fewer than five come after.
     *
     * @param rows that count
     * @param lengths in mm, by row
     */
    public static List<BestFive> by(Codes levels, BitSet rows, double[][] lengths) {
        List<List<Double>> byLevel = new ArrayList<>();
        levels.levels().forEach(l -> byLevel.add(new ArrayList<>()));
        rows.stream()
                .forEach(row -> Arrays.stream(lengths[row])
                        .forEach(mm -> byLevel.get(levels.at(row)).add(mm)));
        List<BestFive> all = new ArrayList<>();
        for (int code = 1; code < byLevel.size(); code++) {
            List<Double> five = byLevel.get(code).stream()
                    .sorted(Comparator.reverseOrder())
                    .limit(MOST)
                    .toList();
            if (!five.isEmpty()) {
                all.add(new BestFive(levels.levels().get(code), five));
            }
        }
        all.sort(Comparator.comparingInt((BestFive f) -> f.lengthsMm().size())
                .thenComparingDouble(BestFive::togetherMm)
                .reversed());
        return List.copyOf(all);
    }

    /** Of some stints those that began at a moment or after it. */
    public static BitSet since(StintTable table, BitSet rows, Instant from) {
        BitSet since = new BitSet();
        rows.stream().filter(row -> !table.startedAt(row).isBefore(from)).forEach(since::set);
        return since;
    }

    public double togetherMm() {
        return lengthsMm.stream().mapToDouble(Double::doubleValue).sum();
    }
}
