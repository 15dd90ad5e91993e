package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.CATCHES;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Ledger;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.util.List;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Component;

/** What a club is made of beside what it fished: its people, waters, places, set-ups and rods, and the fish it knows. */
@Component
public final class ClubMake {
    private final Store store;
    private final LedgerRows rows;

    public ClubMake(Store store, LedgerRows rows) {
        this.store = store;
        this.rows = rows;
    }

    /** As everyone in the club sees it; without trips. */
    public Ledger of(String clubId) {
        Viewer club = Viewer.club(clubId);
        return store.snapshot(() -> new Ledger(
                rows.all(club, LedgerFormat.ANGLERS),
                rows.all(club, LedgerFormat.WATERS),
                rows.all(club, LedgerFormat.SPOTS),
                rows.all(club, LedgerFormat.SETUPS),
                rows.all(club, LedgerFormat.RODS),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of()));
    }

    /** Species that were landed, most first. */
    public List<String> species(String clubId) {
        return store.read()
                .select(CATCHES.SPECIES)
                .from(CATCHES)
                .where(Visibility.of(Viewer.club(clubId), CATCHES))
                .groupBy(CATCHES.SPECIES)
                .orderBy(DSL.count().desc(), CATCHES.SPECIES)
                .fetch(CATCHES.SPECIES);
    }
}
