package dusk.ledger.journal;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;

/** A follow, bite or hooked fish tapped in when it happened. */
@RecordBuilder
public record Touch(String id, String stintId, Instant at, String kind) {
    public Touch {
        new Checks("touches")
                .id("touch_id", id)
                .id("stint_id", stintId)
                .present("at", at)
                .at("at", at)
                .named("kind", kind)
                .word("kind", kind)
                .done();
    }
}
