package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.ANGLERS;
import static dusk.ledger.web.schema.Tables.DECKS;
import static dusk.ledger.web.schema.Tables.RODS_OUT;
import static dusk.ledger.web.schema.Tables.STINTS;
import static dusk.ledger.web.schema.Tables.TRIPS;
import static dusk.ledger.web.schema.Tables.WATERS;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.selectOne;
import static org.jooq.impl.DSL.when;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Trip;
import dusk.ledger.units.Length;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import dusk.ledger.web.store.Writing;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.Field;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Trips being fished, with the rods that are out. A deck is for those who are on its trip. */
@Component
public class Decks {
    private final Store store;
    private final JsonMapper json = JsonMapper.shared();

    Decks(Store store) {
        this.store = store;
    }

    /** A deck of a trip that the viewer is on. */
    public Deck deck(Viewer viewer, String tripId) {
        List<Field<?>> trips = LedgerRows.columns(viewer, LedgerFormat.TRIPS);
        Record row = store.read()
                .select(trips)
                .select(LedgerRows.columns(viewer, LedgerFormat.WATERS))
                .select(DECKS.UNTIL_AT, DECKS.SEEN, DECKS.WAVED)
                .from(DECKS)
                .join(TRIPS)
                .on(TRIPS.CLUB_ID.eq(DECKS.CLUB_ID), TRIPS.TRIP_ID.eq(DECKS.TRIP_ID))
                .join(WATERS)
                .on(WATERS.CLUB_ID.eq(TRIPS.CLUB_ID), WATERS.WATER_ID.eq(TRIPS.WATER_ID))
                .where(Visibility.of(viewer, TRIPS))
                .and(Visibility.of(viewer, WATERS))
                .and(DECKS.TRIP_ID.eq(tripId))
                .and(Visibility.wasOnTrip(viewer))
                .fetchOne();
        if (row == null) {
            throw new NotYours();
        }
        Set<String> waved = new TreeSet<>();
        json.readTree(row.get(DECKS.WAVED)).forEach(column -> waved.add(column.asString()));
        return new Deck(
                LedgerRows.read(LedgerFormat.TRIPS, row, 0),
                LedgerRows.read(LedgerFormat.WATERS, row, trips.size()),
                row.get(DECKS.UNTIL_AT),
                seen(row.get(DECKS.SEEN)),
                waved,
                rods(viewer, RODS_OUT.TRIP_ID.eq(tripId)));
    }

    /** When each column of a trip's readings was looked at last by hand. */
    public Map<String, Instant> looked(Viewer viewer, String tripId) {
        String stored = store.read()
                .select(DECKS.SEEN)
                .from(DECKS)
                .where(Visibility.of(viewer, DECKS))
                .and(DECKS.TRIP_ID.eq(tripId))
                .fetchOne(DECKS.SEEN);
        return stored == null ? Map.of() : seen(stored);
    }

    private Map<String, Instant> seen(String stored) {
        Map<String, Instant> seen = new TreeMap<>();
        json.readTree(stored)
                .properties()
                .forEach(cell ->
                        seen.put(cell.getKey(), Instant.parse(cell.getValue().asString())));
        return seen;
    }

    /** A rod as it is now, of a trip. */
    public RodOut rod(Viewer viewer, String tripId, String rodOutId) {
        return rods(viewer, RODS_OUT.TRIP_ID.eq(tripId).and(RODS_OUT.ROD_OUT_ID.eq(rodOutId))).stream()
                .findFirst()
                .orElseThrow(NotYours::new);
    }

    private List<RodOut> rods(Viewer viewer, Condition which) {
        // a stint deleted on the trip's page runs no longer
        Condition there = exists(selectOne()
                .from(STINTS)
                .where(Visibility.of(viewer, STINTS))
                .and(STINTS.STINT_ID.eq(RODS_OUT.STINT_ID)));
        Field<String> running = when(there, RODS_OUT.STINT_ID).as("running");
        return store.read()
                .select(RODS_OUT.fields())
                .select(running)
                .from(RODS_OUT)
                .where(Visibility.of(viewer, RODS_OUT))
                .and(which)
                .orderBy(RODS_OUT.NUMBER)
                .fetch(r -> new RodOut(
                        r.get(RODS_OUT.ROD_OUT_ID),
                        Math.toIntExact(r.get(RODS_OUT.NUMBER)),
                        r.get(RODS_OUT.ANGLER_ID),
                        r.get(RODS_OUT.ROD_ID),
                        r.get(RODS_OUT.SETUP_ID),
                        r.get(RODS_OUT.SPOT_ID),
                        depth(r.get(RODS_OUT.DEPTH_M)),
                        way(r),
                        r.get(running),
                        r.get(RODS_OUT.TOUCHED_AT)));
    }

