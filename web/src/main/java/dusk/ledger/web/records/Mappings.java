package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.MAPPINGS;

import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Component;

/** How a club's spreadsheets are understood, kept by name, for the next of the same habit. */
@Component
public class Mappings {
    private final Store store;
    private final NewId newId;
    private final Clock clock;

    Mappings(Store store, NewId newId, Clock clock) {
        this.store = store;
        this.newId = newId;
        this.clock = clock;
    }

    /**
     * One of them.
     *
     * @param body as {@code MappingFile} writes it
     */
    public record Named(String id, String name, String body) {}

    /** All of a club, by name. */
    public List<Named> all(Viewer viewer) {
        return store.read()
                .select(MAPPINGS.MAPPING_ID, MAPPINGS.NAME, MAPPINGS.BODY)
                .from(MAPPINGS)
                .where(Visibility.of(viewer, MAPPINGS))
                .orderBy(MAPPINGS.NAME)
                .fetch(r -> new Named(r.value1(), r.value2(), r.value3()));
    }

    /** @throws NotYours where the club has none of this id */
    public Named one(Viewer viewer, String id) {
        return all(viewer).stream().filter(m -> m.id().equals(id)).findFirst().orElseThrow(NotYours::new);
    }

    /** Keeps one, in place of the one of the same name. */
    public void keep(Viewer viewer, String name, String body) {
        store.writeApart(tx -> tx.insertInto(MAPPINGS)
                .set(MAPPINGS.CLUB_ID, viewer.clubId())
                .set(MAPPINGS.MAPPING_ID, newId.next())
                .set(MAPPINGS.NAME, name)
                .set(MAPPINGS.BODY, body)
                .set(MAPPINGS.MADE_BY, viewer.personId())
                .set(MAPPINGS.MADE_AT, clock.instant())
                .onConflict(MAPPINGS.CLUB_ID, MAPPINGS.NAME)
                .doUpdate()
                .set(MAPPINGS.BODY, body)
                .execute());
    }
}
