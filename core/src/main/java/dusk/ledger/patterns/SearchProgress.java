package dusk.ledger.patterns;

/** Hears how far a search is, and may stop it. */
public interface SearchProgress {
    /** Nobody listens and nobody stops it. */
    SearchProgress NONE = (done, of) -> true;

    /** @return false to stop the search */
    boolean went(int done, int of);
}
