package dusk.ledger.web.trips;

import static dusk.ledger.interchange.Tables.CATCHES;
import static dusk.ledger.interchange.Tables.LOSSES;
import static dusk.ledger.interchange.Tables.READINGS;
import static dusk.ledger.interchange.Tables.SETUPS;
import static dusk.ledger.interchange.Tables.SPOTS;
import static dusk.ledger.interchange.Tables.STINTS;
import static dusk.ledger.interchange.Tables.TRIPS;
import static dusk.ledger.interchange.Tables.WATERS;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.web.schema.Tables;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Component;

/** Reads trips and what hangs on them. */
@Component
public class TripRecords {
    /** Trips on one page of the list. */
    static final int PAGE = 40;

    private static final double MINUTES_PER_HOUR = 60;

    private final Store store;
    private final LedgerRows rows;

    TripRecords(Store store, LedgerRows rows) {
        this.store = store;
        this.rows = rows;
    }

    public LedgerRows rows() {
        return rows;
    }

    /** A line of the list. */
    record Line(Trip trip, double rodHours, long stints, long fish, List<String> anglers) {}

    /** The newest trips, from a page on; one more than a page where there are more. */
    List<Line> lines(Viewer viewer, Optional<String> waterId, int page) {
        var trips = Tables.TRIPS;
        var stints = Tables.STINTS;
        var catches = Tables.CATCHES;
        Condition ofTrip = Visibility.of(viewer, stints).and(stints.TRIP_ID.eq(trips.TRIP_ID));
        var minutes = DSL.field(DSL.select(DSL.coalesce(DSL.sum(stints.MINUTES), BigDecimal.ZERO))
                        .from(stints)
                        .where(ofTrip))
                .as("minutes");
        var count = DSL.field(DSL.selectCount().from(stints).where(ofTrip)).as("stint_count");
        var fish = DSL.field(DSL.select(DSL.coalesce(DSL.sum(catches.COUNT), 0))
                        .from(catches)
                        .join(stints)
                        .on(stints.CLUB_ID.eq(catches.CLUB_ID), stints.STINT_ID.eq(catches.STINT_ID))
                        .where(ofTrip)
                        .and(Visibility.of(viewer, catches)))
                .as("fish");
        List<Line> lines = store.read()
                .select(
                        trips.TRIP_ID,
                        trips.WATER_ID,
                        trips.STARTED_AT,
                        trips.ENDED_AT,
                        trips.NOTE,
                        minutes,
                        count,
                        fish)
                .from(trips)
                .where(Visibility.of(viewer, trips))
                .and(waterId.map(trips.WATER_ID::eq).orElse(DSL.noCondition()))
                .orderBy(trips.STARTED_AT.desc())
                .offset(page * PAGE)
                .limit(PAGE + 1)
                .fetch(r -> new Line(
                        new Trip(r.value1(), r.value2(), r.value3(), r.value4(), r.value5()),
                        r.get("minutes", Double.class) / MINUTES_PER_HOUR,
                        r.get("stint_count", Long.class),
                        r.get("fish", Long.class),
                        List.of()));
        Map<String, List<String>> anglers = anglersOf(viewer, lines);
        return lines.stream()
                .map(l -> new Line(
                        l.trip(),
                        l.rodHours(),
                        l.stints(),
                        l.fish(),
                        anglers.getOrDefault(l.trip().id(), List.of())))
                .toList();
    }

    /** Names of those who fished, by trip. */
    private Map<String, List<String>> anglersOf(Viewer viewer, List<Line> lines) {
        var stints = Tables.STINTS;
        return store.read()
                .selectDistinct(stints.TRIP_ID, Tables.ANGLERS.NAME)
                .from(stints)
                .join(Tables.ANGLERS)
                .on(Tables.ANGLERS.CLUB_ID.eq(stints.CLUB_ID), Tables.ANGLERS.ANGLER_ID.eq(stints.ANGLER_ID))
                .where(Visibility.of(viewer, stints))
                .and(stints.TRIP_ID.in(lines.stream().map(l -> l.trip().id()).toList()))
                .and(Tables.ANGLERS.NAME.isNotNull())
                .orderBy(Tables.ANGLERS.NAME)
                .fetchGroups(stints.TRIP_ID, Tables.ANGLERS.NAME);
    }

    /** A trip the viewer may see. */
    public Trip trip(Viewer viewer, String tripId) {
        return rows.one(viewer, TRIPS, tripId).orElseThrow(NotYours::new);
    }

    public Water water(Viewer viewer, String waterId) {
        return rows.one(viewer, WATERS, waterId).orElseThrow(NotYours::new);
    }

    public boolean mayChange(Viewer viewer, String tripId) {
        return store.read()
                .fetchExists(
                        Tables.TRIPS,
                        Visibility.of(viewer, Tables.TRIPS)
                                .and(Tables.TRIPS.TRIP_ID.eq(tripId))
                                .and(Visibility.mayChangeTrip(viewer)));
    }

