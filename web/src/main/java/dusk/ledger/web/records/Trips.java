package dusk.ledger.web.records;

import static dusk.ledger.format.LedgerFormat.CATCHES;
import static dusk.ledger.format.LedgerFormat.STINTS;
import static dusk.ledger.format.LedgerFormat.TRIPS;

import dusk.ledger.format.Table;
import dusk.ledger.journal.Bounds;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.TripBuilder;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.schema.Tables;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Trail;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The ledger of trips. */
@Component
public class Trips {
    /** Trips on one page of the list. */
    public static final int PAGE = 40;

    private final Store store;
    private final LedgerRows rows;
    private final Trail trail;
    private final RecentTables tables;

    Trips(Store store, LedgerRows rows, Trail trail, RecentTables tables) {
        this.tables = tables;
        this.store = store;
        this.rows = rows;
        this.trail = trail;
    }

    /** A whole trip as it is entered afterwards. */
    public record Whole(
            Trip trip, @Nullable Reading reading, List<Stint> stints, List<Catch> catches, List<Loss> losses) {}

    /** A line of the list. */
    public record Line(Trip trip, List<Stint> stints, List<Catch> catches, List<String> anglers) {
        public double rodHours() {
            return stints.stream().mapToDouble(Stint::rodHours).sum();
        }

        public int fish() {
            return catches.stream().mapToInt(Catch::count).sum();
        }
    }

    /**
     * Which trips are meant; an empty word leaves all.
     *
     * @param anglerId who fished
     * @param species what was landed
     * @param season of any of its stints
     */
    public record Asked(String waterId, String anglerId, String species, String season) {
        public static final Asked ALL = new Asked("", "", "", "");

        /** The stints of a club's table that are meant; of trips with a species those that landed it. */
        public StintTable of(StintTable club) {
            int[] fish = club.fish(species.isEmpty() ? null : species, null);
            return club.where(((IntPredicate) holds(club, Factor.WATER, waterId))
                    .and(holds(club, Factor.ANGLER, anglerId))
                    .and(holds(club, Factor.SEASON, season))
                    .and(row -> species.isEmpty() || fish[row] > 0));
        }

        private boolean byWaterOnly() {
            return anglerId.isEmpty() && species.isEmpty() && season.isEmpty();
        }

        private static IntPredicate holds(StintTable table, Factor factor, String level) {
            int code = table.codes(factor).codeOf(level);
            return row -> level.isEmpty() || table.codes(factor).at(row) == code;
        }
    }

    /** The newest trips, from a page on; one more than a page where there are more. */
    public List<Line> lines(Viewer viewer, Asked asked, int page) {
        var trips = Tables.TRIPS;
        Condition meant = asked.waterId().isEmpty() ? DSL.noCondition() : trips.WATER_ID.eq(asked.waterId());
        if (!asked.byWaterOnly()) {
            // seasons follow from the table alone, and it knows the rest as well
            Codes of = asked.of(tables.whole(viewer)).codes(Factor.TRIP);
            meant = meant.and(trips.TRIP_ID.in(of.levels().stream().skip(1).toList()));
        }
        List<Trip> shown = rows.all(viewer, TRIPS, meant, List.of(trips.STARTED_AT.desc()), page * PAGE, PAGE + 1);
        List<String> ids = shown.stream().map(Trip::id).toList();
        List<Stint> stints =
                rows.all(viewer, STINTS, Tables.STINTS.TRIP_ID.in(ids), List.of(Tables.STINTS.STARTED_AT.asc()));
        Map<String, List<Stint>> fished = stints.stream().collect(Collectors.groupingBy(Stint::tripId));
        Map<String, List<Catch>> landed = landed(viewer, stints);
        Map<String, List<String>> anglers = anglersOf(viewer, ids);
        return shown.stream()
                .map(trip -> new Line(
                        trip,
                        fished.getOrDefault(trip.id(), List.of()),
                        landed.getOrDefault(trip.id(), List.of()),
                        anglers.getOrDefault(trip.id(), List.of())))
                .toList();
    }

    /** Fish landed, by trip. */
    private Map<String, List<Catch>> landed(Viewer viewer, List<Stint> stints) {
        Map<String, String> tripOf = stints.stream().collect(Collectors.toMap(Stint::id, Stint::tripId));
        return rows
                .all(
                        viewer,
                        CATCHES,
                        Tables.CATCHES.STINT_ID.in(tripOf.keySet()),
                        List.of(Tables.CATCHES.CATCH_ID.asc()))
                .stream()
                .collect(Collectors.groupingBy(fish -> tripOf.getOrDefault(fish.stintId(), "")));
    }

    /** Names of those who fished, by trip. */
    private Map<String, List<String>> anglersOf(Viewer viewer, List<String> tripIds) {
        var stints = Tables.STINTS;
        return store.read()
                .selectDistinct(stints.TRIP_ID, Tables.ANGLERS.NAME)
                .from(stints)
                .join(Tables.ANGLERS)
                .on(Tables.ANGLERS.CLUB_ID.eq(stints.CLUB_ID), Tables.ANGLERS.ANGLER_ID.eq(stints.ANGLER_ID))
                .where(Visibility.of(viewer, stints))
                .and(stints.TRIP_ID.in(tripIds))
                .and(Tables.ANGLERS.NAME.isNotNull())
                .orderBy(Tables.ANGLERS.NAME)
                .fetchGroups(stints.TRIP_ID, Tables.ANGLERS.NAME);
    }

