package dusk.ledger.web.records;

import dusk.ledger.journal.Stint;
import dusk.ledger.units.Length;
import org.jspecify.annotations.Nullable;

/** How a rod is fished, and where its fish are, as the stints to come on it will say; null fields are not said. */
public record Way(
        @Nullable String presentation,
        @Nullable String speed,
        @Nullable Double pauseSeconds,
        @Nullable String lineMethod,
        @Nullable String hookSet,
        @Nullable String purpose,
        @Nullable String fishPosition,
        @Nullable Length fishDepth) {

    /** Nothing said but the presentation, if that. */
    public static Way of(@Nullable String presentation) {
        return new Way(presentation, null, null, null, null, null, null, null);
    }

    /** As a stint says. */
    public static Way of(Stint stint) {
        return new Way(
                stint.presentation(),
                stint.speed(),
                stint.pauseSeconds(),
                stint.lineMethod(),
                stint.hookSet(),
                stint.purpose(),
                stint.fishPosition(),
                stint.fishDepth());
    }

    /** The same with another presentation. */
    public Way with(String other) {
        return new Way(other, speed, pauseSeconds, lineMethod, hookSet, purpose, fishPosition, fishDepth);
    }

    /** The same, fished for something else; null for nothing that was said. */
    public Way forPurpose(@Nullable String other) {
        return new Way(presentation, speed, pauseSeconds, lineMethod, hookSet, other, fishPosition, fishDepth);
    }

    /** The same at another place, where nobody knows yet how the fish stand. */
    public Way elsewhere() {
        return new Way(presentation, speed, pauseSeconds, lineMethod, hookSet, purpose, null, null);
    }
}
