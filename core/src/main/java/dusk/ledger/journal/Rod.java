package dusk.ledger.journal;

import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * A rod and its reel.
 *
 * @param retrieve line taken in for one turn of the handle
 */
@RecordBuilder
public record Rod(
        String id,
        @Nullable String name,
        @Nullable Length length,
        @Nullable String power,
        @Nullable String action,
        @Nullable Mass lureMin,
        @Nullable Mass lureMax,
        @Nullable Length retrieve) {
    public Rod {
        new Checks("rods")
                .id("rod_id", id)
                .text("name", name)
                .in("length_mm", length == null ? null : length.millimetres())
                .text("power", power)
                .text("action", action)
                .in("lure_min_g", lureMin == null ? null : lureMin.grams())
                .in("lure_max_g", lureMax == null ? null : lureMax.grams())
                .in("retrieve_mm", retrieve == null ? null : retrieve.millimetres())
                .that(
                        lureMin == null || lureMax == null || lureMin.compareTo(lureMax) <= 0,
                        "lure_max_g",
                        "less than lure_min_g, expected the higher of the two")
                .done();
    }

    /** The name, else what it is known by in the records. */
    public String called() {
        return name == null ? id : name;
    }
}
