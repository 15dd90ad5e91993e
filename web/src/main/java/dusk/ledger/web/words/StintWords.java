package dusk.ledger.web.words;

import dusk.ledger.journal.Stint;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** A stint in words: how it was fished, and what came. */
public final class StintWords {
    private static final Map<String, String> WHY =
            Map.of("search", "search", "follow-up", "follow up", "trial", "try it out");

    private StintWords() {}

    /** Such as {@code 3 bites}; one or many of a thing. */
    public static String count(int count, String one, String many) {
        return count + " " + (count == 1 ? one : many);
    }

    /** Such as {@code dead-stick, slow, pausing 10 s, 4 m deep, slack fall, fish suspended at 3 m}. */
    public static String how(Stint stint, UnitSystem units) {
        return parts(stint, units).values().stream()
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(", "));
    }

    /** The same part by part, each by its column of the ledger format; empty where nothing is said. */
    public static Map<String, String> parts(Stint stint, UnitSystem units) {
        Map<String, String> parts = new LinkedHashMap<>();
        parts.put("presentation", orEmpty(stint.presentation()));
        parts.put("speed", orEmpty(stint.speed()));
        Double pause = stint.pauseSeconds();
        parts.put("pause_s", pause == null ? "" : "pausing " + Figures.trimmed(pause, 1) + " s");
        Length depth = stint.depth();
        parts.put("depth_m", depth == null ? "" : depth.show(units.depth()) + " deep");
        parts.put("line_method", orEmpty(stint.lineMethod()));
        parts.put("hook_set", stint.hookSet() == null ? "" : "hook set: " + stint.hookSet());
        parts.put("fish_position", orEmpty(fish(stint, units)));
        parts.put("purpose", stint.purpose() == null ? "" : "to " + WHY.get(stint.purpose()));
        return parts;
    }

    private static String orEmpty(@Nullable String word) {
        return word == null ? "" : word;
    }

    private static @Nullable String fish(Stint stint, UnitSystem units) {
        String position = stint.fishPosition();
        Length depth = stint.fishDepth();
        if (position == null && depth == null) {
            return null;
        }
        return "fish" + (position == null ? "" : " " + position)
                + (depth == null ? "" : " at " + depth.show(units.depth()));
    }

    /** Such as {@code 1 follow, 3 bites, 2 hooked, 1 lost}; empty where nothing came. */
    public static String came(Stint stint, int lost) {
        List<String> came = new ArrayList<>(touched(stint));
        if (stint.hooked() > 0) {
            came.add(stint.hooked() + " hooked");
        }
        if (lost > 0) {
            came.add(lost + " lost");
        }
        return String.join(", ", came);
    }

    /** Follows and bites, those there were. */
    public static List<String> touched(Stint stint) {
        List<String> touched = new ArrayList<>();
        if (stint.follows() > 0) {
            touched.add(count(stint.follows(), "follow", "follows"));
        }
        if (stint.bites() > 0) {
            touched.add(count(stint.bites(), "bite", "bites"));
        }
        return touched;
    }
}
