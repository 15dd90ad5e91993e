package dusk.ledger.web.findings;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.web.frame.Horizon;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Viewer;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Component;

/** Names for ids, of what the viewer may see. */
@Component
class ClubNames {
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

    private final LedgerRows rows;

    ClubNames(LedgerRows rows) {
        this.rows = rows;
    }

    Map<String, String> anglers(Viewer viewer) {
        Map<String, String> names = new LinkedHashMap<>();
        for (Angler angler : rows.all(viewer, Tables.ANGLERS, DSL.noCondition(), List.of())) {
            names.put(angler.id(), angler.called());
        }
        return names;
    }

    Map<String, String> waters(Viewer viewer) {
        return waterById(viewer).values().stream().collect(Collectors.toMap(Water::id, Water::name));
    }

    /** Trips by date and water. */
    Map<String, String> trips(Viewer viewer) {
        Map<String, Water> waters = waterById(viewer);
        Map<String, String> names = new LinkedHashMap<>();
        for (Trip trip : rows.all(viewer, Tables.TRIPS, DSL.noCondition(), List.of())) {
            Water water = waters.get(trip.waterId());
            names.put(
                    trip.id(),
                    water == null
                            ? trip.id()
                            : DATE.format(trip.startedAt().atZone(Horizon.zone(water))) + ", " + water.name());
        }
        return names;
    }

    private Map<String, Water> waterById(Viewer viewer) {
        return rows.all(viewer, Tables.WATERS, DSL.noCondition(), List.of()).stream()
                .collect(Collectors.toMap(Water::id, Function.identity()));
    }
}
