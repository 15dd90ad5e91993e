package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.DROPS;
import static dusk.ledger.web.schema.Tables.SETUPS;
import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.select;

import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Length;
import dusk.ledger.water.Calibration;
import dusk.ledger.water.Calibrations;
import dusk.ledger.water.Cast;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import dusk.ledger.web.store.Writing;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.Field;
import org.springframework.stereotype.Component;

/** Drops that were counted: so many seconds to a depth on slack line. */
@Component
public class Drops {
    private static final String NONE = "none";

    private final Store store;
    private final SetUps setUps;
    private final Deletions deletions;
    private final NewId newId;

    Drops(Store store, SetUps setUps, Deletions deletions, NewId newId) {
        this.store = store;
        this.setUps = setUps;
        this.deletions = deletions;
        this.newId = newId;
    }

    /** A drop as stored. */
    public record Noted(
            String id, String setUpId, String personId, Instant at, double seconds, Length depth, boolean salt) {
        public double water() {
            return Cast.density(salt);
        }

        public Calibration.Drop drop() {
            return new Calibration.Drop(seconds, depth.metres());
        }
    }

    /** All of a club, the newest first. */
    public List<Noted> all(Viewer viewer) {
        return where(viewer, noCondition());
    }

    private List<Noted> where(Viewer viewer, Condition which) {
        return store.read()
                .selectFrom(DROPS)
                .where(Visibility.of(viewer, DROPS))
                .and(which)
                .orderBy(DROPS.COUNTED_AT.desc(), DROPS.DROP_ID)
                .fetch(r -> new Noted(
                        r.getDropId(),
                        r.getSetupId(),
                        r.getPersonId(),
                        r.getCountedAt(),
                        r.getSeconds(),
                        Length.ofMetres(r.getDepthM()),
                        r.getSalt()));
    }

    /** What they say of the club's set-ups. */
    public Calibrations calibrations(Viewer viewer) {
        return calibrations(viewer, all(viewer));
    }

    /** What they say of one set-up: its own drops and those of others with its plastic, which alone bear on it. */
    public Calibrations calibrations(Viewer viewer, SetUp of) {
        String plastic = of.plastic() == null ? NONE : of.plastic();
        return calibrations(
                viewer,
                where(
                        viewer,
                        DROPS.SETUP_ID.in(select(SETUPS.SETUP_ID)
                                .from(SETUPS)
                                .where(Visibility.of(viewer, SETUPS))
                                .and(coalesce(SETUPS.PLASTIC, NONE).eq(plastic)))));
    }

    private Calibrations calibrations(Viewer viewer, List<Noted> drops) {
        Map<String, SetUp> dropped = drops.isEmpty()
                ? Map.of()
                : setUps.of(viewer, drops.stream().map(Noted::setUpId).collect(Collectors.toSet())).stream()
                        .collect(Collectors.toMap(SetUp::id, Function.identity()));
        return Calibrations.of(drops.stream()
                .filter(noted -> dropped.containsKey(noted.setUpId()))
                .map(noted -> new Calibrations.Counted(
                        Objects.requireNonNull(dropped.get(noted.setUpId())), noted.drop(), noted.water()))
                .toList());
    }

    private Map<Field<?>, Object> row(Viewer viewer, String setUpId, Instant at, Calibration.Drop drop, boolean salt) {
        Map<Field<?>, Object> row = new HashMap<>();
        row.put(DROPS.DROP_ID, newId.next());
        row.put(DROPS.SETUP_ID, setUpId);
        row.put(DROPS.PERSON_ID, Objects.requireNonNull(viewer.personId(), "only a person counts"));
        row.put(DROPS.COUNTED_AT, at);
        row.put(DROPS.SECONDS, drop.seconds());
        row.put(DROPS.DEPTH_M, drop.metres());
        row.put(DROPS.SALT, salt);
        return row;
    }

    /** Notes one as part of an act. */
    public void note(Writing w, Viewer viewer, String setUpId, Instant at, Calibration.Drop drop, boolean salt) {
        w.insert(DROPS, row(viewer, setUpId, at, drop, salt));
    }

    /** Notes one. */
    public void add(Viewer viewer, String setUpId, Instant at, Calibration.Drop drop, boolean salt) {
        Map<Field<?>, Object> row = row(viewer, setUpId, at, drop, salt);
        row.put(DROPS.CLUB_ID, viewer.clubId());
        store.write(viewer.clubId(), tx -> tx.insertInto(DROPS).set(row).execute());
    }

    /** Strikes one out; the id of the deletion that can be undone. Whoever counted it may, and an officer. */
    public String strike(Viewer viewer, Noted drop, String what) {
        return deletions.drop(viewer, drop.id(), what);
    }

    public static boolean mayStrike(Viewer viewer, Noted drop) {
        return viewer.officer() || drop.personId().equals(viewer.personId());
    }
}
