package dusk.ledger.web.records;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Rod;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.util.List;
import org.springframework.stereotype.Component;

/** The club's rods. */
@Component
public class Rods {
    private final LedgerRows rows;
    private final Store store;

    Rods(LedgerRows rows, Store store) {
        this.rows = rows;
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
            return rod;
        });
    }

    /** Writes a rod over the one with its id. */
    public void change(Viewer viewer, Rod rod) {
        store.write(viewer.clubId(), tx -> {
            rows.update(tx, viewer.clubId(), LedgerFormat.RODS, rod);
            return rod;
        });
    }
}
