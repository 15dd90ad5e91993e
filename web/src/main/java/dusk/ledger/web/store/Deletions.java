package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.ANGLERS;
import static dusk.ledger.web.schema.Tables.CATCHES;
import static dusk.ledger.web.schema.Tables.DELETIONS;
import static dusk.ledger.web.schema.Tables.DROPS;
import static dusk.ledger.web.schema.Tables.INSTRUMENTS;
import static dusk.ledger.web.schema.Tables.LOSSES;
import static dusk.ledger.web.schema.Tables.READINGS;
import static dusk.ledger.web.schema.Tables.RODS;
import static dusk.ledger.web.schema.Tables.RULES;
import static dusk.ledger.web.schema.Tables.SETUPS;
import static dusk.ledger.web.schema.Tables.SIGNS;
import static dusk.ledger.web.schema.Tables.SPOTS;
import static dusk.ledger.web.schema.Tables.STINTS;
import static dusk.ledger.web.schema.Tables.TOUCHES;
import static dusk.ledger.web.schema.Tables.TRIPS;
import static dusk.ledger.web.schema.Tables.WATERS;
import static org.jooq.impl.DSL.select;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Table;
import org.springframework.stereotype.Component;

/**
 * Deletions that can be undone. Deleted rows stay and bear the deletion's mark; what hangs on them bears the same
 * mark, so that one undo brings back just what one deletion took.
 */
@Component
public final class Deletions {
    static final List<Table<?>> MARKED = List.of(
            ANGLERS,
            WATERS,
            SPOTS,
            SETUPS,
            RODS,
            TRIPS,
            READINGS,
            SIGNS,
            STINTS,
            CATCHES,
            TOUCHES,
            LOSSES,
            DROPS,
            RULES,
            INSTRUMENTS);

    /** So long a deletion can be undone, by whoever made it and by any officer. */
    public static final Duration UNDOABLE = Duration.ofDays(90);

    private final Store store;
    private final NewId newId;
    private final Clock clock;

    Deletions(Store store, NewId newId, Clock clock) {
        this.store = store;
        this.newId = newId;
        this.clock = clock;
    }

    /**
     * One deletion that can be undone.
     *
     * @param personId who made it
     */
    public record Deletion(String id, Instant at, String what, String personId) {}

    /** Deletes a trip and all that hangs on it; the deletion's id. */
    public String trip(Viewer viewer, String tripId, String what) {
        return delete(viewer, what, (tx, id) -> {
            var stints = select(STINTS.STINT_ID)
                    .from(STINTS)
                    .where(STINTS.CLUB_ID.eq(viewer.clubId()))
                    .and(STINTS.TRIP_ID.eq(tripId));
            mark(tx, viewer, id, CATCHES, CATCHES.STINT_ID.in(stints));
            mark(tx, viewer, id, TOUCHES, TOUCHES.STINT_ID.in(stints));
            mark(tx, viewer, id, LOSSES, LOSSES.STINT_ID.in(stints));
            mark(tx, viewer, id, STINTS, STINTS.TRIP_ID.eq(tripId));
            mark(tx, viewer, id, READINGS, READINGS.TRIP_ID.eq(tripId));
            mark(tx, viewer, id, SIGNS, SIGNS.TRIP_ID.eq(tripId));
            mark(tx, viewer, id, TRIPS, TRIPS.TRIP_ID.eq(tripId));
        });
    }

    /** Deletes a stint and its fish. */
    public String stint(Viewer viewer, String stintId, String what) {
        return delete(viewer, what, (tx, id) -> {
            mark(tx, viewer, id, CATCHES, CATCHES.STINT_ID.eq(stintId));
            mark(tx, viewer, id, TOUCHES, TOUCHES.STINT_ID.eq(stintId));
            mark(tx, viewer, id, LOSSES, LOSSES.STINT_ID.eq(stintId));
            mark(tx, viewer, id, STINTS, STINTS.STINT_ID.eq(stintId));
        });
    }

    /**
     * Deletes what somebody fished, with the trips of theirs on which nobody else did. Names and positions of places that
     * they kept to themselves go for good: no undoing brings those back.
     */
    public String ownRecords(Viewer viewer, String what) {
        String angler = Objects.requireNonNull(viewer.anglerId(), "only an angler has records");
        return delete(viewer, what, (tx, id) -> {
            var own = select(STINTS.STINT_ID)
                    .from(STINTS)
                    .where(STINTS.CLUB_ID.eq(viewer.clubId()))
                    .and(STINTS.ANGLER_ID.eq(angler));
            mark(tx, viewer, id, CATCHES, CATCHES.STINT_ID.in(own));
            mark(tx, viewer, id, TOUCHES, TOUCHES.STINT_ID.in(own));
            mark(tx, viewer, id, LOSSES, LOSSES.STINT_ID.in(own));
            mark(tx, viewer, id, STINTS, STINTS.ANGLER_ID.eq(angler));
            mark(tx, viewer, id, DROPS, DROPS.ANGLER_ID.eq(angler));
            mark(
                    tx,
                    viewer,
                    id,
                    TRIPS,
                    TRIPS.LOGGED_BY
                            .eq(angler)
                            .and(TRIPS.TRIP_ID.notIn(select(STINTS.TRIP_ID)
                                    .from(STINTS)
                                    .where(STINTS.CLUB_ID.eq(viewer.clubId()))
                                    .and(STINTS.DELETION_ID.isNull()))));
            var gone = select(TRIPS.TRIP_ID)
                    .from(TRIPS)
                    .where(TRIPS.CLUB_ID.eq(viewer.clubId()))
                    .and(TRIPS.DELETION_ID.eq(id));
            mark(tx, viewer, id, READINGS, READINGS.TRIP_ID.in(gone));
            mark(tx, viewer, id, SIGNS, SIGNS.TRIP_ID.in(gone));
            tx.update(SPOTS)
                    .set(SPOTS.LABEL, (String) null)
                    .set(SPOTS.LATITUDE, (Double) null)
                    .set(SPOTS.LONGITUDE, (Double) null)
                    .where(SPOTS.CLUB_ID.eq(viewer.clubId()))
                    .and(SPOTS.KEPT_BY.eq(angler))
                    .execute();
        });
    }

