package dusk.ledger.web.records;

import static dusk.ledger.format.LedgerFormat.CATCHES;
import static dusk.ledger.format.LedgerFormat.LOSSES;
import static dusk.ledger.format.LedgerFormat.READINGS;
import static dusk.ledger.format.LedgerFormat.SIGNS;
import static dusk.ledger.format.LedgerFormat.STINTS;
import static dusk.ledger.format.LedgerFormat.TOUCHES;
import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.greatest;
import static org.jooq.impl.DSL.select;
import static org.jooq.impl.DSL.sum;
import static org.jooq.impl.DSL.val;

import dusk.ledger.format.Table;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.web.schema.Tables;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Trail;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What hangs on a trip: its readings, stints, fish, losses, touches and signs. */
@Component
public class TripRows {
    private final Store store;
    private final LedgerRows rows;
    private final Trail trail;

    TripRows(Store store, LedgerRows rows, Trail trail) {
        this.store = store;
        this.rows = rows;
        this.trail = trail;
    }

    /** In the order they were taken. */
    public List<Reading> readings(Viewer viewer, String tripId) {
        return rows.all(
                viewer,
                READINGS,
                LedgerRows.holds(READINGS, "trip_id", tripId),
                List.of(Tables.READINGS.AT.asc(), Tables.READINGS.READING_ID.asc()));
    }

    /** The trip's newest reading up to a moment; null before the first. */
    public @Nullable Reading lastReading(Viewer viewer, String tripId, Instant until) {
        return rows
                .all(
                        viewer,
                        READINGS,
                        Tables.READINGS.TRIP_ID.eq(tripId).and(Tables.READINGS.AT.le(until)),
                        List.of(Tables.READINGS.AT.desc(), Tables.READINGS.READING_ID.desc()),
                        1)
                .stream()
                .findFirst()
                .orElse(null);
    }

    /** The newest reading of a water, whosever trip it was taken on; empty before the first. */
    public Optional<Reading> lastOn(Viewer viewer, String waterId) {
        return rows
                .all(
                        viewer,
                        READINGS,
                        ofWater(viewer, waterId),
                        List.of(Tables.READINGS.AT.desc(), Tables.READINGS.READING_ID.desc()),
                        1)
                .stream()
                .findFirst();
    }

    /** The readings of a water since a moment, whosever trips they were taken on, in the order they were taken. */
    public List<Reading> onSince(Viewer viewer, String waterId, Instant since) {
        return rows.all(
                viewer,
                READINGS,
                ofWater(viewer, waterId).and(Tables.READINGS.AT.ge(since)),
                List.of(Tables.READINGS.AT.asc(), Tables.READINGS.READING_ID.asc()));
    }

    private static Condition ofWater(Viewer viewer, String waterId) {
        return Tables.READINGS.TRIP_ID.in(select(Tables.TRIPS.TRIP_ID)
                .from(Tables.TRIPS)
                .where(Visibility.of(viewer, Tables.TRIPS))
                .and(Tables.TRIPS.WATER_ID.eq(waterId)));
    }

    /** In the order they began. */
    public List<Stint> stints(Viewer viewer, String tripId) {
        return rows.all(
                viewer,
                STINTS,
                LedgerRows.holds(STINTS, "trip_id", tripId),
                List.of(Tables.STINTS.STARTED_AT.asc(), Tables.STINTS.STINT_ID.asc()));
    }

    /** Those that a rod's card tells of: its angler's, and all on its set-up at its place; in the order they began. */
    public List<Stint> stintsLike(Viewer viewer, String tripId, RodOut rod) {
        Condition there =
                rod.spotId() == null ? Tables.STINTS.SPOT_ID.isNull() : Tables.STINTS.SPOT_ID.eq(rod.spotId());
        return rows.all(
                viewer,
                STINTS,
                Tables.STINTS
                        .TRIP_ID
                        .eq(tripId)
                        .and(Tables.STINTS
                                .ANGLER_ID
                                .eq(rod.anglerId())
                                .or(Tables.STINTS.SETUP_ID.eq(rod.setUpId()).and(there))),
                List.of(Tables.STINTS.STARTED_AT.asc(), Tables.STINTS.STINT_ID.asc()));
    }

    /** A stint, where it is one of the trip's. */
    public Optional<Stint> stint(Viewer viewer, String tripId, String stintId) {
        return rows.one(viewer, STINTS, stintId).filter(s -> s.tripId().equals(tripId));
    }

