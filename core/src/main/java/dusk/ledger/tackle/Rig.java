package dusk.ledger.tackle;

import dusk.ledger.vocabulary.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a rig is made of: the columns of a set-up that it has, in the order one puts it together, and the usual words in them.
 *
 * @param columns beside the line, which every rig has
 * @param usual words and figures to start from, as typed in metric units, by column
 */
public record Rig(String name, List<String> columns, Map<String, String> usual) {
    /** The line of every rig. */
    public static final List<String> LINE = List.of(
            "line_material",
            "line_strength_n",
            "line_diameter_mm",
            "line_colour",
            "leader_material",
            "leader_length_mm",
            "leader_strength_n",
            "leader_diameter_mm");

    /** What any rig may have beside its own parts: rarely said, and asked for behind them. */
    private static final List<String> BESIDE =
            List.of("hook_pattern", "plastic_body", "trimmed_from_mm", "blade", "rattle");

    private static final String HEAD = "head_mass_g head_shape head_material head_colour ";
    private static final String HOOK = "hook_size hook_wire ";
    private static final String PLASTIC = "plastic plastic_length_mm colour colour_accent plastic_material ";
    private static final String JIG = HEAD + PLASTIC + HOOK + "keeper weed_guard ";
    private static final Map<String, Rig> RIGS = new LinkedHashMap<>();

