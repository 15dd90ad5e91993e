package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.DROPS;
import static dusk.ledger.web.schema.Tables.SETUPS;
import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.select;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Drop;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Length;
import dusk.ledger.water.Calibration;
import dusk.ledger.water.Calibrations;
import dusk.ledger.water.Cast;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import dusk.ledger.web.store.Writing;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.springframework.stereotype.Component;

/** Drops that were counted: so many seconds to a depth on slack line. */
@Component
public class Drops {
    private static final String NONE = "none";

    private final Store store;
    private final LedgerRows rows;
    private final SetUps setUps;
    private final Deletions deletions;
    private final NewId newId;

    Drops(Store store, LedgerRows rows, SetUps setUps, Deletions deletions, NewId newId) {
        this.store = store;
        this.rows = rows;
        this.setUps = setUps;
        this.deletions = deletions;
        this.newId = newId;
    }

    /** All of a club, the newest first. */
    public List<Drop> all(Viewer viewer) {
        return where(viewer, noCondition());
    }

    private List<Drop> where(Viewer viewer, Condition which) {
        return rows.all(viewer, LedgerFormat.DROPS, which, List.of(DROPS.AT.desc(), DROPS.DROP_ID.asc()));
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

    private Calibrations calibrations(Viewer viewer, List<Drop> drops) {
        Map<String, SetUp> dropped = drops.isEmpty()
                ? Map.of()
                : setUps.of(viewer, drops.stream().map(Drop::setUpId).collect(Collectors.toSet())).stream()
                        .collect(Collectors.toMap(SetUp::id, Function.identity()));
        return Calibrations.of(drops.stream()
                .filter(noted -> dropped.containsKey(noted.setUpId()))
                .map(noted -> new Calibrations.Counted(
                        Objects.requireNonNull(dropped.get(noted.setUpId())), reckoned(noted), water(noted)))
                .toList());
    }

    /** As the reckoning takes it. */
    public static Calibration.Drop reckoned(Drop drop) {
        return new Calibration.Drop(drop.seconds(), drop.depth().metres());
    }

    /** Density of the water it fell in; fresh where that is not known. */
    public static double water(Drop drop) {
        return Cast.density(Boolean.TRUE.equals(drop.salt()));
    }

    private Drop drop(Viewer viewer, String setUpId, Instant at, Calibration.Drop counted, boolean salt) {
        return new Drop(
                newId.next(),
                setUpId,
                viewer.anglerId(),
                at,
                counted.seconds(),
                Length.ofMetres(counted.metres()),
                salt,
                null);
    }

    /** Notes one as part of an act. */
    public void note(Writing w, Viewer viewer, String setUpId, Instant at, Calibration.Drop counted, boolean salt) {
        w.insert(LedgerFormat.DROPS, drop(viewer, setUpId, at, counted, salt));
    }

    /** Notes one. */
    public void add(Viewer viewer, String setUpId, Instant at, Calibration.Drop counted, boolean salt) {
        Drop drop = drop(viewer, setUpId, at, counted, salt);
        store.write(viewer.clubId(), tx -> {
            rows.insert(tx, viewer.clubId(), LedgerFormat.DROPS, drop);
            return drop;
        });
    }

    /** Strikes one out; the id of the deletion that can be undone. Whoever counted it may, and an officer. */
    public String strike(Viewer viewer, Drop drop, String what) {
        return deletions.drop(viewer, drop.id(), what);
    }

    public static boolean mayStrike(Viewer viewer, Drop drop) {
        return viewer.officer() || (drop.anglerId() != null && drop.anglerId().equals(viewer.anglerId()));
    }
}
