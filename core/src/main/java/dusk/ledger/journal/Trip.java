package dusk.ledger.journal;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** One outing on one water. */
@RecordBuilder
public record Trip(
        String id,
        String waterId,
        Instant startedAt,
        @Nullable Instant endedAt,
        @Nullable String note) {
    public Trip {
        new Checks("trips")
                .named("trip_id", id)
                .named("water_id", waterId)
                .present("started_at", startedAt)
                .notBefore("ended_at", endedAt, startedAt)
                .done();
    }
}
