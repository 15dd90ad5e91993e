package dusk.ledger.web.store;

/** Hears how far a long write is, and may end it. */
@FunctionalInterface
public interface Progress {
    /** Lets it run and tells nobody. */
    Progress UNHEARD = (done, of) -> true;

    /** So many rows are written of all; false ends it, and nothing of it is stored. */
    boolean at(long done, long of);

    /** A long write was ended by whoever heard how far it was; nothing of it is stored. */
    final class Stopped extends RuntimeException {
        private static final long serialVersionUID = 1;

        Stopped() {
            super("stopped; nothing was stored");
        }
    }
}
