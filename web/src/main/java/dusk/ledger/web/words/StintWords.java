package dusk.ledger.web.words;

import dusk.ledger.journal.Stint;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
        return Stream.of(
                        stint.presentation(),
                        stint.speed(),
                        stint.pauseSeconds() == null
                                ? null
                                : "pausing " + Figures.trimmed(stint.pauseSeconds(), 1) + " s",
                        stint.depth() == null ? null : stint.depth().show(units.depth()) + " deep",
                        stint.lineMethod(),
                        stint.hookSet() == null ? null : "hook set: " + stint.hookSet(),
                        fish(stint, units),
                        stint.purpose() == null ? null : "to " + WHY.get(stint.purpose()))
                .filter(Objects::nonNull)
                .collect(Collectors.joining(", "));
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
