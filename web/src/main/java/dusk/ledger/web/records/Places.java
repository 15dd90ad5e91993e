package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.SPOTS;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Spot;
import dusk.ledger.units.Position;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Places on the club's waters, each as its viewer may see it. */
@Component
public class Places {
    private final LedgerRows rows;
    private final Store store;

    Places(LedgerRows rows, Store store) {
        this.rows = rows;
        this.store = store;
    }

    /** Of a water, by name; those without a name first. */
    public List<Spot> of(Viewer viewer, String waterId) {
        return rows.all(
                viewer,
                LedgerFormat.SPOTS,
                LedgerRows.holds(LedgerFormat.SPOTS, "water_id", waterId),
                List.of(SPOTS.LABEL.asc()));
    }

    /** A place, where it lies on a water. */
    public Optional<Spot> on(Viewer viewer, String waterId, String spotId) {
        return rows.one(viewer, LedgerFormat.SPOTS, spotId)
                .filter(spot -> spot.waterId().equals(waterId));
    }

    /** A new place; it is its maker's own until they share it. */
    public void add(Viewer viewer, Spot spot) {
        store.write(viewer.clubId(), tx -> {
            rows.insert(tx, viewer.clubId(), LedgerFormat.SPOTS, spot);
            return tx.update(SPOTS)
                    .set(SPOTS.SHARED, false)
                    .set(SPOTS.OWNER_ID, viewer.personId())
                    .where(SPOTS.CLUB_ID.eq(viewer.clubId()))
                    .and(SPOTS.SPOT_ID.eq(spot.id()))
                    .execute();
        });
    }

    /** Makes a place that all share its owner's own, and gives it its position. */
    public void keep(Viewer owner, String label, Position position) {
        String person = Optional.ofNullable(owner.personId()).orElseThrow(NotYours::new);
        store.write(
                owner.clubId(),
                tx -> tx.update(SPOTS)
                        .set(SPOTS.SHARED, false)
                        .set(SPOTS.OWNER_ID, person)
                        .set(SPOTS.LATITUDE, position.latitude())
                        .set(SPOTS.LONGITUDE, position.longitude())
                        .where(SPOTS.CLUB_ID.eq(owner.clubId()))
                        .and(SPOTS.LABEL.eq(label))
                        .execute());
    }
}
