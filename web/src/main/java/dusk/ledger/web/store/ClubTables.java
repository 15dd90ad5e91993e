package dusk.ledger.web.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Respelt;
import dusk.ledger.format.Table;
import dusk.ledger.season.WaterYear;
import dusk.ledger.stints.StintTable;
import dusk.ledger.stints.WaterYears;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The column table of each club's stints, one a club, and one for each of its people who see more than it. It follows writes: what was touched is read anew, the rest stays
 * as it is.
 */
@Component
final class ClubTables {
    private static final int CLUBS_KEPT = 8;

    /** More stints than that are as well read with all others. */
    private static final int MOST_FOLLOWED = 4000;

    /** What analysis needs. */
    private static final Set<Table<?>> READ = Set.of(
            LedgerFormat.ANGLERS,
            LedgerFormat.WATERS,
            LedgerFormat.SPOTS,
            LedgerFormat.SETUPS,
            LedgerFormat.RODS,
            LedgerFormat.TRIPS,
            LedgerFormat.READINGS,
            LedgerFormat.STINTS,
            LedgerFormat.CATCHES,
            LedgerFormat.LOSSES);

    private final Store store;
    private final LedgerRows rows;
    private final Sharing sharing;
    private final ClubWords words;
    private final Cache<Sharing.Scope, Held> held =
            Caffeine.newBuilder().maximumSize(CLUBS_KEPT).build();

    /** @param seq of the last note of what was written that the table follows */
    record Held(long version, long seq, StintTable table, WaterYears years, List<LedgerRows.LeftOut> leftOut) {}

    ClubTables(Store store, LedgerRows rows, Sharing sharing, ClubWords words) {
        this.store = store;
        this.sharing = sharing;
        this.words = words;
        this.rows = rows;
    }

    /**
     * The table of the club's records as they are now: what all share, and for who shares less than the kind of places also
     * what is theirs. No place is named in it.
     */
    StintTable of(Viewer viewer) {
        return now(sharing.scope(viewer)).table();
    }

    /** The same with the version of the records that it is of and what is left out of it. */
    Held now(Sharing.Scope scope) {
        long version = store.version(scope.clubId());
        Held before = held.getIfPresent(scope);
        if (before != null && (before.version() == version || store.writing())) {
            return before;
        }
        if (store.writing()) {
            // what is being written may come to nothing: it is reckoned with and not kept
            return anew(scope, version);
        }
        return Objects.requireNonNull(held.asMap()
                .compute(
                        scope,
                        (of, there) -> store.snapshot(() -> {
                            long now = store.version(of.clubId());
                            return there != null && there.version() == now ? there : renewed(of, there, now);
                        })));
    }

    /** What the table of all that is shared would be if words stood for others than they do. */
    StintTable asIf(String clubId, Map<String, Map<String, String>> meant) {
        Viewer all = new Sharing.Scope(clubId, null).viewer();
        return StintTable.of(Respelt.of(rows.whole(all, READ).ledger(), meant));
    }

    private Held renewed(Sharing.Scope scope, @Nullable Held before, long version) {
        return Optional.ofNullable(before)
                .flatMap(there -> followed(scope, there, version))
                .orElseGet(() -> anew(scope, version));
    }

    private Held anew(Sharing.Scope scope, long version) {
        long seq = Written.last(store.read());
        LedgerRows.Whole whole = rows.whole(scope.viewer(), READ);
        WaterYears years = WaterYears.of(whole.ledger());
        StintTable table = StintTable.of(Respelt.of(whole.ledger(), words.meant(scope.clubId())));
        return new Held(version, seq, table, years, whole.leftOut());
    }

    /** Nothing where too much was written, or where what cannot be is another than it was. */
    private Optional<Held> followed(Sharing.Scope scope, Held before, long version) {
        DSLContext read = store.read();
        Viewer club = scope.viewer();
        return Written.since(read, scope.clubId(), before.seq(), MOST_FOLLOWED).flatMap(since -> {
            if (since.stints().isEmpty() && since.waters().isEmpty()) {
                return Optional.of(new Held(version, since.seq(), before.table(), before.years(), before.leftOut()));
            }
            LedgerRows.Whole part = rows.standingOn(club, since.stints(), before.leftOut());
            Set<LedgerRows.LeftOut> known = new HashSet<>(before.leftOut());
            if (!known.containsAll(part.leftOut()) || !rows.stillLeftOut(club, before.leftOut())) {
                return Optional.empty();
            }
            WaterYears years = years(read, club, before.years(), since.waters(), part);
            return Optional.of(new Held(
                    version,
                    since.seq(),
                    before.table().after(since.stints(), Respelt.of(part.ledger(), words.meant(scope.clubId())), years),
                    years,
                    before.leftOut()));
        });
    }

    private static WaterYears years(
            DSLContext read, Viewer club, WaterYears before, Set<String> waters, LedgerRows.Whole part) {
        if (waters.isEmpty()) {
            return before;
        }
        Map<String, WaterYear> years = new HashMap<>(before.byWater());
        WaterYears fresh = WaterYears.of(part.ledger().waters(), Written.temperatures(read, club, waters));
        waters.forEach(water -> {
            WaterYear year = fresh.byWater().get(water);
            if (year != null) {
                years.put(water, year);
            }
        });
        return new WaterYears(Map.copyOf(years));
    }
}
