package dusk.ledger.patterns;

/** How far a pattern can be trusted. */
public enum Grade {
    /** q above the rate of false discovery asked for. */
    THIN("thin"),
    /** Sure enough, from one angler alone. */
    ONE_ANGLER("one angler"),
    /** Sure enough, not yet beyond doubt. */
    BUILDING("building"),
    /** q at most 0.02, two anglers, six trips, and borne out by the newer trips alone. */
    BANKED("banked");

    private final String word;

    Grade(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
