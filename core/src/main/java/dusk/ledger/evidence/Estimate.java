package dusk.ledger.evidence;

import org.jspecify.annotations.Nullable;

/** A ratio of two catch rates, or the reason there is none. */
public sealed interface Estimate {
    /**
     * A ratio.
     *
     * @param ratio 0 where only the other side has fish
     * @param interval 95 %; null where it cannot be had
     * @param p two-sided; null where it cannot be had
     * @param caveat why the interval or p is missing; empty where both are there
     */
    record Figure(
            double ratio,
            @Nullable Interval interval,
            @Nullable Double p,
            String caveat) implements Estimate {}

    /** No ratio. */
    record None(String reason) implements Estimate {}
}