    static {
        rig(
                "open jig head",
                JIG + "rattle",
                "head_mass_g=3.5 g; head_shape=ball; head_material=lead; plastic=curl-tail grub; "
                        + "plastic_length_mm=75 mm; hook_wire=medium; keeper=barb; weed_guard=none");
        rig(
                "mushroom head",
                JIG,
                "head_mass_g=3.5 g; head_shape=mushroom; head_material=lead; plastic=stick worm; "
                        + "plastic_length_mm=70 mm; hook_wire=light; keeper=barb; weed_guard=none");
        rig(
                "shaky head",
                JIG,
                "head_mass_g=3.5 g; head_shape=stand-up; head_material=tungsten; plastic=straight worm; "
                        + "plastic_length_mm=150 mm; hook_wire=medium; keeper=screw; weed_guard=point buried");
        rig(
                "swing head",
                JIG,
                "head_mass_g=14 g; head_shape=football; head_material=tungsten; plastic=creature; "
                        + "plastic_length_mm=100 mm; hook_wire=heavy; keeper=none; weed_guard=point buried");
        rig(
                "skirted jig",
                JIG + "skirt rattle",
                "head_mass_g=10 g; head_shape=football; head_material=lead; plastic=craw; plastic_length_mm=75 mm; "
                        + "hook_wire=heavy; keeper=barb; weed_guard=fibre; skirt=short");
        rig(
                "inside-head tube",
                JIG,
                "head_mass_g=5 g; head_shape=tube; head_material=lead; plastic=tube; plastic_length_mm=90 mm; "
                        + "hook_wire=medium; keeper=none; weed_guard=none");
        rig(
                "texas rig",
                HEAD + "pegged " + PLASTIC + HOOK + "weed_guard rattle",
                "head_mass_g=5 g; head_shape=bullet; head_material=tungsten; plastic=creature; "
                        + "plastic_length_mm=100 mm; hook_wire=heavy; weed_guard=point buried");
        rig(
                "carolina rig",
                HEAD + "pegged leader_mm " + PLASTIC + HOOK + "weed_guard rattle",
                "head_mass_g=14 g; head_shape=bullet; head_material=tungsten; leader_mm=600 mm; plastic=lizard; "
                        + "plastic_length_mm=150 mm; hook_wire=medium; weed_guard=point buried");
        rig(
                "drop shot",
                HEAD + "leader_mm " + PLASTIC + HOOK + "weed_guard",
                "head_mass_g=7 g; head_shape=cylinder; head_material=tungsten; leader_mm=300 mm; "
                        + "plastic=straight-tail minnow; plastic_length_mm=75 mm; hook_size=#2; hook_wire=light; "
                        + "weed_guard=none");
        rig(
                "wacky",
                PLASTIC + HOOK + "weed_guard",
                "plastic=stick worm; plastic_length_mm=120 mm; plastic_material=salted plastisol; hook_size=1/0; "
                        + "hook_wire=light; weed_guard=none");
        rig(
                "weighted wacky",
                HEAD + PLASTIC + HOOK + "weed_guard",
                "head_mass_g=2.5 g; head_shape=ball; head_material=tungsten; plastic=stick worm; "
                        + "plastic_length_mm=120 mm; plastic_material=salted plastisol; hook_wire=light; weed_guard=none");
        rig(
                "weedless wacky",
                HEAD + PLASTIC + HOOK + "weed_guard",
                "head_mass_g=1.8 g; head_shape=nail; head_material=tungsten; plastic=stick worm; "
                        + "plastic_length_mm=120 mm; plastic_material=salted plastisol; hook_wire=medium; "
                        + "weed_guard=point buried");
        rig(
                "nail-weighted wacky",
                HEAD + PLASTIC + HOOK + "weed_guard",
                "head_mass_g=1.8 g; head_shape=nail; head_material=tungsten; plastic=straight worm; "
                        + "plastic_length_mm=150 mm; hook_wire=medium; weed_guard=none");
        rig(
                "sliding wacky",
                HEAD + "leader_mm " + PLASTIC + HOOK + "weed_guard",
                "head_mass_g=10 g; head_shape=pear; head_material=lead; leader_mm=450 mm; plastic=stick worm; "
                        + "plastic_length_mm=120 mm; hook_wire=light; weed_guard=none");
        rig(
                "weightless weedless",
                PLASTIC + HOOK + "keeper weed_guard",
                "plastic=soft jerkbait; plastic_length_mm=125 mm; hook_size=4/0; hook_wire=medium; "
                        + "weed_guard=point buried");
        rig(
                "belly-weighted weedless",
                JIG,
                "head_mass_g=5 g; head_shape=belly keel; head_material=lead; plastic=paddle-tail swimmer; "
                        + "plastic_length_mm=110 mm; hook_size=4/0; hook_wire=medium; keeper=coil stout; "
                        + "weed_guard=point buried");
        rig(
                "wire-arm spinner",
                JIG + "blade skirt",
                "head_mass_g=10 g; head_shape=pointed; head_material=lead; plastic=none; hook_wire=medium; "
                        + "blade=medium; skirt=long; weed_guard=none");
        rig(
                "underspin",
                JIG + "blade",
                "head_mass_g=7 g; head_shape=keeled minnow; head_material=lead; plastic=paddle-tail swimmer; "
                        + "plastic_length_mm=85 mm; hook_wire=medium; keeper=barb; blade=small; weed_guard=none");
        rig(
                "held minnow head",
                JIG,
                "head_mass_g=3.5 g; head_shape=keeled minnow; head_material=tungsten; plastic=straight-tail minnow; "
                        + "plastic_length_mm=85 mm; hook_wire=light; keeper=barb; weed_guard=none");
        rig(
                "line-through head",
                JIG,
                "head_mass_g=5 g; head_shape=line-through; head_material=lead; plastic=straight-tail minnow; "
                        + "plastic_length_mm=70 mm; hook_wire=treble; keeper=none; weed_guard=none");
        rig(
                "linked weight",
                HEAD + PLASTIC + HOOK + "weed_guard",
                "head_mass_g=10 g; head_shape=pear; head_material=lead; plastic=creature; plastic_length_mm=100 mm; "
                        + "hook_wire=heavy; weed_guard=point buried");
        rig(
                "cork rig",
                JIG + "leader_mm",
                "head_mass_g=3.5 g; head_shape=ball; head_material=lead; leader_mm=600 mm; "
                        + "plastic=paddle-tail swimmer; plastic_length_mm=85 mm; hook_wire=medium; keeper=barb; weed_guard=none");
        rig(
                "hard bait",
                "plastic plastic_length_mm colour colour_accent rattle " + HOOK,
                "plastic=crankbait; plastic_length_mm=60 mm; hook_wire=treble");
    }

    private static void rig(String name, String columns, String usual) {
        Map<String, String> words = new LinkedHashMap<>();
        for (String pair : usual.split("; ")) {
            words.put(pair.substring(0, pair.indexOf('=')), pair.substring(pair.indexOf('=') + 1));
        }
        List<String> all = new ArrayList<>(List.of(columns.strip().split(" ")));
        RIGS.put(name, new Rig(name, List.copyOf(all), Map.copyOf(words)));
    }

    /** Columns that are asked for behind its own: what it may have beside, and the line. */
    public List<String> more() {
        return Stream.concat(BESIDE.stream().filter(c -> !columns.contains(c)), LINE.stream())
                .toList();
    }

    /** Of its word, or of the kind it says it is like; empty for another outside the vocabulary. */
    public static Optional<Rig> of(String name) {
        return Optional.ofNullable(RIGS.get(Words.rigKind(name)));
    }

    /** All, in the order of the vocabulary. */
    public static List<Rig> all() {
        return List.copyOf(RIGS.values());
    }
}
