package dusk.ledger.journal;

import dusk.ledger.units.Length;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A drop that was counted: so many seconds on slack line to a depth.
 *
 * @param anglerId who counted it
 * @param salt whether the water was salt
 * @param how such as counted aloud or timed
 */
@RecordBuilder
public record Drop(
        String id,
        String setUpId,
        @Nullable String anglerId,
        Instant at,
        double seconds,
        Length depth,
        @Nullable Boolean salt,
        @Nullable String how) {
    public Drop {
        new Checks("drops")
                .id("drop_id", id)
                .id("setup_id", setUpId)
                .maybe("angler_id", anglerId)
                .present("at", at)
                .at("at", at)
                .in("seconds", seconds)
                .in("depth_m", depth.metres())
                .text("how", how)
                .done();
    }
}
