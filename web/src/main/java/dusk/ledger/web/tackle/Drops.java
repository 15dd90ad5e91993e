package dusk.ledger.web.tackle;

import static dusk.ledger.web.schema.Tables.DROPS;

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
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jooq.Field;
import org.springframework.stereotype.Component;

/** Drops that were counted: so many seconds to a depth on slack line. */
@Component
public class Drops {
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
    record Noted(String id, String setUpId, String personId, Instant at, double seconds, Length depth, boolean salt) {
        double water() {
            return density(salt);
        }

        Calibration.Drop drop() {
            return new Calibration.Drop(seconds, depth.metres());
        }
    }

    /** kg/m3 of sea water, or of fresh. */
    public static double density(boolean salt) {
        return salt ? Cast.SALT : Cast.FRESH;
    }

    /** All of a club, the newest first. */
    List<Noted> all(Viewer viewer) {
        return store.read()
                .selectFrom(DROPS)
                .where(Visibility.of(viewer, DROPS))
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
        List<Noted> all = all(viewer);
        Map<String, SetUp> dropped = all.isEmpty()
                ? Map.of()
                : setUps.of(viewer, all.stream().map(Noted::setUpId).collect(Collectors.toSet())).stream()
                        .collect(Collectors.toMap(SetUp::id, Function.identity()));
        return Calibrations.of(all.stream()
                .filter(noted -> dropped.containsKey(noted.setUpId()))
                .map(noted -> new Calibrations.Counted(
                        Objects.requireNonNull(dropped.get(noted.setUpId())), noted.drop(), noted.water()))
                .toList());
    }

    /** The row of a new drop, for whoever writes it. */
    public Map<Field<?>, Object> row(Viewer viewer, String setUpId, Instant at, Calibration.Drop drop, boolean salt) {
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

    void add(Viewer viewer, String setUpId, Instant at, Calibration.Drop drop, boolean salt) {
        Map<Field<?>, Object> row = row(viewer, setUpId, at, drop, salt);
        row.put(DROPS.CLUB_ID, viewer.clubId());
        store.write(viewer.clubId(), tx -> tx.insertInto(DROPS).set(row).execute());
    }

    /** Strikes one out; the id of the deletion that can be undone. Whoever counted it may, and an officer. */
    String strike(Viewer viewer, Noted drop, String what) {
        return deletions.drop(viewer, drop.id(), what);
    }

    static boolean mayStrike(Viewer viewer, Noted drop) {
        return viewer.officer() || drop.personId().equals(viewer.personId());
    }
}
