package dusk.ledger.journal;

import dusk.ledger.units.Force;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * What was tied on: rig, head, hook, plastic and line. Once fished it is never altered; a change makes a new one.
 *
 * @param fromSetUpId the set-up it was changed from
 * @param leader hook to weight where they are apart
 */
@RecordBuilder
public record SetUp(
        String id,
        @Nullable String fromSetUpId,
        String rig,
        @Nullable String headShape,
        @Nullable Mass headMass,
        @Nullable String headMaterial,
        @Nullable String headColour,
        @Nullable String hookSize,
        @Nullable String hookWire,
        @Nullable String weedGuard,
        @Nullable String keeper,
        @Nullable String skirt,
        @Nullable String blade,
        @Nullable String rattle,
        @Nullable String plastic,
        @Nullable Length plasticLength,
        @Nullable String plasticMaterial,
        @Nullable String colour,
        @Nullable String colourAccent,
        @Nullable Length leader,
        @Nullable String lineMaterial,
        @Nullable Force lineStrength,
        @Nullable Length lineDiameter,
        @Nullable String leaderMaterial,
        @Nullable Force leaderStrength,
        @Nullable Length leaderDiameter) {
    public SetUp {
        new Checks("setups")
                .named("setup_id", id)
                .named("rig", rig)
                .that(!id.equals(fromSetUpId), "from_setup_id", "\"" + id + "\" is itself, expected another set-up")
                .done();
    }
}
