package dusk.ledger.web.tackle;

import static dusk.ledger.web.schema.Tables.SETUPS;
import static dusk.ledger.web.schema.Tables.STINTS;
import static org.jooq.impl.DSL.count;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.sum;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.SetUp;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;

/** The club's set-ups in the store. */
@Component
public class SetUps {
    private static final double MINUTES_PER_HOUR = 60;

    private final LedgerRows rows;
    private final Store store;
    private final NewId newId;

    SetUps(LedgerRows rows, Store store, NewId newId) {
        this.rows = rows;
        this.store = store;
        this.newId = newId;
    }

    /** Fishing that a set-up has seen. */
    public record Fished(long stints, double rodHours) {
        public static final Fished NEVER = new Fished(0, 0);

        Fished and(Fished other) {
            return new Fished(stints + other.stints, rodHours + other.rodHours);
        }
    }

    public List<SetUp> all(Viewer viewer) {
        return rows.all(viewer, Tables.SETUPS, noCondition(), List.of());
    }

    /** Those of these ids that the viewer may see. */
    List<SetUp> of(Viewer viewer, Collection<String> ids) {
        return rows.all(viewer, Tables.SETUPS, SETUPS.SETUP_ID.in(ids), List.of());
    }

    SetUp one(Viewer viewer, String id) {
        return rows.one(viewer, Tables.SETUPS, id).orElseThrow(NotYours::new);
    }

    /** By set-up; those never fished are not in it. */
    public Map<String, Fished> fished(Viewer viewer) {
        Map<String, Fished> fished = new HashMap<>();
        store.read()
                .select(STINTS.SETUP_ID, count(), sum(STINTS.MINUTES))
                .from(STINTS)
                .where(Visibility.of(viewer, STINTS))
                .groupBy(STINTS.SETUP_ID)
                .forEach(r -> fished.put(
                        r.value1(),
                        new Fished(
                                r.value2(), Objects.requireNonNull(r.value3()).doubleValue() / MINUTES_PER_HOUR)));
        return fished;
    }

    String newId() {
        return newId.next();
    }

    /** Stores a new one. */
    void add(Viewer viewer, SetUp setUp) {
        store.write(viewer.clubId(), tx -> {
            rows.insert(tx, viewer.clubId(), Tables.SETUPS, setUp);
            return setUp;
        });
    }

    /** Stores a change: over one that was never fished, else as a new one that knows which it came from. The id of what is now the set-up. */
    String change(Viewer viewer, SetUp before, SetUp after) {
        return store.write(viewer.clubId(), tx -> {
            boolean fished =
                    tx.fetchExists(STINTS, STINTS.CLUB_ID.eq(viewer.clubId()).and(STINTS.SETUP_ID.eq(before.id())));
            if (!fished) {
                rows.update(tx, viewer.clubId(), Tables.SETUPS, after);
                return before.id();
            }
            Map<String, Object> names = Map.of("setup_id", newId.next(), "from_setup_id", before.id());
            SetUp made = Tables.SETUPS.changed(after, names);
            rows.insert(tx, viewer.clubId(), Tables.SETUPS, made);
            return made.id();
        });
    }
}
