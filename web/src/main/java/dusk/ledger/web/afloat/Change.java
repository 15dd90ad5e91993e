package dusk.ledger.web.afloat;

import dusk.ledger.journal.SetUp;
import dusk.ledger.web.records.Way;
import org.jspecify.annotations.Nullable;

/** What may change about a rod and what it does; null leaves it. */
record Change(
        @Nullable String anglerId,
        @Nullable SetUp setUp,
        @Nullable Place place,
        @Nullable Way way) {
    static Change of(SetUp setUp) {
        return new Change(null, setUp, null, null);
    }

    static Change of(Place place) {
        return new Change(null, null, place, null);
    }
}
