package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.RODS;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Rod;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Trail;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;

/** The club's rods. */
@Component
public class Rods {
    private final LedgerRows rows;
    private final Trail trail;
    private final Store store;

    Rods(LedgerRows rows, Trail trail, Store store) {
        this.rows = rows;
        this.trail = trail;
        this.store = store;
    }

    /** All of them, by name. */
    public List<Rod> all(Viewer viewer) {
        return rows.all(viewer, LedgerFormat.RODS, "name");
    }

    /** @throws NotYours where the viewer may not see it */
    public Rod one(Viewer viewer, String rodId) {
        return rows.one(viewer, LedgerFormat.RODS, rodId).orElseThrow(NotYours::new);
    }

    public void add(Viewer viewer, Rod rod) {
        store.write(viewer.clubId(), tx -> {
            rows.insert(tx, viewer.clubId(), LedgerFormat.RODS, rod);
            tx.update(RODS)
                    .set(RODS.MADE_BY, viewer.personId())
                    .where(RODS.CLUB_ID.eq(viewer.clubId()))
                    .and(RODS.ROD_ID.eq(rod.id()))
                    .execute();
            return rod;
        });
    }

    /** Ids of the rods that the viewer may change: those they entered; an officer, all. */
    public Set<String> changeable(Viewer viewer) {
        return store.read()
                .select(RODS.ROD_ID)
                .from(RODS)
                .where(Visibility.of(viewer, RODS))
                .and(Visibility.mayRewrite(viewer, RODS.MADE_BY))
                .fetchSet(RODS.ROD_ID);
    }

    /**
     * Writes a rod over the one with its id.
     *
     * @throws NotYours where the viewer may not change it
     */
    public void change(Viewer viewer, Rod rod) {
        store.write(viewer.clubId(), tx -> {
            if (!changeable(viewer).contains(rod.id())) {
                throw new NotYours();
            }
            trail.update(tx, viewer, LedgerFormat.RODS, rod);
            return rod;
        });
    }
}
