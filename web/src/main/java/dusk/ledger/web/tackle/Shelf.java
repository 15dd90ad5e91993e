package dusk.ledger.web.tackle;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.NearDuplicates;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.Kept;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** A club's set-ups as they lie in the box, put in order once for as long as none of them is written. */
@Component
class Shelf {
    private final SetUps setUps;
    private final Kept<Map<String, List<Alike>>> shelves;
    private final Kept<List<NearDuplicates.Pair>> pairs;

    Shelf(SetUps setUps, Store store) {
        this.setUps = setUps;
        shelves = new Kept<>(store, Kept.Kind.SETUP);
        pairs = new Kept<>(store, Kept.Kind.SETUP);
    }

    /** Set-ups alike in everything stand as one: they are one thing in the box, however often the way there differed. */
    record Alike(List<SetUp> same) {
        SetUp first() {
            return same.get(0);
        }

        SetUps.Fished fished(Map<String, SetUps.Fished> by) {
            return same.stream()
                    .map(s -> by.getOrDefault(s.id(), SetUps.Fished.NEVER))
                    .reduce(SetUps.Fished.NEVER, SetUps.Fished::and);
        }
    }

    /** By rig. */
    Map<String, List<Alike>> byRig(Viewer viewer) {
        return shelves.of(viewer, "by rig", () -> byRig(setUps.all(viewer)));
    }

    /** Those of a rig that are hardly told apart. */
    List<NearDuplicates.Pair> pairs(Viewer viewer, String rig) {
        return pairs.of(
                viewer,
                rig,
                () -> NearDuplicates.among(setUps.all(viewer).stream()
                        .filter(s -> s.rig().equals(rig))
                        .toList()));
    }

    private static Map<String, List<Alike>> byRig(List<SetUp> all) {
        Map<List<@Nullable Object>, List<SetUp>> same = new LinkedHashMap<>();
        for (SetUp setUp : all) {
            List<@Nullable Object> fields = new ArrayList<>();
            for (FileColumn<SetUp> column : LedgerFormat.SETUPS
                    .columns()
                    .subList(2, LedgerFormat.SETUPS.columns().size())) {
                fields.add(column.value().apply(setUp));
            }
            same.computeIfAbsent(fields, f -> new ArrayList<>()).add(setUp);
        }
        Map<String, List<Alike>> byRig = new TreeMap<>();
        same.values()
                .forEach(list -> byRig.computeIfAbsent(list.get(0).rig(), r -> new ArrayList<>())
                        .add(new Alike(List.copyOf(list))));
        return byRig;
    }
}
