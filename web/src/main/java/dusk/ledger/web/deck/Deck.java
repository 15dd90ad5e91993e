package dusk.ledger.web.deck;

import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.web.frame.Horizon;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A trip being fished.
 *
 * @param until when the day is to end, as far as it was said
 * @param seen when each column of the readings was looked at last
 * @param waved columns that were asked for and waved off
 */
record Deck(
        Trip trip,
        Water water,
        @Nullable Instant until,
        Map<String, Instant> seen,
        Set<String> waved,
        List<RodOut> rods) {
    /** Whether it is still being fished. */
    boolean live() {
        return trip.endedAt() == null;
    }

    ZoneId zone() {
        return Horizon.zone(water);
    }

    String page() {
        return "/deck/" + trip.id();
    }
}
