package dusk.ledger.instruments;

/**
 * How a feed is.
 *
 * @param trouble what ails it
 * @param words a sentence
 */
public record FeedState(Trouble trouble, String words) {
    /** What may ail a feed, the worst first. */
    public enum Trouble {
        UNREACHED,
        SILENT,
        GARBLED,
        LYING,
        SLOW,
        NONE
    }

    public boolean well() {
        return trouble == Trouble.NONE;
    }
}
