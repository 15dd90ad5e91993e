package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.INSTRUMENTS;

import dusk.ledger.instruments.Kind;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.util.List;
import org.jooq.Condition;
import org.springframework.stereotype.Component;

/** The instruments that clubs listen to. */
@Component
public class Instruments {
    /** A club has no more; each is a connection that is kept open, or asked for again and again. */
    public static final int MOST = 20;

    private final Store store;
    private final Deletions deletions;

    Instruments(Store store, Deletions deletions) {
        this.store = store;
        this.deletions = deletions;
    }

    /** A club's, by name. */
    public List<Instrument> of(Viewer viewer) {
        return all(Visibility.of(viewer, INSTRUMENTS));
    }

    /** Every club's, for whoever listens. */
    public List<Instrument> everyClubs() {
        return all(INSTRUMENTS.DELETION_ID.isNull());
    }

    private List<Instrument> all(Condition which) {
        return store.read()
                .selectFrom(INSTRUMENTS)
                .where(which)
                .orderBy(INSTRUMENTS.NAME, INSTRUMENTS.INSTRUMENT_ID)
                .fetch(r -> new Instrument(
                        r.getClubId(),
                        r.getInstrumentId(),
                        Kind.of(r.getKind()).orElseThrow(),
                        r.getName(),
                        r.getAddress(),
                        r.getAnglerId(),
                        r.getWaterId()));
    }

    /** Keeps a new one; one that is there gets its address alone. */
    public void keep(Instrument kept) {
        store.writeApart(tx -> tx.insertInto(INSTRUMENTS)
                .set(INSTRUMENTS.CLUB_ID, kept.clubId())
                .set(INSTRUMENTS.INSTRUMENT_ID, kept.id())
                .set(INSTRUMENTS.KIND, kept.kind().word())
                .set(INSTRUMENTS.NAME, kept.name())
                .set(INSTRUMENTS.ADDRESS, kept.address())
                .set(INSTRUMENTS.ANGLER_ID, kept.anglerId())
                .set(INSTRUMENTS.WATER_ID, kept.waterId())
                .onConflict(INSTRUMENTS.CLUB_ID, INSTRUMENTS.INSTRUMENT_ID)
                .doUpdate()
                .set(INSTRUMENTS.ADDRESS, kept.address())
                .execute());
    }

    /**
     * Takes one away; the id of the deletion, which can be undone.
     *
     * @throws NotYours where the club has none of this id
     */
    public String remove(Viewer viewer, String id) {
        Instrument gone = of(viewer).stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(NotYours::new);
        return deletions.instrument(viewer, id, "the instrument " + gone.name());
    }
}
