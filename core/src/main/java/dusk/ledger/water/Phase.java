package dusk.ledger.water;

/** A part of a retrieve. */
public sealed interface Phase {
    /** Falls on slack line, to the bottom or so long. */
    record FallSlack(double mostSeconds) implements Phase {}

    /** Falls on a tight line that is not taken in, to the bottom or so long. */
    record FallTight(double mostSeconds) implements Phase {}

    /** Taken in at a speed for so long. */
    record Reel(double metresPerSecond, double seconds) implements Phase {}

    /** Drawn up by the rod so far. */
    record Lift(double metres) implements Phase {}

    /** Left alone on a tight line, on the bottom or off it. */
    record Pause(double seconds) implements Phase {}

    /** Taken in until it is under the rod. */
    record ReelHome(double metresPerSecond) implements Phase {}

    /** A rod is raised at so much. */
    double LIFT_MPS = 1;

    /** Speed at which line is taken in. */
    default double reelMps() {
        if (this instanceof Reel reel) {
            return reel.metresPerSecond();
        } else if (this instanceof Lift) {
            return LIFT_MPS;
        }
        return this instanceof ReelHome home ? home.metresPerSecond() : 0;
    }

    /** So long at the most. */
    default double mostSeconds() {
        if (this instanceof FallSlack fall) {
            return fall.mostSeconds();
        } else if (this instanceof FallTight fall) {
            return fall.mostSeconds();
        } else if (this instanceof Reel reel) {
            return reel.seconds();
        } else if (this instanceof Lift lift) {
            return lift.metres() / LIFT_MPS;
        }
        return this instanceof Pause pause ? pause.seconds() : Path.LONGEST_SECONDS;
    }

    default boolean slack() {
        return this instanceof FallSlack;
    }

    /** Whether the bottom ends it. */
    default boolean endsOnBottom() {
        return this instanceof FallSlack || this instanceof FallTight;
    }
}
