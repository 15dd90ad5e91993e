package dusk.ledger.web.records;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.util.List;
import java.util.Optional;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Component;

/** The club's waters. */
@Component
public class Waters {
    private final LedgerRows rows;
    private final Store store;

    Waters(LedgerRows rows, Store store) {
        this.rows = rows;
        this.store = store;
    }

    /** All of them, by name. */
    public List<Water> all(Viewer viewer) {
        return rows.all(viewer, LedgerFormat.WATERS, "name");
    }

    /** All of them, in the order of the ids. */
    public List<Water> byId(Viewer viewer) {
        return rows.all(viewer, LedgerFormat.WATERS);
    }

    /** @throws NotYours where the viewer may not see it */
    public Water one(Viewer viewer, String waterId) {
        return rows.one(viewer, LedgerFormat.WATERS, waterId).orElseThrow(NotYours::new);
    }

    /** The water of the trip that began last; else the first water there is. */
    public Optional<Water> home(Viewer viewer) {
        return last(viewer)
                .flatMap(id -> rows.one(viewer, LedgerFormat.WATERS, id))
                .or(() -> all(viewer).stream().findFirst());
    }

    /** The id of the water of the trip that began last. */
    private Optional<String> last(Viewer viewer) {
        return rows
                .all(
                        viewer,
                        LedgerFormat.TRIPS,
                        DSL.noCondition(),
                        List.of(dusk.ledger.web.schema.Tables.TRIPS.STARTED_AT.desc()),
                        1)
                .stream()
                .map(Trip::waterId)
                .findFirst();
    }

    public void add(Viewer viewer, Water water) {
        store.write(viewer.clubId(), tx -> {
            rows.insert(tx, viewer.clubId(), LedgerFormat.WATERS, water);
            return water;
        });
    }
}
