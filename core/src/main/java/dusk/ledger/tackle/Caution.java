package dusk.ledger.tackle;

/**
 * Something about a set-up that does not go together.
 *
 * @param column of the set-up that the fix would change
 * @param reason what is wrong and what comes of it, a sentence
 * @param fix what would be right, a sentence
 */
public record Caution(String column, String reason, String fix) {}
