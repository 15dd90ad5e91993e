package dusk.ledger.web.portrait;

import java.util.HexFormat;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Inks for the vocabulary's colours and materials. */
final class Ink {
    private static final String UNKNOWN = "#9a958a";

    private static final Map<String, String> COLOURS = Map.ofEntries(
            Map.entry("green pumpkin", "#5d6327"),
            Map.entry("watermelon", "#7f9a3c"),
            Map.entry("brown craw", "#7a4a22"),
            Map.entry("orange craw", "#c8641e"),
            Map.entry("black", "#1d1b1e"),
            Map.entry("black-blue", "#1d2650"),
            Map.entry("dark plum", "#4a1a3c"),
            Map.entry("violet", "#7c55b8"),
            Map.entry("smoke", "#7b7d80"),
            Map.entry("clear with glitter", "#c9d6d8"),
            Map.entry("pearl", "#ece6d8"),
            Map.entry("white", "#fafaf5"),
            Map.entry("silver shad", "#aab4bd"),
            Map.entry("motor oil", "#6b4d12"),
            Map.entry("chartreuse", "#c6dc1f"),
            Map.entry("glow bright", "#b8f7c8"),
            Map.entry("red", "#a81f24"));

    private static final Map<String, String> MATERIALS = Map.of(
            "lead", "#6c7076",
            "tungsten", "#3b3d42",
            "tin-bismuth", "#a9aca9",
            "brass", "#b8913a",
            "steel", "#8b929a");

    private static final Map<String, String> ACCENTS = Map.of(
            "chartreuse tail", "#c6dc1f",
            "orange belly", "#d8782a",
            "red flake", "#c3262b",
            "blue flake", "#3f6fd1",
            "dark back", "#26221f");

    private Ink() {}

    static String colour(@Nullable String word) {
        return word == null ? UNKNOWN : COLOURS.getOrDefault(word, UNKNOWN);
    }

    /** The same colour in shade, for what lies behind. */
    static String dark(@Nullable String word) {
        int rgb = HexFormat.fromHexDigits(colour(word).substring(1));
        int red = (rgb >> 16 & 0xff) * 2 / 3;
        int green = (rgb >> 8 & 0xff) * 2 / 3;
        int blue = (rgb & 0xff) * 2 / 3;
        return String.format("#%06x", red << 16 | green << 8 | blue);
    }

    static @Nullable String accent(@Nullable String word) {
        return word == null ? null : ACCENTS.get(word);
    }

    /** A painted head shows its paint, a plain one its metal. */
    static String head(@Nullable String material, @Nullable String paint) {
        if (paint != null && COLOURS.containsKey(paint)) {
            return colour(paint);
        }
        return material == null ? UNKNOWN : MATERIALS.getOrDefault(material, UNKNOWN);
    }
}
