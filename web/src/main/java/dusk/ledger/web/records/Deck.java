package dusk.ledger.web.records;

import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A trip being fished.
 *
 * @param until when the day is to end, as far as it was said
 * @param seen when each column of the readings was looked at last
 * @param waved columns that were asked for and waved off
 */
public record Deck(
        Trip trip,
        Water water,
        @Nullable Instant until,
        Map<String, Instant> seen,
        Set<String> waved,
        List<RodOut> rods) {
    /** Whether it is still being fished. */
    public boolean live() {
        return trip.endedAt() == null;
    }

    public ZoneId zone() {
        return water.zone();
    }

    public String page() {
        return "/deck/" + trip.id();
    }

    /** The place its rods are at; null where it is not known. */
    public @Nullable String spotId() {
        return rods.isEmpty() ? null : rods.get(0).spotId();
    }

    /** Ids of the anglers aboard: who logs the trip and who has a rod out. */
    public Set<String> aboard() {
        return Stream.concat(Stream.ofNullable(trip.loggedBy()), rods.stream().map(RodOut::anglerId))
                .collect(Collectors.toSet());
    }

    /** Nothing is done on a deck before its trip began, whatever a device's clock says. */
    public Instant notBefore(Instant at) {
        return at.isBefore(trip.startedAt()) ? trip.startedAt() : at;
    }

    /** Whether its water is salt. */
    public boolean salt() {
        return water.kind().equals("estuary");
    }

    /** What the next rod is called. */
    public int nextNumber() {
        return rods.stream().mapToInt(RodOut::number).max().orElse(0) + 1;
    }
}
