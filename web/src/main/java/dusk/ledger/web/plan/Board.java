package dusk.ledger.web.plan;

import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Water;
import dusk.ledger.places.GoBack;
import dusk.ledger.places.Visit;
import dusk.ledger.places.Visits;
import dusk.ledger.stints.StintTable;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Viewer;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** The places of a water that one may go back to: those whose name the viewer may read. */
@Component
public class Board {
    /** What was found longer ago says nothing of today. */
    private static final Duration LOOKED_BACK = Duration.ofDays(730);

    private final RecentTables tables;
    private final Places places;
    private final TripRows trips;
    private final WaterNow waters;
    private final Clock clock;

    Board(RecentTables tables, Places places, TripRows trips, WaterNow waters, Clock clock) {
        this.tables = tables;
        this.places = places;
        this.trips = trips;
        this.waters = waters;
        this.clock = clock;
    }

    /** The board with its places. */
    public record Laid(GoBack board, Map<String, Spot> spots, WaterNow.Held water) {
        public Spot spot(GoBack.Place place) {
            Spot spot = spots.get(place.spotId());
            if (spot == null) {
                throw new IllegalStateException("no place " + place.spotId() + " was read");
            }
            return spot;
        }
    }

    /** Of a water, for an hour to come. */
    public Laid of(Viewer viewer, Water water, Instant hour) {
        Instant from = clock.instant().minus(LOOKED_BACK);
        Map<String, Spot> spots = new HashMap<>();
        for (Spot spot : places.of(viewer, water.id())) {
            if (spot.label() != null) {
                spots.put(spot.id(), spot);
            }
        }
        Map<String, Visit.State> then = new HashMap<>();
        for (Reading reading : trips.onSince(viewer, water.id(), from)) {
            then.merge(reading.tripId(), state(reading), Board::first);
        }
        StintTable table = tables.of(viewer);
        List<Visit> visits = Visits.of(
                table.where(row -> table.startedAt(row).isAfter(from)
                        && table.startedAt(row).isBefore(hour)),
                spots.keySet(),
                null,
                trip -> then.getOrDefault(trip, Visit.State.UNKNOWN));
        WaterNow.Held held = waters.at(viewer, water, hour);
        return new Laid(GoBack.of(visits, hour, held.state(), held.light()), spots, held);
    }

    private static Visit.State state(Reading reading) {
        return new Visit.State(null, reading.waterTemp(), reading.clarity(), reading.levelTrend(), reading.weather());
    }

    /** As it was found; what was looked at later only where it was not looked at before. */
    private static Visit.State first(Visit.State one, Visit.State later) {
        return new Visit.State(
                null,
                one.temperature() == null ? later.temperature() : one.temperature(),
                one.clarity() == null ? later.clarity() : one.clarity(),
                one.levelTrend() == null ? later.levelTrend() : one.levelTrend(),
                one.weather() == null ? later.weather() : one.weather());
    }
}
