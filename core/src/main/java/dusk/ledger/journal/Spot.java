package dusk.ledger.journal;

import dusk.ledger.units.Position;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * A place on a water.
 *
 * @param position empty where the place is not shared
 */
@RecordBuilder
public record Spot(
        String id,
        String waterId,
        @Nullable String label,
        @Nullable String structure,
        @Nullable String bottom,
        @Nullable String cover,
        @Nullable Position position) {
    public Spot {
        new Checks("spots").named("spot_id", id).named("water_id", waterId).done();
    }
}
