package dusk.ledger.instruments;

import dusk.ledger.units.Figures;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What of an instrument's values is let through: nothing that cannot be, nothing that changed faster than it can. A value
 * that jumped is believed once it has stood for a while, since the one before it may have been the lie.
 */
final class Gate {
    /** What jumped is believed after so many values that agree with each other, over so long a time. */
    private static final int AGREEING = 5;

    private static final Duration STANDING = Duration.ofSeconds(30);

    private final Map<Quantity, Sample> last = new EnumMap<>(Quantity.class);
    private final Map<Quantity, Jump> jumps = new EnumMap<>(Quantity.class);

    /** Values that agree with each other and not with those before. */
    private record Jump(Instant since, Sample newest, int values) {}

    /**
     * Lets a value through, or says why not. One that is no newer than the last is passed over without a word.
     *
     * @return the reason, in words that can follow a colon; empty where it may be believed
     */
    Optional<String> refuse(Sample sample) {
        Quantity quantity = sample.quantity();
        if (!quantity.holds(sample.value())) {
            return Optional.of(quantity.word() + " of " + figure(sample.value()) + ", which none is");
        }
        Sample before = last.get(quantity);
        if (before != null && !follows(before, sample) && !stands(sample)) {
            return Optional.of(quantity.word() + " from " + figure(before.value()) + " to " + figure(sample.value())
                    + " in " + seconds(before, sample) + " s, faster than it can change");
        }
        last.put(quantity, sample);
        jumps.remove(quantity);
        return Optional.empty();
    }

    /** Whether it is of before what was heard already, or the same again. */
    boolean old(Sample sample) {
        Sample before = last.get(sample.quantity());
        return before != null
                && (sample.at().isBefore(before.at())
                        || (sample.at().equals(before.at()) && sample.value() == before.value()));
    }

    private boolean stands(Sample sample) {
        Jump jump = jumps.get(sample.quantity());
        Jump next = jump != null && follows(jump.newest(), sample)
                ? new Jump(jump.since(), sample, jump.values() + 1)
                : new Jump(sample.at(), sample, 1);
        jumps.put(sample.quantity(), next);
        return next.values() >= AGREEING
                && Duration.between(next.since(), sample.at()).compareTo(STANDING) >= 0;
    }

    private static boolean follows(Sample from, Sample to) {
        return to.quantity().follows(from.value(), to.value(), seconds(from, to));
    }

    private static double seconds(Sample from, Sample to) {
        return Duration.between(from.at(), to.at()).toMillis() / 1000.0;
    }

    private static String figure(double value) {
        return Double.isFinite(value) && Math.abs(value) < 1e9 ? Figures.trimmed(value, 2) : "no figure";
    }

    /** The newest that was let through; null before the first. */
    @Nullable
    Sample last(Quantity quantity) {
        return last.get(quantity);
    }
}