    private static Way way(Record row) {
        return new Way(
                row.get(RODS_OUT.PRESENTATION),
                row.get(RODS_OUT.SPEED),
                row.get(RODS_OUT.PAUSE_S),
                row.get(RODS_OUT.LINE_METHOD),
                row.get(RODS_OUT.HOOK_SET),
                row.get(RODS_OUT.PURPOSE),
                row.get(RODS_OUT.FISH_POSITION),
                depth(row.get(RODS_OUT.FISH_DEPTH_M)));
    }

    private static @Nullable Double metres(@Nullable Length depth) {
        return depth == null ? null : depth.metres();
    }

    private static @Nullable Length depth(@Nullable Double metres) {
        return metres == null ? null : Length.ofMetres(metres);
    }

    /** Trips still being fished that the viewer is on, the newest first. */
    public List<String> live(Viewer viewer) {
        return store.read()
                .select(TRIPS.TRIP_ID)
                .from(TRIPS)
                .join(DECKS)
                .on(TRIPS.CLUB_ID.eq(DECKS.CLUB_ID), TRIPS.TRIP_ID.eq(DECKS.TRIP_ID))
                .where(Visibility.of(viewer, TRIPS))
                .and(Visibility.wasOnTrip(viewer))
                .and(TRIPS.ENDED_AT.isNull())
                .orderBy(TRIPS.STARTED_AT.desc())
                .fetch(TRIPS.TRIP_ID);
    }

    /**
     * A trip being fished, as far as an instrument must know of it.
     *
     * @param aboard ids of the anglers on it
     * @param touchedAt when somebody did anything on it last
     * @param seen when each column of the readings was looked at last by hand
     */
    public record UnderWay(
            String clubId,
            String tripId,
            String waterId,
            Set<String> aboard,
            Instant touchedAt,
            Map<String, Instant> seen) {}

    /** Every club's trips that are being fished. */
    public List<UnderWay> underWay() {
        return store
                .read()
                .select(TRIPS.CLUB_ID, TRIPS.TRIP_ID, TRIPS.WATER_ID, TRIPS.LOGGED_BY, TRIPS.STARTED_AT)
                .select(RODS_OUT.ANGLER_ID, RODS_OUT.TOUCHED_AT, DECKS.SEEN)
                .from(TRIPS)
                .join(DECKS)
                .on(TRIPS.CLUB_ID.eq(DECKS.CLUB_ID), TRIPS.TRIP_ID.eq(DECKS.TRIP_ID))
                .leftJoin(RODS_OUT)
                .on(RODS_OUT.CLUB_ID.eq(DECKS.CLUB_ID), RODS_OUT.TRIP_ID.eq(DECKS.TRIP_ID))
                .where(TRIPS.ENDED_AT.isNull())
                .and(TRIPS.DELETION_ID.isNull())
                .fetchGroups(new Field<?>[] {TRIPS.CLUB_ID, TRIPS.TRIP_ID})
                .values()
                .stream()
                .map(this::underWay)
                .toList();
    }

    private UnderWay underWay(List<? extends Record> rods) {
        Set<String> aboard = new TreeSet<>();
        Record first = rods.get(0);
        Instant touched = first.get(TRIPS.STARTED_AT);
        for (Record rod : rods) {
            Stream.of(rod.get(TRIPS.LOGGED_BY), rod.get(RODS_OUT.ANGLER_ID))
                    .filter(Objects::nonNull)
                    .forEach(aboard::add);
            Instant at = rod.get(RODS_OUT.TOUCHED_AT);
            touched = at != null && at.isAfter(touched) ? at : touched;
        }
        return new UnderWay(
                first.get(TRIPS.CLUB_ID),
                first.get(TRIPS.TRIP_ID),
                first.get(TRIPS.WATER_ID),
                aboard,
                touched,
                seen(first.get(DECKS.SEEN)));
    }

