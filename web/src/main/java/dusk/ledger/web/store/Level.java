package dusk.ledger.web.store;

import java.util.Locale;

/** How much of a place, and of what was fished there, its owner shares with the others of their club. */
public enum Level {
    /** Name, position and all. */
    ALL,
    /** The water, structure, bottom, cover and depth; neither name nor position. */
    KIND,
    /** That something was fished on the water, with what and what came of it. */
    WATER,
    /** As if it had not been. */
    NOTHING;

    /** The word in the store. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Level of(String word) {
        return valueOf(word.toUpperCase(Locale.ROOT));
    }
}
