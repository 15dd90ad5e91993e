package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A against B, or the rest: matched within blocks, and adjusted by regression.
 *
 * @param versus B, or {@code rest}
 */
public record Contrast(String level, String versus, MatchedRatio matched, Estimate adjusted) {
    /** Same trip, same place, same angler. */
    public static final List<Factor> USUAL_BLOCKS = List.of(Factor.TRIP, Factor.SPOT, Factor.ANGLER);

    /** What a choice is most often confounded with. */
    public static final List<Factor> USUAL_ADJUSTMENT =
            List.of(Factor.WATER_TEMP, Factor.CLARITY, Factor.LIGHT, Factor.ANGLER);

    /**
     * How a contrast is made.
     *
     * @param blocks what a block has in common
     * @param adjust factors held equal by the regression; the compared one is left out
     */
    public record Method(List<Factor> blocks, List<Factor> adjust) {
        public static final Method USUAL = new Method(USUAL_BLOCKS, USUAL_ADJUSTMENT);
    }

    /** Reckons one contrast of a question. */
    public static Contrast of(StintTable table, Question question, Sides sides, Method method) {
        BitSet rows = Comparison.rows(table, question);
        int[] fish = table.fish(question.species(), question.least());
        MatchedRatio matched = matched(table, question, sides, method.blocks());
        Estimate adjusted = new AdjustedRatio(table, question.factor(), sides, method.adjust()).of(rows, fish);
        return new Contrast(sides.level(), sides.versusWord(), matched, adjusted);
    }

    /** The matched ratio alone. */
    public static MatchedRatio matched(StintTable table, Question question, Sides sides, List<Factor> by) {
        BitSet rows = Comparison.rows(table, question);
        int[] fish = table.fish(question.species(), question.least());
        return MatchedRatio.of(blocks(table, question.factor(), sides, by, rows, fish));
    }

    /** Every recorded level of a question against the rest. */
    public static List<Contrast> eachAgainstRest(StintTable table, Question question, Method method) {
        List<Contrast> contrasts = new ArrayList<>();
        for (LevelFigures level : Comparison.of(table, question).recorded()) {
            contrasts.add(of(table, question, new Sides(level.level(), null), method));
        }
        return contrasts;
    }

    /** The cluster of a block is its trip; where blocks are not of one trip, the block itself. */
    private static Collection<Block> blocks(
            StintTable table, Factor factor, Sides sides, List<Factor> by, BitSet rows, int[] fish) {
        Codes levels = table.codes(factor);
        int[] side = sides.byCode(levels);
        boolean ofTrips = by.contains(Factor.TRIP);
        Map<List<Integer>, Block> blocks = new HashMap<>();
        for (int row = rows.nextSetBit(0); row >= 0; row = rows.nextSetBit(row + 1)) {
            int on = side[levels.at(row)];
            if (on < 0) {
                continue;
            }
            int at = row;
            List<Integer> key = by.stream().map(f -> table.codes(f).at(at)).toList();
            Block before = blocks.get(key);
            int cluster = before != null
                    ? before.cluster()
                    : ofTrips ? table.codes(Factor.TRIP).at(row) : blocks.size();
            Block empty = before == null ? new Block(cluster, 0, 0, 0, 0) : before;
            double hours = table.rodHours(row);
            blocks.put(
                    key,
                    on == 1
                            ? new Block(cluster, empty.x() + fish[row], empty.n1() + hours, empty.z(), empty.n0())
                            : new Block(cluster, empty.x(), empty.n1(), empty.z() + fish[row], empty.n0() + hours));
        }
        return blocks.values();
    }
}
