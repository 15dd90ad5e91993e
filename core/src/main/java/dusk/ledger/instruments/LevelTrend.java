package dusk.ledger.instruments;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/** Whether a water rises or falls, by what a gauge said over the last hours. */
final class LevelTrend {
    private static final Duration OVER = Duration.ofHours(3);

    /** A shorter time says nothing. */
    private static final Duration LEAST = Duration.ofMinutes(40);

    /** Closer together the levels need not be kept. */
    private static final Duration APART = Duration.ofMinutes(4);

    /** Less than two centimetres an hour is steady. */
    private static final double STEADY_M_AN_HOUR = 0.02;

    private final Deque<Sample> levels = new ArrayDeque<>();

    void add(Sample level) {
        if (levels.size() < 2 || !apartTooLittle(level.at())) {
            levels.addLast(level);
        }
        while (levels.size() > 2
                && Duration.between(levels.getFirst().at(), level.at()).compareTo(OVER) > 0) {
            levels.removeFirst();
        }
    }

    private boolean apartTooLittle(Instant at) {
        return Duration.between(levels.getLast().at(), at).compareTo(APART) < 0;
    }

    /** The word; empty while too little is known. */
    Optional<String> word() {
        if (levels.size() < 2) {
            return Optional.empty();
        }
        Duration span =
                Duration.between(levels.getFirst().at(), levels.getLast().at());
        if (span.compareTo(LEAST) < 0) {
            return Optional.empty();
        }
        double anHour = (levels.getLast().value() - levels.getFirst().value()) * 3600.0 / span.toSeconds();
        return Optional.of(Math.abs(anHour) < STEADY_M_AN_HOUR ? "steady" : anHour > 0 ? "rising" : "falling");
    }
}
