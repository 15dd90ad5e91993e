package dusk.ledger.web.records;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Viewer;
import java.time.format.DateTimeFormatter;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Names for ids, of what the viewer may see. */
@Component
public class ClubNames {
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

    private final LedgerRows rows;

    ClubNames(LedgerRows rows) {
        this.rows = rows;
    }

    public Map<String, String> anglers(Viewer viewer) {
        Map<String, String> names = new LinkedHashMap<>();
        for (Angler angler : rows.all(viewer, LedgerFormat.ANGLERS)) {
            names.put(angler.id(), angler.called());
        }
        return names;
    }

    public Map<String, String> waters(Viewer viewer) {
        return waterById(viewer).values().stream().collect(Collectors.toMap(Water::id, Water::name));
    }

    /** Some trips by date and water. */
    public Map<String, String> trips(Viewer viewer, Collection<String> ids) {
        Map<String, Water> waters = waterById(viewer);
        Map<String, String> names = new LinkedHashMap<>();
        for (Trip trip : rows.holdingAny(viewer, LedgerFormat.TRIPS, LedgerFormat.TRIPS.idColumn(), ids)) {
            Water water = waters.get(trip.waterId());
            names.put(
                    trip.id(),
                    water == null
                            ? trip.id()
                            : DATE.format(trip.startedAt().atZone(water.zone())) + ", " + water.name());
        }
        return names;
    }

    private Map<String, Water> waterById(Viewer viewer) {
        return rows.all(viewer, LedgerFormat.WATERS).stream().collect(Collectors.toMap(Water::id, Function.identity()));
    }
}