    /** Begins a trip on a deck, logged by the viewer. */
    public void begin(Writing w, Viewer viewer, Trip trip, @Nullable Instant until) {
        w.insert(LedgerFormat.TRIPS, Trips.loggedBy(viewer, trip));
        Map<Field<?>, @Nullable Object> row = new HashMap<>();
        row.put(DECKS.TRIP_ID, trip.id());
        row.put(DECKS.UNTIL_AT, until);
        w.insert(DECKS, row);
    }

    /** A guest who is new in the records; whoever brought them mends what is logged for them. */
    public void guest(Writing w, Viewer host, Angler guest) {
        w.insert(LedgerFormat.ANGLERS, guest);
        w.update(ANGLERS, guest.id(), Map.of(ANGLERS.BROUGHT_BY, String.valueOf(host.personId())));
    }

    /** A new rod on a deck; {@link RodOut#stintId} is what runs on it. */
    public void put(Writing w, String tripId, RodOut rod) {
        Map<Field<?>, @Nullable Object> row = row(rod);
        row.put(RODS_OUT.ROD_OUT_ID, rod.id());
        row.put(RODS_OUT.TRIP_ID, tripId);
        row.put(RODS_OUT.NUMBER, (long) rod.number());
        w.insert(RODS_OUT, row);
    }

    /** Writes a rod over what it was. */
    public void change(Writing w, RodOut rod) {
        w.update(RODS_OUT, rod.id(), row(rod));
    }

    /** Marks a rod as touched, so that acts on it are undone in turn. */
    public void touch(Writing w, RodOut rod, Instant at) {
        w.update(RODS_OUT, rod.id(), Map.of(RODS_OUT.TOUCHED_AT, at.isAfter(rod.touchedAt()) ? at : rod.touchedAt()));
    }

    private static Map<Field<?>, @Nullable Object> row(RodOut rod) {
        Map<Field<?>, @Nullable Object> row = new HashMap<>();
        row.put(RODS_OUT.ANGLER_ID, rod.anglerId());
        row.put(RODS_OUT.ROD_ID, rod.rodId());
        row.put(RODS_OUT.SETUP_ID, rod.setUpId());
        row.put(RODS_OUT.SPOT_ID, rod.spotId());
        row.put(RODS_OUT.DEPTH_M, metres(rod.depth()));
        row.put(RODS_OUT.PRESENTATION, rod.way().presentation());
        row.put(RODS_OUT.SPEED, rod.way().speed());
        row.put(RODS_OUT.PAUSE_S, rod.way().pauseSeconds());
        row.put(RODS_OUT.LINE_METHOD, rod.way().lineMethod());
        row.put(RODS_OUT.HOOK_SET, rod.way().hookSet());
        row.put(RODS_OUT.PURPOSE, rod.way().purpose());
        row.put(RODS_OUT.FISH_POSITION, rod.way().fishPosition());
        row.put(RODS_OUT.FISH_DEPTH_M, metres(rod.way().fishDepth()));
        row.put(RODS_OUT.STINT_ID, rod.stintId());
        row.put(RODS_OUT.TOUCHED_AT, rod.touchedAt());
        return row;
    }

    /** Remembers when columns of the readings were looked at last. */
    public void see(Writing w, Deck deck, Map<String, Instant> seen) {
        Map<String, String> text = new TreeMap<>();
        seen.forEach((column, at) -> text.put(column, at.toString()));
        w.update(DECKS, deck.trip().id(), Map.of(DECKS.SEEN, json.writeValueAsString(text)));
    }

    /** Remembers which columns are not asked for any more. */
    public void wave(Writing w, Deck deck, Set<String> waved) {
        w.update(DECKS, deck.trip().id(), Map.of(DECKS.WAVED, json.writeValueAsString(waved)));
    }

    /** A place made on the deck is its maker's own until they share it. */
    public void newPlace(Writing w, Viewer maker, Spot spot) {
        w.insert(LedgerFormat.SPOTS, Places.keptBy(maker, spot));
    }
}
