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
                .named("sign_id", id)
                .named("trip_id", tripId)
                .present("at", at)
                .named("kind", kind)
                .word("kind", kind)
                .done();
    }
}
