package dusk.ledger.journal;

import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * A place on a water.
 *
 * @param slope how the bottom falls: flat, gentle or steep
 * @param top depth at the top of an edge
 * @param foot depth at its foot
 * @param shelter from the wind: lee, windward or open
 * @param shade whether it lies in the shade by day
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
        @Nullable String keptBy,
        @Nullable String slope,
        @Nullable Length top,
        @Nullable Length foot,
        @Nullable String shelter,
        @Nullable Boolean shade) {
    public Spot {
        new Checks("spots")
                .id("spot_id", id)
                .id("water_id", waterId)
                .text("label", label)
                .text("structure", structure)
                .text("bottom", bottom)
                .text("cover", cover)
                .maybe("kept_by", keptBy)
                .word("slope", slope)
                .in("top_m", top == null ? null : top.metres())
                .in("foot_m", foot == null ? null : foot.metres())
                .that(
                        top == null || foot == null || foot.compareTo(top) >= 0,
                        "foot_m",
                        "shallower than the top of the edge, expected its depth or more")
                .word("shelter", shelter)
                .done();
    }
}