    /** Whether a trip is being fished on the deck. */
    boolean live(Viewer viewer, Trip trip) {
        return trip.endedAt() == null
                && store.read()
                        .fetchExists(
                                Tables.DECKS,
                                Tables.DECKS.CLUB_ID.eq(viewer.clubId()).and(Tables.DECKS.TRIP_ID.eq(trip.id())));
    }

    public List<Water> waters(Viewer viewer) {
        return rows.all(viewer, WATERS, DSL.noCondition(), List.of(Tables.WATERS.NAME.asc()));
    }

    public List<Angler> anglers(Viewer viewer) {
        return rows.all(
                viewer, dusk.ledger.interchange.Tables.ANGLERS, DSL.noCondition(), List.of(Tables.ANGLERS.NAME.asc()));
    }

    public List<Spot> spots(Viewer viewer, String waterId) {
        return rows.all(viewer, SPOTS, LedgerRows.holds(SPOTS, "water_id", waterId), List.of(Tables.SPOTS.LABEL.asc()));
    }

    public List<Reading> readings(Viewer viewer, String tripId) {
        return rows.all(
                viewer, READINGS, LedgerRows.holds(READINGS, "trip_id", tripId), List.of(Tables.READINGS.AT.asc()));
    }

    public List<Stint> stints(Viewer viewer, String tripId) {
        return rows.all(
                viewer,
                STINTS,
                LedgerRows.holds(STINTS, "trip_id", tripId),
                List.of(Tables.STINTS.STARTED_AT.asc(), Tables.STINTS.STINT_ID.asc()));
    }

    public List<Catch> catches(Viewer viewer, List<Stint> stints) {
        return rows.all(
                viewer,
                CATCHES,
                Tables.CATCHES.STINT_ID.in(ids(stints)),
                List.of(Tables.CATCHES.AT.asc(), Tables.CATCHES.CATCH_ID.asc()));
    }

    /** Fish of one stint, in the order they were landed. */
    public List<Catch> catchesOf(Viewer viewer, String stintId) {
        return rows.all(
                viewer,
                CATCHES,
                LedgerRows.holds(CATCHES, "stint_id", stintId),
                List.of(Tables.CATCHES.AT.asc(), Tables.CATCHES.CATCH_ID.asc()));
    }

    /** Species landed on a water, those landed most first. */
    List<String> speciesOf(Viewer viewer, String waterId) {
        var catches = Tables.CATCHES;
        var stints = Tables.STINTS;
        var trips = Tables.TRIPS;
        return store.read()
                .select(catches.SPECIES)
                .from(catches)
                .join(stints)
                .on(stints.CLUB_ID.eq(catches.CLUB_ID), stints.STINT_ID.eq(catches.STINT_ID))
                .join(trips)
                .on(trips.CLUB_ID.eq(stints.CLUB_ID), trips.TRIP_ID.eq(stints.TRIP_ID))
                .where(Visibility.of(viewer, catches))
                .and(trips.WATER_ID.eq(waterId))
                .groupBy(catches.SPECIES)
                .orderBy(DSL.sum(catches.COUNT).desc())
                .fetch(catches.SPECIES);
    }

    /** The water of the trip that began last. */
    public Optional<String> lastWater(Viewer viewer) {
        return rows.all(viewer, TRIPS, DSL.noCondition(), List.of(Tables.TRIPS.STARTED_AT.desc()), 1).stream()
                .map(Trip::waterId)
                .findFirst();
    }

    public List<Loss> losses(Viewer viewer, List<Stint> stints) {
        return rows.all(viewer, LOSSES, Tables.LOSSES.STINT_ID.in(ids(stints)), List.of(Tables.LOSSES.LOSS_ID.asc()));
    }

    /** Set-ups of the trip's stints first, then the club's others, those fished last first. */
    public List<SetUp> setUps(Viewer viewer) {
        var last = DSL.field(DSL.select(DSL.max(Tables.STINTS.STARTED_AT))
                .from(Tables.STINTS)
                .where(Visibility.of(viewer, Tables.STINTS))
                .and(Tables.STINTS.SETUP_ID.eq(Tables.SETUPS.SETUP_ID)));
        return rows.all(viewer, SETUPS, DSL.noCondition(), List.of(last.desc(), Tables.SETUPS.SETUP_ID.desc()));
    }

    public List<SetUp> setUps(Viewer viewer, List<Stint> stints) {
        return rows.all(
                viewer,
                SETUPS,
                Tables.SETUPS.SETUP_ID.in(
                        stints.stream().map(Stint::setUpId).distinct().toList()),
                List.of());
    }

    private static List<String> ids(List<Stint> stints) {
        List<String> ids = new ArrayList<>();
        stints.forEach(s -> ids.add(s.id()));
        return ids;
    }
}
