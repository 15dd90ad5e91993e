package dusk.ledger.web.deck;

import dusk.ledger.journal.Invalid;
import dusk.ledger.web.afloat.Refusal;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What was just done on a deck, as far as its page shows it.
 *
 * @param at the rod or the column it was done to; empty for the deck as a whole
 * @param what the touch, such as {@code bite} or {@code swap}; empty for what nothing is asked after
 * @param fault why it was not done; empty where it was
 * @param problems what is wrong with what was typed, each at its field
 * @param typed what was typed, kept where it is refused
 * @param fish the fish it was done to; empty for none
 */
record Just(
        String at, String what, String fault, List<Invalid.Problem> problems, Map<String, String> typed, String fish) {
    private static final Set<String> OF_THE_BOAT = Set.of("reading", "still", "wave", "sign", "cast", "lot", "trial");

    static final Just NOTHING = done("", "");

    static Just done(String rodId, String what) {
        return new Just(rodId, what, "", List.of(), Map.of(), "");
    }

    static Just landed(String rodId, String fishId) {
        return new Just(rodId, "landed", "", List.of(), Map.of(), fishId);
    }

    static Just refused(String at, String what, Refusal refusal, Map<String, String> typed) {
        return new Just(at, what, refusal.words(), List.of(), typed, "");
    }

    static Just invalid(String at, String what, Invalid invalid, Map<String, String> typed, String fishId) {
        return new Just(at, what, "", invalid.problems(), typed, fishId);
    }

    /** Where on the page it was done: at the boat, or with the rods. */
    String place() {
        return OF_THE_BOAT.contains(what) ? "#boat" : "";
    }

    /** Whether it is asked next on what a bite came, and how it was felt. */
    boolean asksOfBite() {
        return !refused() && (what.equals("bite") || what.equals("said"));
    }

    /** Whether it was not done. */
    boolean refused() {
        return !fault.isEmpty() || !problems.isEmpty();
    }

    /** Whether a touch of a rod was not done for what was typed into its sheet. */
    boolean wrong(String rodId, String sheet) {
        return at.equals(rodId) && what.equals(sheet) && !problems.isEmpty();
    }
}
