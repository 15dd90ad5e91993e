package dusk.ledger.plan;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.Contrast;
import dusk.ledger.evidence.Estimate;
import dusk.ledger.evidence.Interval;
import dusk.ledger.evidence.MatchedRatio;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.StintDispersion;
import dusk.ledger.evidence.TrialSize;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.BitSet;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a club's records say of one thing that a rule holds: what it favours against all else of that kind which was
 * recorded, on the same trip in the same place and hands, while the rule's conditions held (the matched contrast).
 *
 * @param stints in which the conditions held and the factor was recorded
 * @param rodHours of those, on what the rule speaks of
 * @param otherHours of those, on anything else
 * @param matched the contrast
 * @param settleHours rod-hours on each side that would tell the rule's ratio, were it true, four times in five; null
 *     where there is no fish to reckon with, or the records have spoken
 */
public record RuleTrial(
        Rule rule,
        Rule.Favour favour,
        int stints,
        double rodHours,
        double otherHours,
        MatchedRatio matched,
        @Nullable Double settleHours) {

    /** What they come to. */
    public enum Verdict {
        FOR,
        AGAINST,
        NOT_ENOUGH
    }

    /** By the contrast's interval: to one side of 1, and which side the rule is on. */
    public Verdict verdict() {
        Interval interval = matched.estimate() instanceof Estimate.Figure figure ? figure.interval() : null;
        if (interval == null || (interval.low() <= 1 && interval.high() >= 1)) {
            return Verdict.NOT_ENOUGH;
        }
        return interval.low() > 1 == favour.isFor() ? Verdict.FOR : Verdict.AGAINST;
    }

    /** Puts each thing that a rule holds to the test. */
    public static List<RuleTrial> of(StintTable table, Rule rule) {
        return rule.favours().stream().map(favour -> of(table, rule, favour)).toList();
    }

    private static RuleTrial of(StintTable table, Rule rule, Rule.Favour favour) {
        Question question = new Question(favour.factor(), rule.when(), null, null);
        MatchedRatio matched = Contrast.matched(table, question, favour.levels(), Contrast.USUAL_BLOCKS);
        BitSet rows = Comparison.rows(table, question);
        var codes = table.codes(favour.factor());
        int[] fish = table.fish(null, null);
        int[] recorded = rows.stream().filter(row -> codes.at(row) > 0).toArray();
        double hours = 0;
        double others = 0;
        long landed = 0;
        int[] trip = new int[recorded.length];
        int[] fishOf = new int[recorded.length];
        double[] hoursOf = new double[recorded.length];
        for (int i = 0; i < recorded.length; i++) {
            int row = recorded[i];
            trip[i] = table.codes(Factor.TRIP).at(row);
            fishOf[i] = fish[row];
            hoursOf[i] = table.rodHours(row);
            landed += fish[row];
            if (favour.levels().contains(codes.level(row))) {
                hours += hoursOf[i];
            } else {
                others += hoursOf[i];
            }
        }
        RuleTrial trial = new RuleTrial(rule, favour, recorded.length, hours, others, matched, null);
        if (landed == 0 || trial.verdict() != Verdict.NOT_ENOUGH) {
            return trial;
        }
        double settle = TrialSize.rodHoursEach(
                landed / (hours + others),
                favour.ratio(),
                StintDispersion.of(trip, fishOf, hoursOf),
                TrialSize.USUAL_POWER);
        return new RuleTrial(rule, favour, recorded.length, hours, others, matched, settle);
    }
}
