package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

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

    /** The two sides that were asked for. */
    public Sides sides() {
        return new Sides(level, versus.equals(Sides.REST) ? null : versus);
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
        return matched(table, question.factor(), sides.byCode(table.codes(question.factor())), by, rows, fish);
    }

    /** Any of some levels against every other recorded one, matched. */
    public static MatchedRatio matched(StintTable table, Question question, Set<String> levels, List<Factor> by) {
        Codes codes = table.codes(question.factor());
        int[] side = new int[codes.levels().size()];
        for (int code = 0; code < side.length; code++) {
            side[code] = code == 0 ? -1 : levels.contains(codes.levels().get(code)) ? 1 : 0;
        }
        return matched(
                table,
                question.factor(),
                side,
                by,
                Comparison.rows(table, question),
                table.fish(question.species(), question.least()));
    }

    private static MatchedRatio matched(
            StintTable table, Factor factor, int[] side, List<Factor> by, BitSet rows, int[] fish) {
        return MatchedRatio.of(blocks(table, table.codes(factor), side, by, rows, fish));
    }

    /** One set-up against another by its id, matched; null species for all fish. */
    public static MatchedRatio ofSetUps(
            StintTable table, String setUp, String other, @Nullable String species, List<Factor> by) {
        Codes codes = table.setUps();
        int[] side = new int[codes.levels().size()];
        for (int code = 0; code < side.length; code++) {
            String id = codes.levels().get(code);
            side[code] = id.equals(setUp) ? 1 : id.equals(other) ? 0 : -1;
        }
        BitSet rows = new BitSet();
        rows.set(0, table.size());
        return MatchedRatio.of(blocks(table, codes, side, by, rows, table.fish(species, null)));
    }

    /** Every recorded level of a question against the rest. */
    public static List<Contrast> eachAgainstRest(StintTable table, Question question, Method method) {
        List<Contrast> contrasts = new ArrayList<>();
        for (LevelFigures level : Comparison.of(table, question).recorded()) {
            contrasts.add(of(table, question, new Sides(level.level(), null), method));
        }
        return contrasts;
    }

    /** Blocks with both sides. The cluster of a block is its trip; where blocks are not of one trip, the block itself. */
    private static List<Block> blocks(
            StintTable table, Codes levels, int[] side, List<Factor> by, BitSet rows, int[] fish) {
        Codes trips = table.codes(Factor.TRIP);
        int[] spoken = rows.stream().filter(row -> side[levels.at(row)] >= 0).toArray();
        boolean ofTrips = by.contains(Factor.TRIP);
        Grouping blocks = Grouping.of(
                spoken, by.stream().map(f -> Grouping.By.of(table.codes(f))).toList());
        int[] cluster = new int[blocks.count()];
        double[][] sums = new double[4][blocks.count()];
        for (int i = 0; i < spoken.length; i++) {
            int row = spoken[i];
            int block = blocks.of()[i];
            int own = side[levels.at(row)] == 1 ? 0 : 2;
            cluster[block] = ofTrips ? trips.at(row) : block;
            sums[own][block] += fish[row];
            sums[own + 1][block] += table.rodHours(row);
        }
        List<Block> both = new ArrayList<>();
        for (int block = 0; block < cluster.length; block++) {
            Block one = new Block(cluster[block], sums[0][block], sums[1][block], sums[2][block], sums[3][block]);
            if (one.bothSides()) {
                both.add(one);
            }
        }
        return both;
    }
}
