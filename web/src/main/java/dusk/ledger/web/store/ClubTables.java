package dusk.ledger.web.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dusk.ledger.stints.StintTable;
import org.springframework.stereotype.Component;

/** The column table of each club's stints, made once for each version of its records. */
@Component
public final class ClubTables {
    private static final int KEPT = 8;

    private final Store store;
    private final LedgerRows rows;
    private final Cache<Key, StintTable> tables =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    private record Key(String clubId, long version) {}

    public ClubTables(Store store, LedgerRows rows) {
        this.store = store;
        this.rows = rows;
    }

    /** The table of the club's records as they are now. Levels and ids are the same for everyone in the club; no place is named in it. */
    public StintTable of(Viewer viewer) {
        Key key = new Key(viewer.clubId(), store.version(viewer.clubId()));
        return tables.get(key, k -> StintTable.of(rows.ledger(Viewer.club(k.clubId()))));
    }
}
