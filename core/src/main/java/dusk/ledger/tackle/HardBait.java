package dusk.ledger.tackle;

import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Baits for comparison that no head and plastic make up: what they weigh in water is not told by their length. */
public final class HardBait {
    private static final Set<String> ON_TREBLES =
            Set.of("crankbait", "lipless crankbait", "jerkbait", "topwater", "spoon");
    private static final Set<String> ON_ONE_HOOK = Set.of("spinnerbait", "bladed jig");

    private HardBait() {}

    /** Whether a plastic's word names one. */
    public static boolean is(@Nullable String plastic) {
        return hangsOnTrebles(plastic) || plastic != null && ON_ONE_HOOK.contains(plastic);
    }

    /** Whether it names one that carries treble hooks of its own and wants no head. */
    public static boolean hangsOnTrebles(@Nullable String plastic) {
        return plastic != null && ON_TREBLES.contains(plastic);
    }
}
