package dusk.ledger.web.debrief;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.web.frame.Horizon;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.trips.TripRecords;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Everything that was written down of one trip. */
record DayRecord(
        Trip trip,
        Water water,
        List<Stint> stints,
        List<Catch> catches,
        List<Loss> losses,
        List<Touch> touches,
        List<Reading> readings,
        List<Sign> signs,
        Map<String, Angler> anglers,
        Map<String, Spot> spots,
        Map<String, SetUp> setUps) {
    private static final double MILLIS_PER_MINUTE = 60_000;

    static DayRecord of(TripRecords records, Viewer viewer, String tripId) {
        Trip trip = records.trip(viewer, tripId);
        Water water = records.water(viewer, trip.waterId());
        List<Stint> stints = records.stints(viewer, tripId);
        LedgerRows rows = records.rows();
        var ofTrip = DSL.field("stint_id").in(stints.stream().map(Stint::id).toList());
        return new DayRecord(
                trip,
                water,
                stints,
                records.catches(viewer, stints),
                records.losses(viewer, stints),
                rows.all(viewer, Tables.TOUCHES, ofTrip, List.of(DSL.field("at").asc())),
                records.readings(viewer, tripId),
                rows.all(
                        viewer,
                        Tables.SIGNS,
                        LedgerRows.holds(Tables.SIGNS, "trip_id", tripId),
                        List.of(DSL.field("at").asc())),
                byId(records.anglers(viewer), Angler::id),
                byId(records.spots(viewer, water.id()), Spot::id),
                byId(records.setUps(viewer, stints), SetUp::id));
    }

    private static <T> Map<String, T> byId(Collection<T> list, Function<T, String> id) {
        return list.stream().collect(Collectors.toMap(id, Function.identity()));
    }

    ZoneId zone() {
        return Horizon.zone(water);
    }

    static Instant end(Stint stint) {
        return stint.startedAt().plus(Duration.ofMillis(Math.round(stint.minutes() * MILLIS_PER_MINUTE)));
    }

    String name(String anglerId) {
        Angler angler = anglers.get(anglerId);
        return angler == null ? anglerId : angler.called();
    }

    @Nullable
    Spot spot(Stint stint) {
        return stint.spotId() == null ? null : spots.get(stint.spotId());
    }

    List<Catch> fish(Stint stint) {
        return catches.stream().filter(c -> c.stintId().equals(stint.id())).toList();
    }

    int landed(Collection<Stint> of) {
        List<String> ids = of.stream().map(Stint::id).toList();
        return catches.stream()
                .filter(c -> ids.contains(c.stintId()))
                .mapToInt(Catch::count)
                .sum();
    }
}
