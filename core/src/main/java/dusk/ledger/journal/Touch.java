package dusk.ledger.journal;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A follow, bite or hooked fish tapped in when it happened.
 *
 * @param biteOn on what it came, such as the fall; also of a bite that was missed
 * @param felt how it was noticed, such as a line jump
 */
@RecordBuilder
public record Touch(
        String id,
        String stintId,
        Instant at,
        String kind,
        @Nullable String biteOn,
        @Nullable String felt) {
    public Touch {
        new Checks("touches")
                .id("touch_id", id)
                .id("stint_id", stintId)
                .present("at", at)
                .at("at", at)
                .named("kind", kind)
                .word("kind", kind)
                .text("bite_on", biteOn)
                .word("felt", felt)
                .done();
    }

    /** One of which nothing more is said. */
    public Touch(String id, String stintId, Instant at, String kind) {
        this(id, stintId, at, kind, null, null);
    }
}
