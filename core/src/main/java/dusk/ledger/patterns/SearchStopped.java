package dusk.ledger.patterns;

/** A search was stopped by whoever followed its progress. */
public final class SearchStopped extends RuntimeException {
    private static final long serialVersionUID = 1;

    SearchStopped() {
        super("the search was stopped");
    }
}
