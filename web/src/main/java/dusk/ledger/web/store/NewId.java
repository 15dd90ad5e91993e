package dusk.ledger.web.store;

import dusk.ledger.journal.Uuid7;
import java.time.Clock;
import java.util.random.RandomGenerator;

/** Ids for rows made here. */
public final class NewId {
    private final Clock clock;
    private final RandomGenerator random;

    NewId(Clock clock, RandomGenerator random) {
        this.clock = clock;
        this.random = random;
    }

    /** A new UUID version 7. */
    public String next() {
        return Uuid7.of(clock.instant(), random);
    }
}
