package dusk.ledger.journal;

import dusk.ledger.units.Length;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * One rod, fished by one angler, with one set-up, in one place, in one way. A stint without a fish is a full record.
 *
 * @param minutes time fished, above 0
 * @param depth at which it was fished
 * @param follows fish seen following
 * @param bites at least as many as hooked
 * @param hooked at least as many as landed
 */
@RecordBuilder
public record Stint(
        String id,
        String tripId,
        String anglerId,
        @Nullable String spotId,
        String setUpId,
        Instant startedAt,
        double minutes,
        @Nullable Integer casts,
        @Nullable String rodId,
        @Nullable Length depth,
        @Nullable String fishPosition,
        @Nullable String presentation,
        @Nullable String speed,
        @Nullable Double pauseSeconds,
        @Nullable String lineMethod,
        @Nullable String hookSet,
        @Nullable String purpose,
        @Nullable Integer plasticsUsed,
        int follows,
        int bites,
        int hooked) {
    private static final double MINUTES_PER_HOUR = 60;

    public Stint {
        new Checks("stints")
                .named("stint_id", id)
                .named("trip_id", tripId)
                .named("angler_id", anglerId)
                .named("setup_id", setUpId)
                .present("started_at", startedAt)
                .above("minutes", minutes, 0)
                .atLeast("casts", casts == null ? 0 : casts, 0)
                .atLeast("pause_s", pauseSeconds == null ? 0 : pauseSeconds, 0)
                .atLeast("plastics_used", plasticsUsed == null ? 0 : plasticsUsed, 0)
                .word("speed", speed)
                .word("hook_set", hookSet)
                .word("purpose", purpose)
                .atLeast("follows", follows, 0)
                .atLeast("hooked", hooked, 0)
                .that(bites >= hooked, "bites", bites + " is fewer than hooked, expected " + hooked + " or more")
                .done();
    }

    /** Effort in rod-hours. */
    public double rodHours() {
        return minutes / MINUTES_PER_HOUR;
    }
}
