package dusk.ledger.journal;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Something seen on the water that tells of fish. */
@RecordBuilder
public record Sign(
        String id,
        String tripId,
        @Nullable String spotId,
        Instant at,
        String kind,
        @Nullable String note) {
    public Sign {
        new Checks("signs")
                .id("sign_id", id)
                .id("trip_id", tripId)
                .maybe("spot_id", spotId)
                .present("at", at)
                .at("at", at)
                .named("kind", kind)
                .word("kind", kind)
                .note("note", note)
                .done();
    }
}
