package dusk.ledger.journal;

import dusk.ledger.units.Position;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * A place on a water.
 *
 * @param position empty where the place is not shared
 * @param keptBy the angler who keeps it to themselves; null for a place that all share
 */
@RecordBuilder
public record Spot(
        String id,
        String waterId,
        @Nullable String label,
        @Nullable String structure,
        @Nullable String bottom,
        @Nullable String cover,
        @Nullable Position position,
        @Nullable String keptBy) {
    public Spot {
        new Checks("spots")
                .id("spot_id", id)
                .id("water_id", waterId)
                .text("label", label)
                .text("structure", structure)
                .text("bottom", bottom)
                .text("cover", cover)
                .maybe("kept_by", keptBy)
                .done();
    }
}
