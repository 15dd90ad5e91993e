package dusk.ledger.web.store;

import dusk.ledger.journal.Uuid7;
import java.time.Clock;
import java.util.random.RandomGenerator;

/** Ids for rows made here; each sorts behind the one before it, so that of two rows of one moment the later is known. */
public final class NewId {
    private final Clock clock;
    private final RandomGenerator random;
    private String last = "";

    public NewId(Clock clock, RandomGenerator random) {
        this.clock = clock;
        this.random = random;
    }

    /** A new UUID version 7. */
    public synchronized String next() {
        last = last.isEmpty() ? Uuid7.of(clock.instant(), random) : Uuid7.after(last, clock.instant(), random);
        return last;
    }
}
