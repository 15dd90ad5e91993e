package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.SETUPS;
import static dusk.ledger.web.schema.Tables.STINTS;
import static org.jooq.impl.DSL.count;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.sum;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;
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

        public Fished and(Fished other) {
            return new Fished(stints + other.stints, rodHours + other.rodHours);
        }
    }

    public List<SetUp> all(Viewer viewer) {
        return rows.all(viewer, LedgerFormat.SETUPS);
    }

    /** All of them, those fished last first. */
    public List<SetUp> lastFishedFirst(Viewer viewer) {
        Field<Instant> last = DSL.field(DSL.select(DSL.max(STINTS.STARTED_AT))
                .from(STINTS)
                .where(Visibility.of(viewer, STINTS))
                .and(STINTS.SETUP_ID.eq(SETUPS.SETUP_ID)));
        return rows.all(viewer, LedgerFormat.SETUPS, noCondition(), List.of(last.desc(), SETUPS.SETUP_ID.desc()));
    }

    /** Those of stints. */
    public List<SetUp> of(Viewer viewer, List<Stint> stints) {
        return of(viewer, stints.stream().map(Stint::setUpId).collect(Collectors.toSet()));
    }

    /** Those that came of a set-up by a change, and the one it came from. */
    public List<SetUp> kin(Viewer viewer, SetUp setUp) {
        return rows.all(
                viewer,
                LedgerFormat.SETUPS,
                SETUPS.FROM_SETUP_ID.eq(setUp.id()).or(SETUPS.SETUP_ID.eq(String.valueOf(setUp.fromSetUpId()))),
                List.of());
    }

    /** Those of these ids that the viewer may see. */
    public List<SetUp> of(Viewer viewer, Collection<String> ids) {
        return rows.all(viewer, LedgerFormat.SETUPS, SETUPS.SETUP_ID.in(ids), List.of());
    }

    public SetUp one(Viewer viewer, String id) {
        return rows.one(viewer, LedgerFormat.SETUPS, id).orElseThrow(NotYours::new);
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

    public String newId() {
        return newId.next();
    }

    /** Stores a new one. */
    public void add(Viewer viewer, SetUp setUp) {
        store.write(viewer.clubId(), tx -> insert(tx, viewer, setUp));
    }

    private SetUp insert(DSLContext tx, Viewer viewer, SetUp setUp) {
        rows.insert(tx, viewer.clubId(), LedgerFormat.SETUPS, setUp);
        tx.update(SETUPS)
                .set(SETUPS.MADE_BY, viewer.personId())
                .where(SETUPS.CLUB_ID.eq(viewer.clubId()))
                .and(SETUPS.SETUP_ID.eq(setUp.id()))
                .execute();
        return setUp;
    }

    /**
     * Stores a change: over one of the viewer's own that was never fished, else as a new one that knows which it came
     * from. The id of what is now the set-up.
     */
    public String change(Viewer viewer, SetUp before, SetUp after) {
        return store.write(viewer.clubId(), tx -> {
            boolean fished =
                    tx.fetchExists(STINTS, STINTS.CLUB_ID.eq(viewer.clubId()).and(STINTS.SETUP_ID.eq(before.id())));
            boolean own = tx.fetchExists(
                    SETUPS,
                    Visibility.of(viewer, SETUPS)
                            .and(SETUPS.SETUP_ID.eq(before.id()))
                            .and(Visibility.mayRewrite(viewer, SETUPS.MADE_BY)));
            if (!fished && own) {
                rows.update(tx, viewer.clubId(), LedgerFormat.SETUPS, after);
                return before.id();
            }
            Map<String, Object> names = Map.of("setup_id", newId.next(), "from_setup_id", before.id());
            return insert(tx, viewer, LedgerFormat.SETUPS.changed(after, names)).id();
        });
    }
}
