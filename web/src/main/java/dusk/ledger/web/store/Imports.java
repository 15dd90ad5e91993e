package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.DELETIONS;
import static dusk.ledger.web.schema.Tables.IMPORTS;
import static dusk.ledger.web.schema.Tables.IMPORT_CHANGES;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What came in as a whole ({@link Intake}), and how it is taken back as a whole. */
@Component
public final class Imports {
    private static final String DELETION = "deletion_id";
    private static final String IMPORT = "import_id";
    private static final String CLUB = "club_id";

    private final Store store;
    private final NewId newId;
    private final Clock clock;

    Imports(Store store, NewId newId, Clock clock) {
        this.store = store;
        this.newId = newId;
        this.clock = clock;
    }

    /** What came in once. */
    public record Import(String id, Instant at, String what, String said, boolean takenBack) {}

    /** What came in, newest first. */
    public List<Import> recent(Viewer viewer, int most) {
        return store.read()
                .select(IMPORTS.IMPORT_ID, IMPORTS.IMPORTED_AT, IMPORTS.WHAT, IMPORTS.SAID, IMPORTS.DELETION_ID)
                .from(IMPORTS)
                .where(IMPORTS.CLUB_ID.eq(viewer.clubId()))
                .orderBy(IMPORTS.IMPORTED_AT.desc(), IMPORTS.IMPORT_ID.desc())
                .limit(most)
                .fetch(r -> new Import(r.value1(), r.value2(), r.value3(), r.value4(), r.value5() != null));
    }

    /**
     * How an import was taken back.
     *
     * @param deletionId which brings it back again
     * @param stayed rows that stay, since others have built on them
     */
    public record TakenBack(String deletionId, int stayed) {}

    /**
     * Takes an import back: its rows are deleted, which can be undone, and those that it wrote over are as they were. What
     * has been built on since stays.
     *
     * @return nothing where it was taken back already, or was never there
     */
    public Optional<TakenBack> takeBack(Viewer viewer, String importId) {
        if (!viewer.officer()) {
            throw new NotYours();
        }
        String clubId = viewer.clubId();
        return store.write(clubId, tx -> {
            String what = tx.select(IMPORTS.WHAT)
                    .from(IMPORTS)
                    .where(one(clubId, importId))
                    .and(IMPORTS.DELETION_ID.isNull())
                    .fetchOne(IMPORTS.WHAT);
            if (what == null) {
                return Optional.empty();
            }
            String deletion = newId.next();
            tx.insertInto(DELETIONS)
                    .set(DELETIONS.CLUB_ID, clubId)
                    .set(DELETIONS.DELETION_ID, deletion)
                    .set(DELETIONS.DELETED_AT, clock.instant())
                    .set(DELETIONS.PERSON_ID, Objects.requireNonNull(viewer.personId(), "only a person deletes"))
                    .set(DELETIONS.WHAT, "what came in with " + what)
                    .execute();
            int taken = 0;
            for (Table<?> table : LedgerFormat.ALL) {
                org.jooq.Table<?> stored = LedgerRows.of(table);
                taken += tx.update(stored)
                        .set(deletionOf(stored), deletion)
                        .where(clubOf(stored).eq(clubId))
                        .and(importOf(stored).eq(importId))
                        .and(deletionOf(stored).isNull())
                        .execute();
            }
            int stayed = keepWhatIsBuiltOn(tx, clubId, deletion);
            tx.update(IMPORTS)
                    .set(IMPORTS.DELETION_ID, deletion)
                    .where(one(clubId, importId))
                    .execute();
            swap(tx, clubId, deletion);
            Written.everything(tx, clubId);
            return Optional.of(new TakenBack(deletion, Math.min(stayed, taken)));
        });
    }

    /** Unmarks what rows that stay refer to, and what that refers to in turn. */
    private static int keepWhatIsBuiltOn(DSLContext tx, String clubId, String deletion) {
        int stayed = 0;
        int more = 1;
        while (more > 0) {
            more = 0;
            for (Reference reference : References.toLedger()) {
                Predicate<org.jooq.Table<?>> marked = t -> t.field(DELETION) != null;
                var child = reference.child();
                Condition stands = clubOf(child).eq(clubId).and(reference.from().isNotNull());
                if (marked.test(child)) {
                    stands = stands.and(deletionOf(child).isNull());
                }
                more += tx.update(reference.parent())
                        .setNull(deletionOf(reference.parent()))
                        .where(clubOf(reference.parent()).eq(clubId))
                        .and(deletionOf(reference.parent()).eq(deletion))
                        .and(reference
                                .to()
                                .in(tx.select(reference.from()).from(child).where(stands)))
                        .execute();
            }
            stayed += more;
        }
        return stayed;
    }

    /** Rows that an import wrote over change places with what they were before, or with what they were by it. */
    static void swap(DSLContext tx, String clubId, String deletionId) {
        JsonMapper json = JsonMapper.shared();
        Writing writing = new Writing(tx, Viewer.club(clubId));
        tx.select(IMPORT_CHANGES.IMPORT_ID, IMPORT_CHANGES.CHANGED, IMPORT_CHANGES.ROW_ID, IMPORT_CHANGES.IMAGE)
                .from(IMPORT_CHANGES)
                .join(IMPORTS)
                .on(IMPORTS.CLUB_ID.eq(IMPORT_CHANGES.CLUB_ID), IMPORTS.IMPORT_ID.eq(IMPORT_CHANGES.IMPORT_ID))
                .where(IMPORTS.CLUB_ID.eq(clubId))
                .and(IMPORTS.DELETION_ID.eq(deletionId))
                .fetch()
                .forEach(row -> {
                    String now = json.writeValueAsString(writing.image(References.table(row.value2()), row.value3()));
                    writing.over(References.table(row.value2()), row.value3(), json.readTree(row.value4()));
                    tx.update(IMPORT_CHANGES)
                            .set(IMPORT_CHANGES.IMAGE, now)
                            .where(IMPORT_CHANGES.CLUB_ID.eq(clubId))
                            .and(IMPORT_CHANGES.IMPORT_ID.eq(row.value1()))
                            .and(IMPORT_CHANGES.CHANGED.eq(row.value2()))
                            .and(IMPORT_CHANGES.ROW_ID.eq(row.value3()))
                            .execute();
                });
    }

    /** An import that a deletion took back stands again. */
    static void broughtBack(DSLContext tx, String clubId, String deletionId) {
        Condition taken = IMPORTS.CLUB_ID.eq(clubId).and(IMPORTS.DELETION_ID.eq(deletionId));
        if (tx.fetchExists(IMPORTS, taken)) {
            swap(tx, clubId, deletionId);
            tx.update(IMPORTS).setNull(IMPORTS.DELETION_ID).where(taken).execute();
            Written.everything(tx, clubId);
        }
    }

    private static Condition one(String clubId, String importId) {
        return IMPORTS.CLUB_ID.eq(clubId).and(IMPORTS.IMPORT_ID.eq(importId));
    }

    private static Field<String> clubOf(org.jooq.Table<?> table) {
        return Objects.requireNonNull(table.field(CLUB, String.class));
    }

    private static Field<String> deletionOf(org.jooq.Table<?> table) {
        return Objects.requireNonNull(table.field(DELETION, String.class));
    }

    private static Field<String> importOf(org.jooq.Table<?> table) {
        return Objects.requireNonNull(table.field(IMPORT, String.class));
    }
}
