package dusk.ledger.web.deck;

import dusk.ledger.journal.Invalid;
import dusk.ledger.web.afloat.Refusal;
import java.util.List;
import java.util.Map;

/**
 * What was just done on a deck, as far as its page shows it.
 *
 * @param at the rod or the column it was done to; empty for the deck as a whole
 * @param fault why it was not done; empty where it was
 * @param problems what is wrong with what was typed, each at its field
 * @param typed what was typed, kept where it is refused
 * @param landed the fish whose rest is asked for; empty for none
 */
record Just(String at, String fault, List<Invalid.Problem> problems, Map<String, String> typed, String landed) {
    static final Just NOTHING = new Just("", "", List.of(), Map.of(), "");

    static Just landed(String rodId, String fishId) {
        return new Just(rodId, "", List.of(), Map.of(), fishId);
    }

    static Just refused(String at, Refusal refusal, Map<String, String> typed) {
        return new Just(at, refusal.words(), List.of(), typed, "");
    }

    static Just invalid(String at, Invalid invalid, Map<String, String> typed, String fishId) {
        return new Just(at, "", invalid.problems(), typed, fishId);
    }

    /** Whether it was not done. */
    boolean refused() {
        return !fault.isEmpty() || !problems.isEmpty();
    }
}
