package dusk.ledger.journal;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Fish hooked and lost. */
@RecordBuilder
public record Loss(String id, String stintId, @Nullable Instant at, String cause, int count) {
    public Loss {
        new Checks("losses")
                .id("loss_id", id)
                .id("stint_id", stintId)
                .at("at", at)
                .named("cause", cause)
                .in("count", count)
                .done();
    }
}
