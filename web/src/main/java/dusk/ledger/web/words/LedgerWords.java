package dusk.ledger.web.words;

import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;

/** Records in numbers. */
public final class LedgerWords {
    private LedgerWords() {}

    /** Such as {@code 230 trips, 2542 stints, 3104 fish}. */
    public static String of(Ledger ledger) {
        return StintWords.count(ledger.trips().size(), "trip", "trips") + ", "
                + StintWords.count(ledger.stints().size(), "stint", "stints") + ", "
                + ledger.catches().stream().mapToInt(Catch::count).sum() + " fish";
    }
}
