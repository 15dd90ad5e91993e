package dusk.ledger.journal;

import dusk.ledger.units.Position;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;

/**
 * A lake, river or arm of the sea.
 *
 * @param position of the water as a whole, for sun times
 */
public record Water(
        String id,
        String name,
        String kind,
        @Nullable Position position,
        @Nullable ZoneId timeZone) {
    public Water {
        new Checks("waters")
                .named("water_id", id)
                .named("name", name)
                .named("kind", kind)
                .word("kind", kind)
                .done();
    }
}
