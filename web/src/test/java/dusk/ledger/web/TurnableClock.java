package dusk.ledger.web;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicReference;

/** A clock that a test turns. */
public final class TurnableClock extends Clock {
    private final AtomicReference<Instant> now;

    public TurnableClock(Instant now) {
        this.now = new AtomicReference<>(now);
    }

    public void turn(Duration on) {
        now.updateAndGet(at -> at.plus(on));
    }

    @Override
    public Instant instant() {
        return now.get();
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return this;
    }
}
