package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.BitSet;
import java.util.List;
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
        Codes codes = table.codes(question.factor());
        Levels levels = Levels.of(
                table,
                rows(table, question),
                table.fish(question.species(), question.least()),
                codes::at,
                codes.levels()::get);
        return new Comparison(question, List.copyOf(levels.figures().values()), levels.prior(), levels.swing());
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
}
