package dusk.ledger.journal;

import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Fish landed.
 *
 * @param count above 1 for several fish that were not measured one by one
 * @param lengthHow measured or estimated
 * @param hookedIn where the hook sat
 */
@RecordBuilder
public record Catch(
        String id,
        String stintId,
        @Nullable Instant at,
        String species,
        int count,
        @Nullable Length length,
        @Nullable String lengthHow,
        @Nullable Mass mass,
        @Nullable String massHow,
        @Nullable String biteOn,
        @Nullable Boolean kept,
        @Nullable String hookedIn) {
    public Catch {
        new Checks("catches")
                .id("catch_id", id)
                .id("stint_id", stintId)
                .at("at", at)
                .named("species", species)
                .in("count", count)
                .in("length_mm", length == null ? null : length.millimetres())
                .word("length_how", lengthHow)
                .in("mass_g", mass == null ? null : mass.grams())
                .word("mass_how", massHow)
                .text("bite_on", biteOn)
                .text("hooked_in", hookedIn)
                .done();
    }
}
