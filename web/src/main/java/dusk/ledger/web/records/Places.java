package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.SPOTS;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Spot;
import dusk.ledger.units.Position;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Trail;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Places on the club's waters, each as its viewer may see it. */
@Component
public class Places {
    private final LedgerRows rows;
    private final Trail trail;
    private final Store store;

    Places(LedgerRows rows, Trail trail, Store store) {
        this.rows = rows;
        this.trail = trail;
        this.store = store;
    }

    /** Of a water, by name as the viewer sees it, those without one first: an order by what is hidden would tell it. */
    public List<Spot> of(Viewer viewer, String waterId) {
        return rows.all(
                viewer,
                LedgerFormat.SPOTS,
                LedgerRows.holds(LedgerFormat.SPOTS, "water_id", waterId),
                List.of(Visibility.shown(viewer, SPOTS.LABEL).asc(), SPOTS.SPOT_ID.asc()));
    }

    /** A place of the club. */
    public Optional<Spot> one(Viewer viewer, String spotId) {
        return rows.one(viewer, LedgerFormat.SPOTS, spotId);
    }

    /** A place, where it lies on a water. */
    public Optional<Spot> on(Viewer viewer, String waterId, String spotId) {
        return one(viewer, spotId).filter(spot -> spot.waterId().equals(waterId));
    }

    /** A new place; it is its maker's own until they share it. */
    public void add(Viewer viewer, Spot spot) {
        store.write(viewer.clubId(), tx -> {
            rows.insert(tx, viewer.clubId(), LedgerFormat.SPOTS, keptBy(viewer, spot));
            return spot;
        });
    }

    /** The same for several, all or none of them. */
    public void addAll(Viewer viewer, List<Spot> spots) {
        store.write(viewer.clubId(), tx -> {
            spots.forEach(spot -> add(viewer, spot));
            return spots;
        });
    }

    /** Whether the viewer may change it: whoever keeps it, of one that all share an officer. */
    public static boolean mayChange(Viewer viewer, Spot spot) {
        return spot.keptBy() == null ? viewer.officer() : spot.keptBy().equals(viewer.anglerId());
    }

    /**
     * Writes a place over the one with its id.
     *
     * @throws NotYours where the viewer may not change it
     */
    public void change(Viewer viewer, Spot spot) {
        store.write(viewer.clubId(), tx -> {
            if (one(viewer, spot.id()).filter(s -> mayChange(viewer, s)).isEmpty()) {
                throw new NotYours();
            }
            trail.update(tx, viewer, LedgerFormat.SPOTS, spot);
            return spot;
        });
    }

    /** The place as its maker's own. */
    static Spot keptBy(Viewer maker, Spot spot) {
        return LedgerFormat.SPOTS.changed(spot, Map.of("kept_by", angler(maker)));
    }

    private static String angler(Viewer viewer) {
        return Optional.ofNullable(viewer.anglerId()).orElseThrow(NotYours::new);
    }

    /** Makes a place that all share its owner's own, and gives it its position. */
    public void keep(Viewer owner, String label, Position position) {
        store.write(
                owner.clubId(),
                tx -> tx.update(SPOTS)
                        .set(SPOTS.KEPT_BY, angler(owner))
                        .set(SPOTS.LATITUDE, position.latitude())
                        .set(SPOTS.LONGITUDE, position.longitude())
                        .where(SPOTS.CLUB_ID.eq(owner.clubId()))
                        .and(SPOTS.LABEL.eq(label))
                        .execute());
    }
}
