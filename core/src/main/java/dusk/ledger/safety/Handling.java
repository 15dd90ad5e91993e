package dusk.ledger.safety;

import dusk.ledger.journal.SetUp;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** What a set-up asks to be careful of in the hand: at the fish, at the rail, at the bench. */
public enum Handling {
    /** A hook that trails free is the one that ends in a hand. */
    TRAILING_HOOKS(
            "Trailing hooks are very sharp and swing free: pliers to the hook, no hand between it and the fish."),
    SWUNG_ABOARD("Only a small one is swung aboard by the line: what is heavier is netted, or lipped in the water."),
    GLUE("Tough plastics are glued on. Glue bonds skin: keep it from fingers and eyes.");

    private static final Set<String> GLUED = Set.of("floating elastomer");

    /** Line of so many newtons lifts a small fish and no other. */
    private static final double LIFTS_LITTLE_N = 60;

    private final String words;

    Handling(String words) {
        this.words = words;
    }

    /** As a sentence or two. */
    public String words() {
        return words;
    }

    /** Those of a set-up. */
    public static List<Handling> of(SetUp setUp) {
        List<Handling> all = new ArrayList<>();
        boolean treble = "treble".equals(setUp.hookWire()) || "treble".equals(setUp.hookPattern());
        if (treble
                || setUp.rigKind().equals("line-through head")
                || setUp.rigKind().equals("hard bait")) {
            all.add(TRAILING_HOOKS);
        }
        boolean thin = setUp.lineStrength() != null && setUp.lineStrength().newtons() < LIFTS_LITTLE_N
                || setUp.leaderStrength() != null && setUp.leaderStrength().newtons() < LIFTS_LITTLE_N;
        if (thin || "light".equals(setUp.hookWire())) {
            all.add(SWUNG_ABOARD);
        }
        if (setUp.plasticMaterial() != null && GLUED.contains(setUp.plasticMaterial())) {
            all.add(GLUE);
        }
        return all;
    }
}
