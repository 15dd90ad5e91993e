package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.WATERS;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Position;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Trail;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Field;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The club's waters. */
@Component
public class Waters {
    private final LedgerRows rows;
    private final Store store;
    private final Trail trail;

    Waters(LedgerRows rows, Store store, Trail trail) {
        this.rows = rows;
        this.store = store;
        this.trail = trail;
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

    /** Writes a water over the one with its id. */
    public void change(Viewer viewer, Water water) {
        store.write(viewer.clubId(), tx -> {
            trail.update(tx, viewer, LedgerFormat.WATERS, water);
            return water;
        });
    }

    /** The bank of a water, line by line; none where nobody brought one. */
    public List<List<Position>> outline(Viewer viewer, String waterId) {
        String stored = store.read()
                .select(WATERS.OUTLINE)
                .from(WATERS)
                .where(Visibility.of(viewer, WATERS))
                .and(WATERS.WATER_ID.eq(waterId))
                .fetchOne(WATERS.OUTLINE);
        List<List<Position>> lines = new ArrayList<>();
        if (stored != null) {
            for (JsonNode line : JsonMapper.shared().readTree(stored).path("coordinates")) {
                List<Position> positions = new ArrayList<>();
                line.forEach(at -> positions.add(
                        new Position(at.path(1).doubleValue(), at.path(0).doubleValue())));
                lines.add(positions);
            }
        }
        return lines;
    }

    /** @param geoJson a geometry of lines; null for no bank any more */
    public void outline(Viewer viewer, String waterId, @Nullable String geoJson) {
        store.write(viewer.clubId(), tx -> {
            Map<Field<?>, @Nullable Object> bank = new HashMap<>();
            bank.put(WATERS.OUTLINE, geoJson);
            trail.update(tx, viewer, LedgerFormat.WATERS, waterId, bank);
            return waterId;
        });
    }

    public void add(Viewer viewer, Water water) {
        store.write(viewer.clubId(), tx -> {
            rows.insert(tx, viewer.clubId(), LedgerFormat.WATERS, water);
            return water;
        });
    }
}
