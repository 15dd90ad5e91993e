package dusk.ledger.web.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dusk.ledger.stints.StintTable;
import java.util.List;
import org.springframework.stereotype.Component;

/** The column table of each club's stints, made once for each version of its records. */
@Component
public final class ClubTables {
    private static final int KEPT = 8;

    private final Store store;
    private final LedgerRows rows;
    private final Cache<Key, Made> tables =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    private record Key(String clubId, long version) {}

    private record Made(StintTable table, List<LedgerRows.LeftOut> leftOut) {}

    public ClubTables(Store store, LedgerRows rows) {
        this.store = store;
        this.rows = rows;
    }

    /** The table of the club's records as they are now. Levels and ids are the same for everyone in the club; no place is named in it. */
    public StintTable of(Viewer viewer) {
        return made(viewer).table();
    }

    /** What is not in the table because it cannot be. */
    public List<LedgerRows.LeftOut> leftOut(Viewer viewer) {
        return made(viewer).leftOut();
    }

    private Made made(Viewer viewer) {
        Key key = new Key(viewer.clubId(), store.version(viewer.clubId()));
        return tables.get(key, k -> {
            LedgerRows.Whole whole = rows.whole(Viewer.club(k.clubId()));
            return new Made(StintTable.of(whole.ledger()), whole.leftOut());
        });
    }
}