    /** Trips that were under way at a moment and that the viewer may add to, the newest first. */
    public List<Trip> during(Viewer viewer, Instant at) {
        var trips = Tables.TRIPS;
        return rows.all(
                viewer,
                TRIPS,
                Visibility.wasOnTrip(viewer)
                        .and(trips.STARTED_AT.between(at.minus(Bounds.LONGEST_TRIP), at))
                        .and(trips.ENDED_AT.isNull().or(trips.ENDED_AT.ge(at))),
                List.of(trips.STARTED_AT.desc()));
    }

    /** Trips that the viewer fished on themselves, the newest first. */
    public List<Trip> fishedBy(Viewer viewer) {
        return rows.all(
                viewer,
                TRIPS,
                Visibility.fishedOn(viewer),
                List.of(Tables.TRIPS.STARTED_AT.desc(), Tables.TRIPS.TRIP_ID.desc()));
    }

    /** @throws NotYours where the viewer may not see it */
    public Trip one(Viewer viewer, String tripId) {
        return rows.one(viewer, TRIPS, tripId).orElseThrow(NotYours::new);
    }

    /** Whether the viewer may see such a trip. */
    public boolean there(Viewer viewer, String tripId) {
        return rows.one(viewer, TRIPS, tripId).isPresent();
    }

    /** What a viewer may do with a trip. */
    public enum Doing {
        /** Add to it what was fished, seen and measured. */
        ADD,
        /** Change it as a whole. */
        CHANGE,
        DELETE
    }

    /** @throws NotYours where the viewer may not do it */
    public Trip one(Viewer viewer, String tripId, Doing doing) {
        Trip trip = one(viewer, tripId);
        if (!may(viewer, tripId, doing)) {
            throw new NotYours();
        }
        return trip;
    }

    public boolean may(Viewer viewer, String tripId, Doing doing) {
        Condition rule = switch (doing) {
            case ADD -> Visibility.wasOnTrip(viewer);
            case CHANGE -> Visibility.mayChangeTrip(viewer);
            case DELETE -> Visibility.mayDeleteTrip(viewer);
        };
        return store.read()
                .fetchExists(
                        Tables.TRIPS,
                        Visibility.of(viewer, Tables.TRIPS)
                                .and(Tables.TRIPS.TRIP_ID.eq(tripId))
                                .and(rule));
    }

    /** Ids of a trip's stints that the viewer may change. */
    public Set<String> changeableStints(Viewer viewer, String tripId) {
        return store.read()
                .select(Tables.STINTS.STINT_ID)
                .from(Tables.STINTS)
                .where(Visibility.of(viewer, Tables.STINTS))
                .and(Tables.STINTS.TRIP_ID.eq(tripId))
                .and(Visibility.mayChangeStint(viewer))
                .fetchSet(Tables.STINTS.STINT_ID);
    }

    /** Whether the viewer may log in an angler's name on a trip that is not theirs to change. */
    public boolean mayLogFor(Viewer viewer, String anglerId) {
        return store.read()
                .fetchExists(
                        Tables.ANGLERS,
                        Visibility.of(viewer, Tables.ANGLERS)
                                .and(Tables.ANGLERS.ANGLER_ID.eq(anglerId))
                                .and(Visibility.mayLogFor(viewer)));
    }

    /** Whether a trip is being fished on the deck. */
    public boolean live(Viewer viewer, Trip trip) {
        return trip.endedAt() == null
                && store.read()
                        .fetchExists(
                                Tables.DECKS,
                                Visibility.of(viewer, Tables.DECKS).and(Tables.DECKS.TRIP_ID.eq(trip.id())));
    }

    /** Species landed on a water, those landed most first. */
    public List<String> speciesOf(Viewer viewer, String waterId) {
        StintTable table = tables.forOrder(viewer);
        Codes waters = table.codes(Factor.WATER);
        int water = waters.codeOf(waterId);
        return table.species(row -> waters.at(row) == water);
    }

    /** Stores a new trip, logged by the viewer. */
    public void add(Viewer viewer, Trip trip) {
        store.write(viewer.clubId(), tx -> insert(tx, viewer, trip));
    }

    private Trip insert(DSLContext tx, Viewer viewer, Trip trip) {
        rows.insert(tx, viewer.clubId(), TRIPS, loggedBy(viewer, trip));
        return trip;
    }

    /** The trip as its logger's. */
    static Trip loggedBy(Viewer viewer, Trip trip) {
        return TripBuilder.builder(trip).loggedBy(viewer.anglerId()).build();
    }

    /** Writes a trip over the one with its id. */
    public void change(Viewer viewer, Trip trip) {
        store.write(viewer.clubId(), tx -> {
            trail.update(tx, viewer, TRIPS, trip);
            return trip;
        });
    }

    /** Stores a trip with all that hangs on it, or nothing of it. */
    public void add(Viewer viewer, Whole whole) {
        store.write(viewer.clubId(), tx -> {
            insert(tx, viewer, whole.trip());
            Reading reading = whole.reading();
            if (reading != null) {
                rows.insert(tx, viewer.clubId(), dusk.ledger.format.LedgerFormat.READINGS, reading);
            }
            insert(tx, viewer, dusk.ledger.format.LedgerFormat.STINTS, whole.stints());
            insert(tx, viewer, dusk.ledger.format.LedgerFormat.CATCHES, whole.catches());
            insert(tx, viewer, dusk.ledger.format.LedgerFormat.LOSSES, whole.losses());
            return whole;
        });
    }

    private <T> void insert(DSLContext tx, Viewer viewer, Table<T> table, List<T> list) {
        list.forEach(row -> rows.insert(tx, viewer.clubId(), table, row));
    }
}
