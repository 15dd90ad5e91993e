package dusk.ledger.evidence;

import dusk.ledger.columns.Codes;
import dusk.ledger.columns.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * The levels of a factor side by side.
 *
 * @param question what was asked
 * @param levels every level with a stint, {@code not recorded} first where there is one, then in natural order
 * @param prior null where there is no fish at all
 * @param swing f: how much more trips differ than chance
 */
public record Comparison(
        Question question,
        List<LevelFigures> levels,
        @Nullable GammaPrior prior,
        double swing) {

    /** Reckons a question on a table. */
    public static Comparison of(StintTable table, Question question) {
        BitSet rows = rows(table, question);
        int[] fish = table.fish(question.species(), question.least());
        Map<Integer, Gathered> byLevel = gather(table, question.factor(), rows, fish);
        double swing =
                TripSwing.of(byLevel.values().stream().map(Gathered::efforts).toList());
        List<Effort> slowed =
                byLevel.values().stream().map(g -> g.all().dividedBy(swing)).toList();
        GammaPrior prior = slowed.isEmpty() ? null : GammaPrior.fit(slowed).orElse(null);
        List<LevelFigures> figures = new ArrayList<>();
        Codes codes = table.codes(question.factor());
        byLevel.forEach((code, gathered) -> figures.add(gathered.figures(
                codes.levels().get(code),
                prior == null ? null : prior.given(gathered.all().dividedBy(swing)))));
        return new Comparison(question, List.copyOf(figures), prior, swing);
    }

    /** Rows of the stints in which the question's conditions hold. */
    public static BitSet rows(StintTable table, Question question) {
        BitSet rows = new BitSet(table.size());
        rows.set(0, table.size());
        question.where().forEach((factor, levels) -> {
            Codes codes = table.codes(factor);
            BitSet wanted = new BitSet();
            levels.stream().map(codes::codeOf).filter(c -> c >= 0).forEach(wanted::set);
            for (int row = rows.nextSetBit(0); row >= 0; row = rows.nextSetBit(row + 1)) {
                if (!wanted.get(codes.at(row))) {
                    rows.clear(row);
                }
            }
        });
        return rows;
    }

    /** The levels that can be told apart: all but {@code not recorded}. */
    public List<LevelFigures> recorded() {
        return levels.stream()
                .filter(l -> !l.level().equals(Factor.NOT_RECORDED))
                .toList();
    }

    private static Map<Integer, Gathered> gather(StintTable table, Factor factor, BitSet rows, int[] fish) {
        Map<Integer, Gathered> byLevel = new TreeMap<>();
        Codes levels = table.codes(factor);
        Codes trips = table.codes(Factor.TRIP);
        Codes anglers = table.codes(Factor.ANGLER);
        for (int row = rows.nextSetBit(0); row >= 0; row = rows.nextSetBit(row + 1)) {
            byLevel.computeIfAbsent(levels.at(row), l -> new Gathered())
                    .add(trips.at(row), anglers.at(row), new Effort(fish[row], table.rodHours(row)));
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
