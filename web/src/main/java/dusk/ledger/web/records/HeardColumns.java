package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.HEARD;

import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.time.Instant;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Of which columns of a trip's readings an instrument was heard last, and when. */
@Component
public class HeardColumns {
    private final Store store;

    HeardColumns(Store store) {
        this.store = store;
    }

    /** @param by name of the instrument */
    public record Note(Instant at, String by) {}

    public Map<String, Note> of(Viewer viewer, String tripId) {
        return store.read()
                .select(HEARD.COLUMN_NAME, HEARD.HEARD_AT, HEARD.BY_NAME)
                .from(HEARD)
                .where(Visibility.of(viewer, HEARD))
                .and(HEARD.TRIP_ID.eq(tripId))
                .fetchMap(HEARD.COLUMN_NAME, r -> new Note(r.value2(), r.value3()));
    }

    /** Notes them, over what was heard before. */
    public void note(Viewer viewer, String tripId, Map<String, Note> notes) {
        store.writeApart(tx -> {
            notes.forEach((column, note) -> tx.insertInto(HEARD)
                    .set(HEARD.CLUB_ID, viewer.clubId())
                    .set(HEARD.TRIP_ID, tripId)
                    .set(HEARD.COLUMN_NAME, column)
                    .set(HEARD.HEARD_AT, note.at())
                    .set(HEARD.BY_NAME, note.by())
                    .onConflict(HEARD.CLUB_ID, HEARD.TRIP_ID, HEARD.COLUMN_NAME)
                    .doUpdate()
                    .set(HEARD.HEARD_AT, note.at())
                    .set(HEARD.BY_NAME, note.by())
                    .execute());
            return notes.size();
        });
    }
}
