package dusk.ledger.journal;

import dusk.ledger.units.Position;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.jspecify.annotations.Nullable;

/**
 * A lake, river or arm of the sea.
 *
 * @param position of the water as a whole, for sun times
 */
@RecordBuilder
public record Water(
        String id,
        String name,
        String kind,
        @Nullable Position position,
        @Nullable ZoneId timeZone) {
    private static final Position NOWHERE = new Position(0, 0);

    public Water {
        new Checks("waters")
                .id("water_id", id)
                .named("name", name)
                .named("kind", kind)
                .word("kind", kind)
                .done();
    }

    /** The time zone, else UTC. */
    public ZoneId zone() {
        return timeZone == null ? ZoneOffset.UTC : timeZone;
    }

    /** Where the sun is reckoned for: the position, else 0 N 0 E. */
    public Position sunAt() {
        return position == null ? NOWHERE : position;
    }
}
