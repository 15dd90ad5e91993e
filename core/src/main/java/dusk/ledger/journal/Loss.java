package dusk.ledger.journal;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Fish hooked and lost. */
@RecordBuilder
public record Loss(String id, String stintId, @Nullable Instant at, String cause, int count) {
    public Loss {
        new Checks("losses")
                .named("loss_id", id)
                .named("stint_id", stintId)
                .named("cause", cause)
                .atLeast("count", count, 1)
                .done();
    }
}