    public String reading(Viewer viewer, String readingId, String what) {
        return delete(viewer, what, (tx, id) -> mark(tx, viewer, id, READINGS, READINGS.READING_ID.eq(readingId)));
    }

    public String fish(Viewer viewer, String catchId, String what) {
        return delete(viewer, what, (tx, id) -> mark(tx, viewer, id, CATCHES, CATCHES.CATCH_ID.eq(catchId)));
    }

    public String loss(Viewer viewer, String lossId, String what) {
        return delete(viewer, what, (tx, id) -> mark(tx, viewer, id, LOSSES, LOSSES.LOSS_ID.eq(lossId)));
    }

    public String sign(Viewer viewer, String signId, String what) {
        return delete(viewer, what, (tx, id) -> mark(tx, viewer, id, SIGNS, SIGNS.SIGN_ID.eq(signId)));
    }

    public String drop(Viewer viewer, String dropId, String what) {
        return delete(viewer, what, (tx, id) -> mark(tx, viewer, id, DROPS, DROPS.DROP_ID.eq(dropId)));
    }

    public String rule(Viewer viewer, String ruleId, String what) {
        return delete(viewer, what, (tx, id) -> mark(tx, viewer, id, RULES, RULES.RULE_ID.eq(ruleId)));
    }

    public String instrument(Viewer viewer, String instrumentId, String what) {
        return delete(
                viewer,
                what,
                (tx, id) -> mark(tx, viewer, id, INSTRUMENTS, INSTRUMENTS.INSTRUMENT_ID.eq(instrumentId)));
    }

    /** The deletions that the viewer may undo, newest first: their own, for an officer all of the club. */
    public List<Deletion> recent(Viewer viewer, int most) {
        return store.read()
                .select(DELETIONS.DELETION_ID, DELETIONS.DELETED_AT, DELETIONS.WHAT, DELETIONS.PERSON_ID)
                .from(DELETIONS)
                .where(undoable(viewer))
                .orderBy(DELETIONS.DELETED_AT.desc(), DELETIONS.DELETION_ID.desc())
                .limit(most)
                .fetch(r -> new Deletion(r.value1(), r.value2(), r.value3(), r.value4()));
    }

    /**
     * Brings back what a deletion took. False where it was undone already, or was never there.
     *
     * @throws NotYours where it is another person's, or too long ago
     */
    public boolean undo(Viewer viewer, String deletionId) {
        return store.write(viewer.clubId(), tx -> {
            Condition one = ofClub(viewer).and(DELETIONS.DELETION_ID.eq(deletionId));
            if (!tx.fetchExists(DELETIONS, one)) {
                return false;
            }
            if (!tx.fetchExists(DELETIONS, one.and(undoable(viewer)))) {
                throw new NotYours();
            }
            for (Table<?> table : MARKED) {
                tx.update(table)
                        .set(deletionOf(table), (String) null)
                        .where(clubOf(table).eq(viewer.clubId()))
                        .and(deletionOf(table).eq(deletionId))
                        .execute();
            }
            Imports.broughtBack(tx, viewer.clubId(), deletionId);
            tx.deleteFrom(DELETIONS).where(one).execute();
            return true;
        });
    }

    private static Condition ofClub(Viewer viewer) {
        return DELETIONS.CLUB_ID.eq(viewer.clubId());
    }

    private Condition undoable(Viewer viewer) {
        return ofClub(viewer)
                .and(DELETIONS.DELETED_AT.gt(clock.instant().minus(UNDOABLE)))
                .and(Visibility.ofDeletions(viewer));
    }

    /** Marks the rows that one deletion takes. */
    private interface Marking {
        void mark(DSLContext tx, String deletionId);
    }

    private String delete(Viewer viewer, String what, Marking marking) {
        String id = newId.next();
        return store.write(viewer.clubId(), tx -> {
            tx.insertInto(DELETIONS)
                    .set(DELETIONS.CLUB_ID, viewer.clubId())
                    .set(DELETIONS.DELETION_ID, id)
                    .set(DELETIONS.DELETED_AT, clock.instant())
                    .set(DELETIONS.PERSON_ID, Objects.requireNonNull(viewer.personId(), "only a person deletes"))
                    .set(DELETIONS.WHAT, what)
                    .execute();
            marking.mark(tx, id);
            return id;
        });
    }

    /** Rows deleted before keep their own mark, so that undoing this deletion does not bring them back. */
    private static void mark(DSLContext tx, Viewer viewer, String deletionId, Table<?> table, Condition which) {
        tx.update(table)
                .set(deletionOf(table), deletionId)
                .where(clubOf(table).eq(viewer.clubId()))
                .and(deletionOf(table).isNull())
                .and(which)
                .execute();
    }

    private static Field<String> deletionOf(Table<?> table) {
        return Objects.requireNonNull(table.field("deletion_id", String.class));
    }

    private static Field<String> clubOf(Table<?> table) {
        return Objects.requireNonNull(table.field("club_id", String.class));
    }
}
