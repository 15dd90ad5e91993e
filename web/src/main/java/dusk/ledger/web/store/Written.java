package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.READINGS;
import static dusk.ledger.web.schema.Tables.STINTS;
import static dusk.ledger.web.schema.Tables.TRIPS;
import static dusk.ledger.web.schema.Tables.WRITTEN;
import static org.jooq.impl.DSL.max;

import dusk.ledger.stints.WaterYears;
import dusk.ledger.units.Temperature;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record1;
import org.jooq.TableField;
import org.jooq.impl.DSL;

/**
 * What was written since, as the store's triggers note it: whatever writes, by whatever way, cannot forget to say so.
 */
final class Written {
    /** Notes that are kept, of all clubs together; whoever is farther behind reads everything anew. */
    private static final int KEPT = 20_000;

    private static final int CHUNK = 500;

    /** The note whose id is the number up to which notes are gone. */
    private static final String FORGOTTEN = "forgotten";

    private Written() {}

    /**
     * @param stints ids of those that were written, or that stand on what was
     * @param waters ids of those whose temperatures were
     * @param seq of the last note
     */
    record Since(Set<String> stints, Set<String> waters, long seq) {}

    /** Number of the last note; 0 where there is none yet. */
    static long last(DSLContext read) {
        Long last = read.select(max(WRITTEN.SEQ)).from(WRITTEN).fetchOne(0, Long.class);
        return last == null ? 0 : last;
    }

    /** Number of the last note of any of some kinds of a club; 0 where none is known. */
    static long lastOf(DSLContext read, String clubId, List<String> kinds) {
        List<Field<Long>> lasts = Stream.concat(kinds.stream(), Stream.of("everything"))
                .map(kind -> DSL.field(DSL.select(max(WRITTEN.SEQ))
                        .from(WRITTEN)
                        .where(WRITTEN.CLUB_ID.eq(clubId))
                        .and(WRITTEN.KIND.eq(kind))))
                .toList();
        long last = 0;
        for (Object one : read.select(lasts).fetchSingle().intoList()) {
            last = Math.max(last, one == null ? 0 : (Long) one);
        }
        return last;
    }

    /** What was written after a note; nothing where it is not known any more, or too much to follow. */
    static Optional<Since> since(DSLContext read, String clubId, long seq, int most) {
        long last = last(read);
        if (last < seq || forgottenTo(read) > seq) {
            return Optional.empty();
        }
        List<Note> notes = read.selectDistinct(WRITTEN.KIND, WRITTEN.ID)
                .from(WRITTEN)
                .where(WRITTEN.CLUB_ID.eq(clubId))
                .and(WRITTEN.SEQ.gt(seq))
                .limit(most + 1)
                .fetch(r -> new Note(r.value1(), r.value2()));
        if (notes.size() > most || notes.stream().anyMatch(n -> n.kind().equals("everything"))) {
            return Optional.empty();
        }
        Set<String> stints = new HashSet<>(ids(notes, "stint"));
        stints.addAll(standingOn(read, clubId, STINTS.TRIP_ID, ids(notes, "trip")));
        stints.addAll(standingOn(read, clubId, STINTS.SETUP_ID, ids(notes, "setup")));
        stints.addAll(standingOn(read, clubId, STINTS.SPOT_ID, ids(notes, "spot")));
        stints.addAll(standingOn(read, clubId, STINTS.ROD_ID, ids(notes, "rod")));
        return stints.size() > most
                ? Optional.empty()
                : Optional.of(new Since(stints, Set.copyOf(ids(notes, "temperatures")), last));
    }

    private static long forgottenTo(DSLContext read) {
        Long to = read.select(WRITTEN.ID.cast(Long.class))
                .from(WRITTEN)
                .where(WRITTEN.CLUB_ID.eq(""))
                .and(WRITTEN.KIND.eq(FORGOTTEN))
                .fetchOne(0, Long.class);
        return to == null ? 0 : to;
    }

    private record Note(String kind, String id) {}

    private static List<String> ids(List<Note> notes, String kind) {
        return notes.stream().filter(n -> n.kind().equals(kind)).map(Note::id).toList();
    }

    private static List<String> standingOn(
            DSLContext read, String clubId, TableField<?, String> column, List<String> ids) {
        List<String> stints = new ArrayList<>();
        for (List<String> some : chunks(ids)) {
            stints.addAll(read.select(STINTS.STINT_ID)
                    .from(STINTS)
                    .where(STINTS.CLUB_ID.eq(clubId))
                    .and(column.in(some))
                    .fetch(Record1::value1));
        }
        return stints;
    }

    /** Parts that a statement takes at once. */
    static List<List<String>> chunks(Collection<String> ids) {
        List<String> all = ids.stream().sorted().toList();
        List<List<String>> chunks = new ArrayList<>();
        for (int from = 0; from < all.size(); from += CHUNK) {
            chunks.add(all.subList(from, Math.min(all.size(), from + CHUNK)));
        }
        return chunks;
    }

    /** Temperatures read on some waters, by all trips there, in the order of their ids. */
    static List<WaterYears.Read> temperatures(DSLContext read, Viewer viewer, Collection<String> waters) {
        return read
                .select(TRIPS.WATER_ID, READINGS.AT, READINGS.WATER_TEMP_C)
                .from(TRIPS)
                .join(READINGS)
                .on(READINGS.CLUB_ID.eq(TRIPS.CLUB_ID), READINGS.TRIP_ID.eq(TRIPS.TRIP_ID))
                .where(Visibility.of(viewer, TRIPS))
                .and(Visibility.of(viewer, READINGS))
                .and(TRIPS.WATER_ID.in(waters))
                .and(READINGS.WATER_TEMP_C.isNotNull())
                .orderBy(READINGS.READING_ID)
                .fetch()
                .stream()
                .flatMap(r ->
                        LedgerRows.sound(
                                () -> new WaterYears.Read(r.value1(), r.value2(), Temperature.ofCelsius(r.value3())))
                                .stream())
                .toList();
    }

    /** Says in one note that all of a club is to be read anew, instead of a note for each row that came in. */
    static void everything(DSLContext tx, String clubId) {
        tx.deleteFrom(WRITTEN).where(WRITTEN.CLUB_ID.eq(clubId)).execute();
        tx.insertInto(WRITTEN)
                .set(WRITTEN.CLUB_ID, clubId)
                .set(WRITTEN.KIND, "everything")
                .set(WRITTEN.ID, "")
                .execute();
    }

    /** Forgets all but the newest notes, but for those that say until when a whole kind stands as it is. */
    static void trim(DSLContext tx) {
        long to = last(tx) - KEPT;
        int forgotten = tx.deleteFrom(WRITTEN)
                .where(WRITTEN.SEQ.le(to))
                .and(WRITTEN.KIND.in("stint", "trip", "spot", "temperatures"))
                .execute();
        if (forgotten > 0) {
            tx.deleteFrom(WRITTEN).where(WRITTEN.KIND.eq(FORGOTTEN)).execute();
            tx.insertInto(WRITTEN)
                    .set(WRITTEN.CLUB_ID, "")
                    .set(WRITTEN.KIND, FORGOTTEN)
                    .set(WRITTEN.ID, Long.toString(to))
                    .execute();
        }
    }
}
