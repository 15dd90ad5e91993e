package dusk.ledger.web.debrief;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.web.records.Anglers;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Viewer;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reads everything that was written down of one trip. */
@Component
class DayReading {
    private final Trips trips;
    private final TripRows rows;
    private final Waters waters;
    private final Anglers anglers;
    private final Places places;
    private final SetUps setUps;

    DayReading(Trips trips, TripRows rows, Waters waters, Anglers anglers, Places places, SetUps setUps) {
        this.trips = trips;
        this.rows = rows;
        this.waters = waters;
        this.anglers = anglers;
        this.places = places;
        this.setUps = setUps;
    }

    DayRecord of(Viewer viewer, String tripId) {
        Trip trip = trips.one(viewer, tripId);
        Water water = waters.one(viewer, trip.waterId());
        List<Stint> stints = rows.stints(viewer, tripId);
        return new DayRecord(
                trip,
                water,
                stints,
                rows.catches(viewer, stints),
                rows.losses(viewer, stints),
                rows.touches(viewer, stints),
                rows.readings(viewer, tripId),
                rows.signs(viewer, tripId),
                byId(anglers.all(viewer), Angler::id),
                byId(places.of(viewer, water.id()), Spot::id),
                byId(setUps.of(viewer, stints), SetUp::id));
    }

    private static <T> Map<String, T> byId(Collection<T> list, Function<T, String> id) {
        return list.stream().collect(Collectors.toMap(id, Function.identity()));
    }
}
