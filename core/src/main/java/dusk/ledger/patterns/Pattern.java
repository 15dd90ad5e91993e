package dusk.ledger.patterns;

import dusk.ledger.evidence.Interval;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;

/**
 * A finding: a choice of tackle that does better, or worse, under its conditions than the other recorded choices there.
 *
 * @param tackle the choice, one to three terms
 * @param conditions within which it was judged; may be empty
 * @param rodHours with the choice, in the conditions
 * @param rate fish a rod-hour with the choice
 * @param versusRate fish a rod-hour with the others
 * @param ratio matched, fish against expected fish
 * @param shrunkRatio the ratio once luck is allowed for
 * @param stints rows of the table with the choice, in the conditions
 * @param others rows of the table with another recorded choice, in the conditions
 * @param rivals other conditions that would explain it about as well, not told apart yet
 * @param blocks those that carry the ratio, whatever they speak for, the weightiest first
 * @param dropped longer or twin patterns that say no more than this one
 */
@RecordBuilder
public record Pattern(
        List<Term> tackle,
        List<Term> conditions,
        List<Integer> stints,
        List<Integer> others,
        int trips,
        int anglers,
        double rodHours,
        int fish,
        double rate,
        double versusRate,
        double ratio,
        Interval interval,
        double shrunkRatio,
        double p,
        double q,
        HoldUp later,
        Grade grade,
        List<Rival> rivals,
        List<PatternBlock> blocks,
        List<List<Term>> dropped) {
    /** Whether it works against the angler. */
    public boolean against() {
        return ratio < 1;
    }
}
