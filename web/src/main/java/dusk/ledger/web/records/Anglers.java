package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.ANGLERS;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Angler;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** Those who fish in the club's records. */
@Component
public class Anglers {
    private final LedgerRows rows;
    private final Store store;
    private final RecentTables tables;
    private final Cache<StintTable, Map<String, Map<String, Integer>>> companions =
            Caffeine.newBuilder().weakKeys().build();
    private final NewId newId;

    Anglers(LedgerRows rows, Store store, RecentTables tables, NewId newId) {
        this.tables = tables;
        this.rows = rows;
        this.store = store;
        this.newId = newId;
    }

    /** All of them, by name. */
    public List<Angler> all(Viewer viewer) {
        return rows.all(viewer, LedgerFormat.ANGLERS, "name");
    }

    /**
     * All of them, those likely to be meant first: the viewer, guests they brought, and those they fish with most; the rest by
     * name.
     *
     * @param enough where there are no more, all are by name: a list that is seen whole is read by name
     */
    public List<Angler> likelyFirst(Viewer viewer, int enough) {
        List<Angler> all = all(viewer);
        if (all.size() <= enough) {
            return all;
        }
        Map<String, Integer> with = companions(viewer);
        Set<String> own = new HashSet<>();
        store.read()
                .select(ANGLERS.ANGLER_ID)
                .from(ANGLERS)
                .where(Visibility.of(viewer, ANGLERS))
                .and(Visibility.mayLogFor(viewer))
                .forEach(r -> own.add(r.value1()));
        return all.stream()
                .sorted(Comparator.comparing((Angler a) -> !own.contains(a.id()))
                        .thenComparingInt(a -> -with.getOrDefault(a.id(), 0)))
                .toList();
    }

    /** How many stints each fished on trips that the viewer was on, by what the findings' table holds. */
    private Map<String, Integer> companions(Viewer viewer) {
        StintTable table = tables.forOrder(viewer);
        String angler = String.valueOf(viewer.anglerId());
        return Objects.requireNonNull(companions.get(table, t -> new ConcurrentHashMap<>()))
                .computeIfAbsent(angler, id -> companions(table, id));
    }

    private static Map<String, Integer> companions(StintTable table, String angler) {
        Codes anglers = table.codes(Factor.ANGLER);
        Codes trips = table.codes(Factor.TRIP);
        BitSet own = new BitSet();
        int self = anglers.codeOf(angler);
        for (int row = 0; row < table.size(); row++) {
            if (anglers.at(row) == self) {
                own.set(trips.at(row));
            }
        }
        Map<String, Integer> with = new HashMap<>();
        for (int row = 0; row < table.size(); row++) {
            if (own.get(trips.at(row))) {
                with.merge(anglers.level(row), 1, Integer::sum);
            }
        }
        return with;
    }

    /** @throws NotYours where the viewer may not see them */
    public Angler one(Viewer viewer, String anglerId) {
        return rows.one(viewer, LedgerFormat.ANGLERS, anglerId).orElseThrow(NotYours::new);
    }

    /** Whose records stay in the club without a name. */
    void forgetName(Viewer viewer, String anglerId) {
        store.write(viewer.clubId(), tx -> {
            rows.update(tx, viewer, LedgerFormat.ANGLERS, new Angler(anglerId, null));
            return anglerId;
        });
    }

    /** Somebody new in the records; their id. */
    String add(Viewer viewer, String name) {
        return store.write(viewer.clubId(), tx -> {
            Angler made = new Angler(newId.next(), name);
            rows.insert(tx, viewer.clubId(), LedgerFormat.ANGLERS, made);
            return made.id();
        });
    }
}
