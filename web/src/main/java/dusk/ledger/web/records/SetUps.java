package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.SETUPS;
import static dusk.ledger.web.schema.Tables.STINTS;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.web.store.Kept;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Trail;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;

/** The club's set-ups in the store. */
@Component
public class SetUps {
    private final LedgerRows rows;
    private final Trail trail;
    private final Store store;
    private final NewId newId;
    private final RecentTables tables;
    private final Kept<List<SetUp>> all;
    private final Cache<StintTable, Use> uses = Caffeine.newBuilder().weakKeys().build();

    SetUps(LedgerRows rows, Trail trail, Store store, RecentTables tables, NewId newId) {
        this.tables = tables;
        all = new Kept<>(store, Kept.Kind.SETUP);
        this.rows = rows;
        this.trail = trail;
        this.store = store;
        this.newId = newId;
    }

    /** Fishing that a set-up has seen, and the fish it landed. */
    public record Fished(long stints, double rodHours, long fish) {
        public static final Fished NEVER = new Fished(0, 0, 0);

        public Fished and(Fished other) {
            return new Fished(stints + other.stints, rodHours + other.rodHours, fish + other.fish);
        }
    }

    /** All of them; the same for everyone in the club. */
    public List<SetUp> all(Viewer viewer) {
        return all.of(viewer, "all", () -> List.copyOf(rows.all(viewer, LedgerFormat.SETUPS)));
    }

    /** All of them, those fished last first. */
    public List<SetUp> lastFishedFirst(Viewer viewer) {
        return use(viewer).lastFirst();
    }

    /** All of them, those fished most first. */
    public List<SetUp> mostFishedFirst(Viewer viewer) {
        return use(viewer).mostFirst();
    }

    /**
     * How set-ups were fished, as the findings' table has it.
     *
     * @param all the set-ups it is of
     * @param fished by id; those never fished are not in it
     */
    private record Use(List<SetUp> all, Map<String, Fished> fished, List<SetUp> lastFirst, List<SetUp> mostFirst) {
        static Use of(StintTable table, List<SetUp> all) {
            Codes codes = table.setUps();
            int[] stints = new int[codes.levels().size()];
            double[] hours = new double[stints.length];
            int[] landed = table.fish(null, null);
            long[] fish = new long[stints.length];
            Instant[] last = new Instant[stints.length];
            for (int row = 0; row < table.size(); row++) {
                int code = codes.at(row);
                stints[code]++;
                hours[code] += table.rodHours(row);
                fish[code] += landed[row];
                Instant at = table.startedAt(row);
                if (last[code] == null || at.isAfter(last[code])) {
                    last[code] = at;
                }
            }
            Map<String, Fished> fished = new HashMap<>();
            Map<String, Instant> lasts = new HashMap<>();
            for (int code = 0; code < stints.length; code++) {
                if (stints[code] > 0) {
                    fished.put(codes.levels().get(code), new Fished(stints[code], hours[code], fish[code]));
                    lasts.put(codes.levels().get(code), last[code]);
                }
            }
            return new Use(
                    all,
                    Map.copyOf(fished),
                    all.stream()
                            .sorted(Comparator.comparing((SetUp s) -> lasts.getOrDefault(s.id(), Instant.MIN))
                                    .thenComparing(SetUp::id)
                                    .reversed())
                            .toList(),
                    all.stream()
                            .sorted(Comparator.comparingDouble((SetUp s) -> -fished.getOrDefault(s.id(), Fished.NEVER)
                                            .rodHours())
                                    .thenComparing(SetUp::id))
                            .toList());
        }
    }

    private Use use(Viewer viewer) {
        StintTable table = tables.forOrder(viewer);
        List<SetUp> all = all(viewer);
        Use known = uses.getIfPresent(table);
        if (known == null || known.all() != all) {
            known = Use.of(table, all);
            uses.put(table, known);
        }
        return known;
    }

    /** Those of stints. */
    public List<SetUp> of(Viewer viewer, List<Stint> stints) {
        return of(viewer, stints.stream().map(Stint::setUpId).collect(Collectors.toSet()));
    }

    /** Those that came of a set-up by a change, and the one it came from. */
    public List<SetUp> kin(Viewer viewer, SetUp setUp) {
        return rows.all(
                viewer,
                LedgerFormat.SETUPS,
                SETUPS.FROM_SETUP_ID.eq(setUp.id()).or(SETUPS.SETUP_ID.eq(String.valueOf(setUp.fromSetUpId()))),
                List.of());
    }

    /** Those of these ids that the viewer may see. */
    public List<SetUp> of(Viewer viewer, Collection<String> ids) {
        return rows.all(viewer, LedgerFormat.SETUPS, SETUPS.SETUP_ID.in(ids), List.of());
    }

    public SetUp one(Viewer viewer, String id) {
        return rows.one(viewer, LedgerFormat.SETUPS, id).orElseThrow(NotYours::new);
    }

    /** By set-up; those never fished are not in it. */
    public Map<String, Fished> fished(Viewer viewer) {
        return use(viewer).fished();
    }

    public String newId() {
        return newId.next();
    }

    /** Stores a new one. */
    public void add(Viewer viewer, SetUp setUp) {
        store.write(viewer.clubId(), tx -> insert(tx, viewer, setUp));
    }

    private SetUp insert(DSLContext tx, Viewer viewer, SetUp setUp) {
        rows.insert(tx, viewer.clubId(), LedgerFormat.SETUPS, setUp);
        tx.update(SETUPS)
                .set(SETUPS.MADE_BY, viewer.personId())
                .where(SETUPS.CLUB_ID.eq(viewer.clubId()))
                .and(SETUPS.SETUP_ID.eq(setUp.id()))
                .execute();
        return setUp;
    }

    /**
     * Stores a change: over one of the viewer's own that was never fished, else as a new one that knows which it came
     * from. The id of what is now the set-up.
     */
    public String change(Viewer viewer, SetUp before, SetUp after) {
        return store.write(viewer.clubId(), tx -> {
            boolean fished =
                    tx.fetchExists(STINTS, STINTS.CLUB_ID.eq(viewer.clubId()).and(STINTS.SETUP_ID.eq(before.id())));
            boolean own = tx.fetchExists(
                    SETUPS,
                    Visibility.of(viewer, SETUPS)
                            .and(SETUPS.SETUP_ID.eq(before.id()))
                            .and(Visibility.mayRewrite(viewer, SETUPS.MADE_BY)));
            if (!fished && own) {
                trail.update(tx, viewer, LedgerFormat.SETUPS, after);
                return before.id();
            }
            Map<String, Object> names = Map.of("setup_id", newId.next(), "from_setup_id", before.id());
            return insert(tx, viewer, LedgerFormat.SETUPS.changed(after, names)).id();
        });
    }
}
