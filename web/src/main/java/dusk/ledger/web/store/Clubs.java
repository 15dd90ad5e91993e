package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.CLUBS;
import static org.jooq.impl.DSL.noCondition;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Ledger;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;

/** Clubs as wholes: made, filled from a ledger, named. */
@Component
public final class Clubs {
    private final Store store;
    private final LedgerRows rows;

    public Clubs(Store store, LedgerRows rows) {
        this.store = store;
        this.rows = rows;
    }

    /** A club's id and name. */
    public record Club(String id, String name) {}

    public List<Club> all() {
        return where(noCondition());
    }

    public Optional<Club> byId(String clubId) {
        return where(CLUBS.CLUB_ID.eq(clubId)).stream().findFirst();
    }

    private List<Club> where(Condition which) {
        return store.read()
                .select(CLUBS.CLUB_ID, CLUBS.NAME)
                .from(CLUBS)
                .where(which)
                .orderBy(CLUBS.CLUB_ID)
                .fetch(r -> new Club(r.value1(), r.value2()));
    }

    /** All a club shares, for exports. */
    public Ledger ledger(String clubId) {
        return rows.ledger(Viewer.club(clubId));
    }

    /** Makes a club. */
    public void found(Club club) {
        store.writeApart(tx -> tx.insertInto(CLUBS)
                .set(CLUBS.CLUB_ID, club.id())
                .set(CLUBS.NAME, club.name())
                .execute());
    }

    /** Makes a club of a ledger, whole or not at all. */
    public void found(Club club, Ledger ledger) {
        found(club, ledger, Progress.UNHEARD);
    }

    /** The same, telling how far it is. */
    public void found(Club club, Ledger ledger, Progress progress) {
        store.writeApart(tx -> {
            found(club);
            load(club.id(), ledger, progress);
            return club;
        });
        store.gatherStatistics();
    }

    /** Stores all records of a ledger in a club, in one transaction. */
    public void load(String clubId, Ledger ledger) {
        load(clubId, ledger, Progress.UNHEARD);
    }

    /**
     * Stores all records of a ledger in a club, in one transaction, telling how far it is.
     *
     * @throws TakenIds where the club holds records with the same ids already; nothing is stored then
     */
    public void load(String clubId, Ledger ledger, Progress progress) {
        long of = LedgerFormat.ALL.stream()
                .mapToLong(table -> table.rows().apply(ledger).size())
                .sum();
        store.write(clubId, tx -> {
            long done = 0;
            for (Table<?> table : LedgerFormat.ALL) {
                long before = done;
                done += load(tx, clubId, table, ledger, (rows, ofTable) -> progress.at(before + rows, of));
            }
            Written.everything(tx, clubId);
            return ledger;
        });
        store.gatherStatistics();
    }

    private <T> long load(DSLContext tx, String clubId, Table<T> table, Ledger ledger, Progress progress) {
        List<T> records = table.rows().apply(ledger);
        List<String> taken = rows.idsIn(tx, clubId, table);
        List<String> twice = records.stream()
                .map(r -> String.valueOf(table.columns().get(0).value().apply(r)))
                .filter(new HashSet<>(taken)::contains)
                .toList();
        if (!twice.isEmpty()) {
            throw new TakenIds(table.name() + ".csv", table.idColumn(), twice);
        }
        rows.insertAll(tx, clubId, table, records, progress);
        return records.size();
    }
}
