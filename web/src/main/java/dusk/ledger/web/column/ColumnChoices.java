package dusk.ledger.web.column;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Tied;
import dusk.ledger.web.frame.FormField;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.tackle.SetUpWords;
import dusk.ledger.web.tackle.SetUps;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the bench offers to choose from: the club's set-ups, those most fished first, and its rods. */
@Component
class ColumnChoices {
    private final SetUps setUps;
    private final LedgerRows rows;

    ColumnChoices(SetUps setUps, LedgerRows rows) {
        this.setUps = setUps;
        this.rows = rows;
    }

    /** Every set-up by its id, those most fished first. */
    Map<String, SetUp> setUps(Viewer viewer) {
        Map<String, SetUps.Fished> fished = setUps.fished(viewer);
        Map<String, SetUp> byId = new LinkedHashMap<>();
        setUps.all(viewer).stream()
                .sorted(Comparator.comparingDouble((SetUp s) -> -fished.getOrDefault(s.id(), SetUps.Fished.NEVER)
                                .rodHours())
                        .thenComparing(SetUp::id))
                .forEach(s -> byId.put(s.id(), s));
        return byId;
    }

    /** The one most fished whose fall can be told. */
    static @Nullable SetUp usual(Map<String, SetUp> setUps) {
        return setUps.values().stream()
                .filter(s -> Tied.of(s) instanceof Tied.Known)
                .findFirst()
                .orElse(null);
    }

    /** By rig; of those that read alike only the first, or the one that is chosen. */
    static List<FormField.Group> groups(Map<String, SetUp> setUps, UnitSystem units, Set<String> chosen) {
        Map<String, List<FormField.Option>> byRig = new TreeMap<>();
        Set<String> said = new LinkedHashSet<>();
        for (SetUp setUp : setUps.values()) {
            String words = SetUpWords.of(setUp, units);
            if (said.add(words) || chosen.contains(setUp.id())) {
                byRig.computeIfAbsent(setUp.rig(), r -> new ArrayList<>()).add(new FormField.Option(setUp.id(), words));
            }
        }
        return byRig.entrySet().stream()
                .map(e -> new FormField.Group(e.getKey(), e.getValue()))
                .toList();
    }

    Map<String, Rod> rods(Viewer viewer) {
        Map<String, Rod> byId = new LinkedHashMap<>();
        rows.all(
                        viewer,
                        Tables.RODS,
                        DSL.noCondition(),
                        List.of(DSL.field("name").asc(), DSL.field("rod_id").asc()))
                .forEach(r -> byId.put(r.id(), r));
        return byId;
    }
}
