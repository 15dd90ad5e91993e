package dusk.ledger.journal;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * One outing on one water.
 *
 * @param loggedBy the angler whose it is to change
 */
@RecordBuilder
public record Trip(
        String id,
        String waterId,
        Instant startedAt,
        @Nullable Instant endedAt,
        @Nullable String note,
        @Nullable String loggedBy) {
    public Trip(String id, String waterId, Instant startedAt, @Nullable Instant endedAt, @Nullable String note) {
        this(id, waterId, startedAt, endedAt, note, null);
    }

    public Trip {
        new Checks("trips")
                .id("trip_id", id)
                .id("water_id", waterId)
                .present("started_at", startedAt)
                .at("started_at", startedAt)
                .at("ended_at", endedAt)
                .ends("ended_at", endedAt, startedAt, Bounds.LONGEST_TRIP)
                .note("note", note)
                .maybe("logged_by", loggedBy)
                .done();
    }
}
