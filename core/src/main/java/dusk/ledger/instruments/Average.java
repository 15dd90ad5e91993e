package dusk.ledger.instruments;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** What a feed says on average of late, the newest most: gusts and waves are no change of the wind or of the drift. */
final class Average {
    private final double overSeconds;
    private @Nullable Instant at;
    private Flow mean = new Flow(0, 0);

    /** @param over after so long a value counts by a third of what it did */
    Average(Duration over) {
        overSeconds = over.toMillis() / 1000.0;
    }

    void add(Flow flow, Instant when) {
        double weight = at == null
                ? 1
                : -Math.expm1(-Math.max(0, Duration.between(at, when).toMillis() / 1000.0) / overSeconds);
        mean = mean.plus(flow.minus(mean).times(weight));
        at = when;
    }

    /** A figure without a direction. */
    void add(double value, Instant when) {
        add(new Flow(value, 0), when);
    }

    Flow mean() {
        return mean;
    }

    double figure() {
        return mean.eastMps();
    }

    /** When it was added to last; null before the first. */
    @Nullable
    Instant at() {
        return at;
    }
}
