package dusk.ledger.journal;

import dusk.ledger.units.Force;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.vocabulary.Words;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * What was tied on: rig, head, hook, plastic and line. Once fished it is never altered; a change makes a new one.
 *
 * @param fromSetUpId the set-up it was changed from
 * @param leader hook to weight where they are apart
 * @param leaderLength from the main line to the lure; 0 where there is none
 * @param plasticBody such as hollow; solid where it is not said
 * @param trimmedFrom the length of the plastic before it was cut
 * @param pegged whether the weight is kept from sliding
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
        @Nullable Length leaderDiameter,
        @Nullable Length leaderLength,
        @Nullable String lineColour,
        @Nullable String hookPattern,
        @Nullable String plasticBody,
        @Nullable Length trimmedFrom,
        @Nullable Boolean pegged) {
    public SetUp {
        new Checks("setups")
                .id("setup_id", id)
                .maybe("from_setup_id", fromSetUpId)
                .that(!id.equals(fromSetUpId), "from_setup_id", "\"" + id + "\" is itself, expected another set-up")
                .named("rig", rig)
                .text("head_shape", headShape)
                .in("head_mass_g", headMass == null ? null : headMass.grams())
                .text("head_material", headMaterial)
                .text("head_colour", headColour)
                .text("hook_size", hookSize)
                .text("hook_wire", hookWire)
                .text("weed_guard", weedGuard)
                .text("keeper", keeper)
                .text("skirt", skirt)
                .text("blade", blade)
                .text("rattle", rattle)
                .text("plastic", plastic)
                .in("plastic_length_mm", millimetres(plasticLength))
                .text("plastic_material", plasticMaterial)
                .text("colour", colour)
                .text("colour_accent", colourAccent)
                .in("leader_mm", millimetres(leader))
                .text("line_material", lineMaterial)
                .in("line_strength_n", newtons(lineStrength))
                .in("line_diameter_mm", millimetres(lineDiameter))
                .text("leader_material", leaderMaterial)
                .in("leader_strength_n", newtons(leaderStrength))
                .in("leader_diameter_mm", millimetres(leaderDiameter))
                .in("leader_length_mm", millimetres(leaderLength))
                .text("line_colour", lineColour)
                .text("hook_pattern", hookPattern)
                .word("plastic_body", plasticBody)
                .in("trimmed_from_mm", millimetres(trimmedFrom))
                .that(
                        trimmedFrom == null || plasticLength == null || trimmedFrom.compareTo(plasticLength) >= 0,
                        "trimmed_from_mm",
                        "shorter than what is left of the plastic, expected its length before it was cut")
                .done();
    }

    /** The kind of rig it is drawn, checked, weighed and compared as. */
    public String rigKind() {
        return Words.rigKind(rig);
    }

    private static @Nullable Double millimetres(@Nullable Length length) {
        return length == null ? null : length.millimetres();
    }

    private static @Nullable Double newtons(@Nullable Force force) {
        return force == null ? null : force.newtons();
    }
}
