package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.IntFunction;
import java.util.function.IntUnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Figures of levels that share a prior, whatever they are levels of: a factor's words, cells of two factors, hours from the sun.
 *
 * @param figures by code, rising; only levels with a stint
 * @param prior null where there is no fish at all
 * @param swing f: how much more trips differ than chance
 */
public record Levels(
        Map<Integer, LevelFigures> figures, @Nullable GammaPrior prior, double swing) {
    /**
     * Reckons them.
     *
     * @param rows that count
     * @param fish by row
     * @param codeOf level of a row; negative leaves the row out
     */
    public static Levels of(
            StintTable table, BitSet rows, int[] fish, IntUnaryOperator codeOf, IntFunction<String> nameOf) {
        Map<Integer, Gathered> byLevel = gather(table, rows, fish, codeOf);
        double swing =
                TripSwing.of(byLevel.values().stream().map(Gathered::efforts).toList());
        List<Effort> slowed =
                byLevel.values().stream().map(g -> g.all().dividedBy(swing)).toList();
        GammaPrior prior = slowed.isEmpty() ? null : GammaPrior.fit(slowed).orElse(null);
        Map<Integer, LevelFigures> figures = new TreeMap<>();
        byLevel.forEach((code, gathered) -> figures.put(
                code,
                gathered.figures(
                        nameOf.apply(code),
                        prior == null ? null : prior.given(gathered.all().dividedBy(swing)))));
        return new Levels(figures, prior, swing);
    }

    private static Map<Integer, Gathered> gather(StintTable table, BitSet rows, int[] fish, IntUnaryOperator codeOf) {
        Map<Integer, Gathered> byLevel = new TreeMap<>();
        Codes trips = table.codes(Factor.TRIP);
        Codes anglers = table.codes(Factor.ANGLER);
        for (int row = rows.nextSetBit(0); row >= 0; row = rows.nextSetBit(row + 1)) {
            int code = codeOf.applyAsInt(row);
            if (code >= 0) {
                byLevel.computeIfAbsent(code, l -> new Gathered())
                        .add(trips.at(row), anglers.at(row), new Effort(fish[row], table.rodHours(row)));
            }
        }
        return byLevel;
    }

    private static final class Gathered {
        private final Map<Integer, Effort> trips = new LinkedHashMap<>();
        private final Set<Integer> anglers = new HashSet<>();
        private int stints;

        void add(int trip, int angler, Effort effort) {
            stints++;
            anglers.add(angler);
            trips.merge(trip, effort, Effort::plus);
        }

        List<Effort> efforts() {
            return List.copyOf(trips.values());
        }

        Effort all() {
            Collection<Effort> efforts = trips.values();
            return efforts.stream().reduce(Effort::plus).orElseThrow();
        }

        LevelFigures figures(String level, @Nullable ShrunkRate shrunk) {
            Effort all = all();
            return new LevelFigures(
                    level,
                    stints,
                    trips.size(),
                    anglers.size(),
                    all.rodHours(),
                    (int) all.fish(),
                    (int) trips.values().stream()
                            .mapToDouble(Effort::fish)
                            .max()
                            .orElse(0),
                    CatchRate.of(efforts()),
                    shrunk);
        }
    }
}
