package dusk.ledger.plan;

import dusk.ledger.evidence.ShrunkRate;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Caution;
import dusk.ledger.vocabulary.Factor;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What an adviser says of some conditions.
 *
 * @param base fish a rod-hour in such conditions on whatever was fished; null without records
 * @param calls set-ups of the records, the best first; then some that are to be put together, the best first
 * @param spread one for each rod, which together do best
 * @param schools questions on which schools disagree here
 * @param unknown what is not known and would change the answer, most first
 * @param leftOut what was not called, and why
 */
public record Advice(
        @Nullable ShrunkRate base,
        List<Call> calls,
        List<Rod> spread,
        List<Schools> schools,
        List<Unknown> unknown,
        List<LeftOut> leftOut) {

    /** A rod of a spread, and what it is for. */
    public record Rod(String role, Call call) {}

    /** A question with an answer of each school. */
    public record Schools(String question, List<Rule> answers) {}

    /**
     * Something that is not known.
     *
     * @param matters the sum of the log ratios of the rules that wait for it
     */
    public record Unknown(Factor factor, double matters) {}

    /** A set-up that is not sound. */
    public record LeftOut(SetUp setUp, Caution caution) {}
}
