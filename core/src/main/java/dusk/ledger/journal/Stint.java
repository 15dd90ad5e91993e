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
 * @param fishDepth where the fish were, apart from the bottom and from what was fished
 * @param follows fish seen following
 * @param bites at least as many as hooked
 * @param hooked at least as many as landed
 * @param notRecorded what stands in for what nobody wrote down: such a stint counts for fish, their size and the funnel; without
 *     its minutes never for a rate, without its time of day never for the light
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
        @Nullable Length fishDepth,
        int follows,
        int bites,
        int hooked,
        @Nullable String notRecorded) {
    private static final double MINUTES_PER_HOUR = 60;

    /** Words of {@code not_recorded}. */
    public static final String NO_MINUTES = "minutes";

    public static final String NO_TIME = "time";
    public static final String NEITHER = "minutes and time";

    public Stint {
        new Checks("stints")
                .id("stint_id", id)
                .id("trip_id", tripId)
                .id("angler_id", anglerId)
                .maybe("spot_id", spotId)
                .id("setup_id", setUpId)
                .present("started_at", startedAt)
                .at("started_at", startedAt)
                .in("minutes", minutes)
                .in("casts", casts)
                .maybe("rod_id", rodId)
                .in("depth_m", depth == null ? null : depth.metres())
                .text("fish_position", fishPosition)
                .text("presentation", presentation)
                .word("speed", speed)
                .in("pause_s", pauseSeconds)
                .text("line_method", lineMethod)
                .word("hook_set", hookSet)
                .word("purpose", purpose)
                .in("plastics_used", plasticsUsed)
                .in("fish_depth_m", fishDepth == null ? null : fishDepth.metres())
                .in("follows", follows)
                .in("hooked", hooked)
                .in("bites", bites)
                .that(bites >= hooked, "bites", bites + " is fewer than hooked, expected " + hooked + " or more")
                .word("not_recorded", notRecorded)
                .done();
    }

    /** Effort in rod-hours; 0 where it was not written down. */
    public double rodHours() {
        return timed() ? minutes / MINUTES_PER_HOUR : 0;
    }

    /** Whether it is known how long it was fished. */
    public boolean timed() {
        return !NO_MINUTES.equals(notRecorded) && !NEITHER.equals(notRecorded);
    }

    /** Whether it is known at what time of the day. */
    public boolean placedInDay() {
        return !NO_TIME.equals(notRecorded) && !NEITHER.equals(notRecorded);
    }
}
