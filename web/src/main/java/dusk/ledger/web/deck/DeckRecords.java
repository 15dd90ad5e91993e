package dusk.ledger.web.deck;

import static dusk.ledger.web.schema.Tables.DECKS;
import static dusk.ledger.web.schema.Tables.RODS_OUT;
import static dusk.ledger.web.schema.Tables.STINTS;
import static dusk.ledger.web.schema.Tables.TRIPS;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.selectOne;
import static org.jooq.impl.DSL.when;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Trip;
import dusk.ledger.units.Length;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jooq.Condition;
import org.jooq.Field;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Reads decks. A deck is for those who may change its trip. */
@Component
class DeckRecords {
    private final Store store;
    private final LedgerRows rows;
    private final JsonMapper json = JsonMapper.shared();

    DeckRecords(Store store, LedgerRows rows) {
        this.store = store;
        this.rows = rows;
    }

    LedgerRows rows() {
        return rows;
    }

    /** A deck of a trip that the viewer may change. */
    Deck deck(Viewer viewer, String tripId) {
        Record row = store.read()
                .select(DECKS.UNTIL_AT, DECKS.SEEN, DECKS.WAVED)
                .from(DECKS)
                .join(TRIPS)
                .on(TRIPS.CLUB_ID.eq(DECKS.CLUB_ID), TRIPS.TRIP_ID.eq(DECKS.TRIP_ID))
                .where(Visibility.of(viewer, TRIPS))
                .and(DECKS.TRIP_ID.eq(tripId))
                .and(Visibility.mayChangeTrip(viewer))
                .fetchOne();
        if (row == null) {
            throw new NotYours();
        }
        Trip trip = rows.one(viewer, Tables.TRIPS, tripId).orElseThrow(NotYours::new);
        Map<String, Instant> seen = new TreeMap<>();
        json.readTree(row.get(DECKS.SEEN))
                .properties()
                .forEach(cell ->
                        seen.put(cell.getKey(), Instant.parse(cell.getValue().asString())));
        Set<String> waved = new TreeSet<>();
        json.readTree(row.get(DECKS.WAVED)).forEach(column -> waved.add(column.asString()));
        return new Deck(
                trip,
                rows.one(viewer, Tables.WATERS, trip.waterId()).orElseThrow(NotYours::new),
                row.get(DECKS.UNTIL_AT),
                seen,
                waved,
                rods(viewer, RODS_OUT.TRIP_ID.eq(tripId)));
    }

    /** A rod as it is now, of a trip. */
    RodOut rod(Viewer viewer, String tripId, String rodOutId) {
        return rods(viewer, RODS_OUT.TRIP_ID.eq(tripId).and(RODS_OUT.ROD_OUT_ID.eq(rodOutId))).stream()
                .findFirst()
                .orElseThrow(NotYours::new);
    }

    List<RodOut> rods(Viewer viewer, Condition which) {
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
                .where(RODS_OUT.CLUB_ID.eq(viewer.clubId()))
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
                        r.get(RODS_OUT.PRESENTATION),
                        r.get(running),
                        r.get(RODS_OUT.TOUCHED_AT)));
    }

    private static @Nullable Length depth(@Nullable Double metres) {
        return metres == null ? null : Length.ofMetres(metres);
    }

    /** The stint running on a rod. */
    Stint running(Viewer viewer, RodOut rod) {
        String stint = rod.stintId();
        if (stint == null) {
            throw new Refusal("Rod " + rod.number() + " is down. Pick it up first.");
        }
        return rows.one(viewer, Tables.STINTS, stint).orElseThrow(NotYours::new);
    }

    /** Trips still being fished that the viewer may change, the newest first. */
    List<String> live(Viewer viewer) {
        return store.read()
                .select(TRIPS.TRIP_ID)
                .from(TRIPS)
                .join(DECKS)
                .on(TRIPS.CLUB_ID.eq(DECKS.CLUB_ID), TRIPS.TRIP_ID.eq(DECKS.TRIP_ID))
                .where(Visibility.of(viewer, TRIPS))
                .and(Visibility.mayChangeTrip(viewer))
                .and(TRIPS.ENDED_AT.isNull())
                .orderBy(TRIPS.STARTED_AT.desc())
                .fetch(TRIPS.TRIP_ID);
    }
}
