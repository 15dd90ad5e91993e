package dusk.ledger.web.records;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Angler;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.util.List;
import org.springframework.stereotype.Component;

/** Those who fish in the club's records. */
@Component
public class Anglers {
    private final LedgerRows rows;
    private final Store store;
    private final NewId newId;

    Anglers(LedgerRows rows, Store store, NewId newId) {
        this.rows = rows;
        this.store = store;
        this.newId = newId;
    }

    /** All of them, by name. */
    public List<Angler> all(Viewer viewer) {
        return rows.all(viewer, LedgerFormat.ANGLERS, "name");
    }

    /** @throws NotYours where the viewer may not see them */
    public Angler one(Viewer viewer, String anglerId) {
        return rows.one(viewer, LedgerFormat.ANGLERS, anglerId).orElseThrow(NotYours::new);
    }

    /** Somebody new in the records; their id. */
    String add(Viewer viewer, String name) {
        return store.write(viewer.clubId(), tx -> {
            Angler made = new Angler(newId.next(), name);
            rows.insert(tx, viewer.clubId(), LedgerFormat.ANGLERS, made);
            return made.id();
        });
    }
}
