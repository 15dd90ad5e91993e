package dusk.ledger.plan;

import dusk.ledger.vocabulary.Factor;
import java.util.List;

/**
 * What rules and records together hold of one level of a tackle factor, under the conditions asked for: a normal on the
 * log ratio against the other choices of its kind.
 *
 * @param rules that speak of it
 * @param prior what they alone would have it be
 * @param posterior with the records
 */
public record Feature(Factor factor, String level, List<Rule> rules, Belief prior, Belief posterior) {
    /** With less of it from the records they have not spoken. */
    private static final double SEEN = 0.02;

    /** A normal on a log ratio. */
    public record Belief(double mean, double sd) {
        double variance() {
            return sd * sd;
        }
    }

    /** Where it comes from. */
    public enum From {
        RULES,
        RECORDS,
        BOTH,
        /** Nobody says anything of it. */
        NOBODY
    }

    public From from() {
        boolean seen = recordsShare() >= SEEN;
        return rules.isEmpty() ? (seen ? From.RECORDS : From.NOBODY) : seen ? From.BOTH : From.RULES;
    }

    /** How many times as many fish as the other choices. */
    public double ratio() {
        return Math.exp(posterior.mean());
    }

    /** How much of it the records say, 0 to 1. */
    public double recordsShare() {
        return 1 - posterior.variance() / prior.variance();
    }
}
