package dusk.ledger.web.words;

import dusk.ledger.journal.Catch;
import dusk.ledger.units.UnitSystem;

/** A fish in words. */
public final class FishWords {
    private FishWords() {}

    /** Such as {@code 2 yellow perch 24 cm (estimated), 180 g (from length)}. */
    public static String of(Catch fish, UnitSystem units) {
        StringBuilder words = new StringBuilder(fish.count() > 1 ? fish.count() + " " : "").append(fish.species());
        if (fish.length() != null) {
            words.append(' ').append(fish.length().show(units.lure()));
            words.append("estimated".equals(fish.lengthHow()) ? " (estimated)" : "");
        }
        if (fish.mass() != null) {
            words.append(", ").append(fish.mass().show(units.fishMass()));
            words.append("from_length".equals(fish.massHow()) ? " (from length)" : "");
        }
        return words.toString();
    }
}
