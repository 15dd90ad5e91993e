package dusk.ledger.web.bring;

import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.web.words.StintWords;

/** Records in numbers. */
final class Said {
    private Said() {}

    /** Such as {@code 230 trips, 2542 stints, 3104 fish}. */
    static String of(Ledger ledger) {
        return StintWords.count(ledger.trips().size(), "trip", "trips") + ", "
                + StintWords.count(ledger.stints().size(), "stint", "stints") + ", "
                + ledger.catches().stream().mapToInt(Catch::count).sum() + " fish";
    }
}