    /** Fish of stints, in the order they were landed. */
    public List<Catch> catches(Viewer viewer, Collection<Stint> stints) {
        return rows.all(
                viewer,
                CATCHES,
                Tables.CATCHES.STINT_ID.in(ids(stints)),
                List.of(Tables.CATCHES.AT.asc(), Tables.CATCHES.CATCH_ID.asc()));
    }

    /** Fish of a trip, in the order they were landed. */
    public List<Catch> catches(Viewer viewer, String tripId) {
        return rows.all(
                viewer,
                CATCHES,
                Tables.CATCHES.STINT_ID.in(select(Tables.STINTS.STINT_ID)
                        .from(Tables.STINTS)
                        .where(Visibility.of(viewer, Tables.STINTS))
                        .and(Tables.STINTS.TRIP_ID.eq(tripId))),
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

    /** A fish, where it is one of the trip's. */
    public Optional<Catch> fish(Viewer viewer, String tripId, String catchId) {
        return rows.one(viewer, CATCHES, catchId)
                .filter(fish -> stint(viewer, tripId, fish.stintId()).isPresent());
    }

    public List<Loss> losses(Viewer viewer, Collection<Stint> stints) {
        return rows.all(viewer, LOSSES, Tables.LOSSES.STINT_ID.in(ids(stints)), List.of(Tables.LOSSES.LOSS_ID.asc()));
    }

    /** In the order they were made. */
    public List<Touch> touches(Viewer viewer, Collection<Stint> stints) {
        return rows.all(viewer, TOUCHES, Tables.TOUCHES.STINT_ID.in(ids(stints)), List.of(Tables.TOUCHES.AT.asc()));
    }

    /** In the order they were seen. */
    public List<Sign> signs(Viewer viewer, String tripId) {
        return rows.all(viewer, SIGNS, LedgerRows.holds(SIGNS, "trip_id", tripId), List.of(Tables.SIGNS.AT.asc()));
    }

    private static List<String> ids(Collection<Stint> stints) {
        return stints.stream().map(Stint::id).toList();
    }

    /** One row of a kind, where the viewer may see it. */
    public <T> Optional<T> one(Viewer viewer, Table<T> table, String id) {
        return rows.one(viewer, table, id);
    }

    /** Stores a row: a new one, or over the one with its id. */
    public <T> void store(Viewer viewer, Table<T> table, T row, boolean fresh) {
        store.write(viewer.clubId(), tx -> write(tx, viewer, table, row, fresh));
    }

    private <T> T write(DSLContext tx, Viewer viewer, Table<T> table, T row, boolean fresh) {
        if (fresh) {
            rows.insert(tx, viewer.clubId(), table, row);
        } else {
            trail.update(tx, viewer, table, row);
        }
        return row;
    }

    /** Stores a fish or a loss. What was landed or lost was hooked and bit: its stint's counts rise with it where they lag behind. */
    public <T> void storeHooked(Viewer viewer, Table<T> table, T row, String stintId, boolean fresh) {
        store.write(viewer.clubId(), tx -> {
            write(tx, viewer, table, row, fresh);
            long hooked = total(tx, viewer, Tables.CATCHES, Tables.CATCHES.COUNT, Tables.CATCHES.STINT_ID, stintId)
                    + total(tx, viewer, Tables.LOSSES, Tables.LOSSES.COUNT, Tables.LOSSES.STINT_ID, stintId);
            return tx.update(Tables.STINTS)
                    .set(Tables.STINTS.HOOKED, greatest(Tables.STINTS.HOOKED, val(hooked)))
                    .set(
                            Tables.STINTS.BITES,
                            greatest(Tables.STINTS.BITES, greatest(Tables.STINTS.HOOKED, val(hooked))))
                    .where(Visibility.of(viewer, Tables.STINTS))
                    .and(Tables.STINTS.STINT_ID.eq(stintId))
                    .execute();
        });
    }

    private static long total(
            DSLContext tx,
            Viewer viewer,
            org.jooq.Table<?> table,
            Field<Long> count,
            Field<String> stint,
            String stintId) {
        Long total = tx.select(coalesce(sum(count), 0))
                .from(table)
                .where(Visibility.of(viewer, table))
                .and(stint.eq(stintId))
                .fetchOne(0, Long.class);
        return total == null ? 0 : total;
    }
}
