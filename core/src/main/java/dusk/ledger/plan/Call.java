package dusk.ledger.plan;

import dusk.ledger.evidence.Interval;
import dusk.ledger.journal.SetUp;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A set-up and a way to fish it, called for the conditions asked.
 *
 * @param presentation null where nothing speaks for one
 * @param owned whether it is of the records; else it is put together as the trade does
 * @param features what speaks for it and against it
 * @param score the sum of their means: the log of how many times as many fish as the run of choices
 * @param rate fish a rod-hour to expect; null where there are no records to reckon it from
 * @param interval of that rate, 95 %
 */
public record Call(
        SetUp setUp,
        @Nullable String presentation,
        boolean owned,
        List<Feature> features,
        double score,
        @Nullable Double rate,
        @Nullable Interval interval) {
    private static final int MOST_REASONS = 3;

    /** The reasons: what weighs most of it, for or against. */
    public List<Feature> reasons() {
        return features.stream()
                .filter(f -> f.from() != Feature.From.NOBODY)
                .sorted(Comparator.comparingDouble(
                                (Feature f) -> Math.abs(f.posterior().mean()))
                        .reversed())
                .limit(MOST_REASONS)
                .toList();
    }

    /** How much of it the records say, 0 to 1. */
    public double recordsShare() {
        double prior = features.stream().mapToDouble(f -> f.prior().variance()).sum();
        double posterior =
                features.stream().mapToDouble(f -> f.posterior().variance()).sum();
        return prior > 0 ? 1 - posterior / prior : 0;
    }
}
