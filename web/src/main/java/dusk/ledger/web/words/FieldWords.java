package dusk.ledger.web.words;

import java.util.Locale;
import java.util.Map;

/** The fields of a set-up as they are called on a page. */
public final class FieldWords {
    private static final Map<String, String> LABELS = Map.ofEntries(
            Map.entry("rig", "rig"),
            Map.entry("head_mass_g", "head weight"),
            Map.entry("head_shape", "head shape"),
            Map.entry("head_material", "head material"),
            Map.entry("head_colour", "head colour"),
            Map.entry("hook_size", "hook size"),
            Map.entry("hook_wire", "hook wire"),
            Map.entry("weed_guard", "weed guard"),
            Map.entry("keeper", "keeper"),
            Map.entry("skirt", "skirt"),
            Map.entry("blade", "blade"),
            Map.entry("rattle", "rattle"),
            Map.entry("plastic", "plastic"),
            Map.entry("plastic_length_mm", "length of the plastic"),
            Map.entry("plastic_material", "material of the plastic"),
            Map.entry("colour", "colour"),
            Map.entry("colour_accent", "accent"),
            Map.entry("leader_mm", "hook to weight"),
            Map.entry("hook_pattern", "hook pattern"),
            Map.entry("plastic_body", "body of the plastic"),
            Map.entry("trimmed_from_mm", "cut down from"),
            Map.entry("pegged", "weight pegged"),
            Map.entry("line_colour", "line colour"),
            Map.entry("leader_length_mm", "leader length"),
            Map.entry("line_material", "line"),
            Map.entry("line_strength_n", "line strength"),
            Map.entry("line_diameter_mm", "line diameter"),
            Map.entry("leader_material", "leader"),
            Map.entry("leader_strength_n", "leader strength"),
            Map.entry("leader_diameter_mm", "leader diameter"));

    private static final Map<String, String> HINTS = Map.ofEntries(
            Map.entry("head_mass_g", "3/8, 3/8 oz or 10 g"),
            Map.entry("plastic_length_mm", "10 cm or 4\""),
            Map.entry("trimmed_from_mm", "its length before it was cut"),
            Map.entry("pegged", "kept from sliding on the line"),
            Map.entry("hook_size", "#1 or 2/0"),
            Map.entry("leader_mm", "30 cm or 12\""),
            Map.entry("leader_length_mm", "1.5 m or 5 ft; 0 for none"),
            Map.entry("line_strength_n", "4 kg or 8 lb"),
            Map.entry("line_diameter_mm", "in mm"),
            Map.entry("leader_strength_n", "4 kg or 8 lb"),
            Map.entry("leader_diameter_mm", "in mm"));

    private FieldWords() {}

    /** With a capital, as the label of a field. */
    public static String label(String column) {
        String word = of(column);
        return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }

    /** What to write; empty where it is chosen. */
    public static String hint(String column) {
        return HINTS.getOrDefault(column, "");
    }

    public static String of(String column) {
        return LABELS.getOrDefault(column, column);
    }
}
