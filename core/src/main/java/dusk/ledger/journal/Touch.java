package dusk.ledger.journal;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;

/** A follow, bite or hooked fish tapped in when it happened. */
@RecordBuilder
public record Touch(String id, String stintId, Instant at, String kind) {
    public Touch {
        new Checks("touches")
                .named("touch_id", id)
                .named("stint_id", stintId)
                .present("at", at)
                .named("kind", kind)
                .word("kind", kind)
                .done();
    }
}
