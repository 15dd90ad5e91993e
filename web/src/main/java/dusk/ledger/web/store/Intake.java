package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.IMPORTS;
import static dusk.ledger.web.schema.Tables.IMPORT_CHANGES;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Touch;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Records that come in from elsewhere, beside those that a club has: what is new is added, what is there as it comes is
 * passed over, so that bringing the same in twice changes nothing; where a row stands here otherwise, whoever brings it
 * says which is kept. All in one transaction, undone as a whole.
 */
@Component
public final class Intake {
    private static final String DELETION = "deletion_id";
    private static final String IMPORT = "import_id";
    private static final String CLUB = "club_id";
    private static final int CONFLICTS_TOLD = 50;

    private final Store store;
    private final LedgerRows rows;
    private final NewId newId;
    private final Clock clock;
    private final JsonMapper json = JsonMapper.shared();

    public Intake(Store store, LedgerRows rows, NewId newId, Clock clock) {
        this.store = store;
        this.rows = rows;
        this.newId = newId;
        this.clock = clock;
    }

    /** Which of two rows with one id and different cells is kept. */
    public enum Keep {
        OURS,
        THEIRS
    }

    /** Rows of a file: those that are new, those that stand here as they come, otherwise, and those that were deleted here. */
    public record Counts(int fresh, int same, int conflicting, int back) {
        int all() {
            return fresh + same + conflicting + back;
        }
    }

    /**
     * A row that stands here otherwise.
     *
     * @param file of the ledger format, without ending
     * @param columns that differ, with both values
     */
    public record Conflict(String file, String id, List<Difference> columns) {}

    /** @param ours null where it is not recorded, like theirs */
    public record Difference(
            String column, @Nullable String ours, @Nullable String theirs) {}

    /**
     * What a ledger would bring.
     *
     * @param files by name, those with rows
     * @param conflicts the first of them
     */
    public record Compared(Map<String, Counts> files, List<Conflict> conflicts) {
        public int fresh() {
            return files.values().stream().mapToInt(Counts::fresh).sum();
        }

        public int same() {
            return files.values().stream().mapToInt(Counts::same).sum();
        }

        public int conflicting() {
            return files.values().stream().mapToInt(Counts::conflicting).sum();
        }

        public int back() {
            return files.values().stream().mapToInt(Counts::back).sum();
        }

        public int all() {
            return files.values().stream().mapToInt(Counts::all).sum();
        }
    }

    /** Rows of a table, told apart. */
    private record Sorted<T>(List<T> fresh, int same, List<T> conflicting, List<T> back) {
        Counts counts() {
            return new Counts(fresh.size(), same, conflicting.size(), back.size());
        }
    }

    /** A row as it is stored: as everyone sees it, or that it is deleted. */
    private record Here<T>(@Nullable T row, boolean deleted) {}

    /** Tells what a ledger would bring; nothing is stored. */
    public Compared compare(String clubId, Ledger ledger) {
        return store.snapshot(() -> {
            Map<String, Counts> files = new LinkedHashMap<>();
            List<Conflict> conflicts = new ArrayList<>();
            for (Table<?> table : LedgerFormat.ALL) {
                compare(clubId, table, ledger, files, conflicts);
            }
            return new Compared(files, conflicts);
        });
    }

    private <T> void compare(
            String clubId, Table<T> table, Ledger ledger, Map<String, Counts> files, List<Conflict> conflicts) {
        List<T> coming = table.rows().apply(ledger);
        if (coming.isEmpty()) {
            return;
        }
        Sorted<T> sorted = sorted(clubId, table, coming, (theirs, ours) -> {
            if (conflicts.size() < CONFLICTS_TOLD) {
                conflicts.add(new Conflict(table.name(), idOf(table, theirs), differences(table, ours, theirs)));
            }
        });
        files.put(table.name(), sorted.counts());
    }

    private interface Heard<T> {
        void conflict(T theirs, @Nullable T ours);
    }

    private <T> Sorted<T> sorted(String clubId, Table<T> table, List<T> coming, Heard<T> heard) {
        List<T> fresh = new ArrayList<>();
        List<T> conflicting = new ArrayList<>();
        List<T> back = new ArrayList<>();
        int same = 0;
        Map<String, Here<T>> here =
                here(clubId, table, coming.stream().map(r -> idOf(table, r)).toList());
        for (T theirs : coming) {
            Here<T> ours = here.get(idOf(table, theirs));
            if (ours == null) {
                fresh.add(theirs);
            } else if (ours.deleted()) {
                back.add(theirs);
            } else if (ours.row() != null
                    && differences(table, ours.row(), theirs).isEmpty()) {
                same++;
            } else {
                conflicting.add(theirs);
                heard.conflict(theirs, ours.row());
            }
        }
        return new Sorted<>(fresh, same, conflicting, back);
    }

    private static <T> String idOf(Table<T> table, T row) {
        return String.valueOf(table.columns().get(0).value().apply(row));
    }

    private static <T> List<Difference> differences(Table<T> table, @Nullable T ours, T theirs) {
        List<Difference> differences = new ArrayList<>();
        for (FileColumn<T> column : table.columns()) {
            Object there = ours == null ? null : column.value().apply(ours);
            Object comes = column.value().apply(theirs);
            if (!Objects.equals(there, comes)) {
                differences.add(new Difference(
                        column.name(),
                        there == null ? null : there.toString(),
                        comes == null ? null : comes.toString()));
            }
        }
        return differences;
    }

    /** Rows that are stored, by id, as the club sees them: what a member keeps to themselves is in no package either. */
    private <T> Map<String, Here<T>> here(String clubId, Table<T> table, List<String> ids) {
        Map<String, Here<T>> here = new HashMap<>();
        org.jooq.Table<?> stored = LedgerRows.of(table);
        Field<String> deletion = deletionOf(stored);
        List<Field<?>> fields = new ArrayList<>(LedgerRows.columns(Viewer.club(clubId), table));
        fields.add(deletion);
        for (List<String> some : Written.chunks(ids)) {
            store.read()
                    .select(fields)
                    .from(stored)
                    .where(clubOf(stored).eq(clubId))
                    .and(idOf(table).in(some))
                    .forEach(row -> here.put(
                            String.valueOf(row.get(0)),
                            new Here<>(
                                    LedgerRows.sound(() -> LedgerRows.read(table, row, 0))
                                            .orElse(null),
                                    row.get(deletion) != null)));
        }
        return here;
    }

    /**
     * Brings a ledger in.
     *
     * @param what the file's name
     * @param said what it is, in words
     * @return the import's id; empty where there was nothing new in it, and then nothing is stored
     * @throws Progress.Stopped where whoever hears of the progress ends it; nothing is stored then
     */
    public Optional<String> bring(
            Viewer viewer, Ledger ledger, String what, String said, Keep keep, Progress progress) {
        long of = LedgerFormat.ALL.stream()
                .mapToLong(table -> table.rows().apply(ledger).size())
                .sum();
        String clubId = viewer.clubId();
        Optional<String> brought = store.write(clubId, tx -> {
            String id = newId.next();
            tx.insertInto(IMPORTS)
                    .set(IMPORTS.CLUB_ID, clubId)
                    .set(IMPORTS.IMPORT_ID, id)
                    .set(IMPORTS.IMPORTED_AT, clock.instant())
                    .set(IMPORTS.PERSON_ID, viewer.personId())
                    .set(IMPORTS.WHAT, what)
                    .set(IMPORTS.SAID, said)
                    .execute();
            Bringing bringing = new Bringing(tx, clubId, id, keep);
            long done = 0;
            for (Table<?> table : LedgerFormat.ALL) {
                long before = done;
                done += bringing.table(table, ledger, (rowsDone, ofTable) -> progress.at(before + rowsDone, of));
            }
            bringing.countsAgree(ledger);
            if (bringing.changed == 0) {
                tx.deleteFrom(IMPORTS).where(one(clubId, id)).execute();
                return Optional.<String>empty();
            }
            Written.everything(tx, clubId);
            return Optional.of(id);
        });
        store.gatherStatistics();
        return brought;
    }

    /** One import as it is written. */
    private final class Bringing {
        private final DSLContext tx;
        private final String clubId;
        private final String importId;
        private final Keep keep;
        private final Set<String> freshStints = new HashSet<>();

        /** Stints of which fish, losses or touches came, or their own counts. */
        private final Set<String> freshHanging = new HashSet<>();

        private long changed;

        Bringing(DSLContext tx, String clubId, String importId, Keep keep) {
            this.tx = tx;
            this.clubId = clubId;
            this.importId = importId;
            this.keep = keep;
        }

        <T> long table(Table<T> table, Ledger ledger, Progress progress) {
            List<T> coming = table.rows().apply(ledger);
            Sorted<T> sorted = sorted(clubId, table, coming, (theirs, ours) -> {});
            rows.insertAll(tx, clubId, importId, table, sorted.fresh(), progress);
            sorted.back().forEach(row -> over(table, row, true));
            if (keep == Keep.THEIRS) {
                sorted.conflicting().forEach(row -> over(table, row, false));
                sorted.conflicting().forEach(this::hanging);
                changed += sorted.conflicting().size();
            }
            changed += sorted.fresh().size() + sorted.back().size();
            for (T row : sorted.fresh()) {
                if (row instanceof Stint stint) {
                    freshStints.add(stint.id());
                } else {
                    hanging(row);
                }
            }
            sorted.back().forEach(this::hanging);
            if (!progress.at(coming.size(), coming.size())) {
                throw new Progress.Stopped();
            }
            return coming.size();
        }

        private <T> void hanging(T row) {
            if (row instanceof Stint stint) {
                freshHanging.add(stint.id());
            } else if (row instanceof Catch fish) {
                freshHanging.add(fish.stintId());
            } else if (row instanceof Loss loss) {
                freshHanging.add(loss.stintId());
            } else if (row instanceof Touch touch) {
                freshHanging.add(touch.stintId());
            }
        }

        /** Writes a row over the one with its id; what the club does not see of that one stays as it is. */
        private <T> void over(Table<T> table, T theirs, boolean back) {
            org.jooq.Table<?> stored = LedgerRows.of(table);
            String id = idOf(table, theirs);
            Condition one = clubOf(stored).eq(clubId).and(Intake.idOf(table).eq(id));
            Here<T> there = here(clubId, table, List.of(id)).get(id);
            T ours = there == null ? null : there.row();
            Map<Field<?>, @Nullable Object> values = new LinkedHashMap<>();
            Set<String> differ = new HashSet<>();
            differences(table, ours, theirs).forEach(d -> differ.add(d.column()));
            for (FileColumn<T> column : table.columns()) {
                if (differ.contains(column.name())) {
                    values.put(
                            Objects.requireNonNull(stored.field(column.name())),
                            column.value().apply(theirs));
                }
            }
            if (back) {
                values.put(deletionOf(stored), null);
                values.put(importOf(stored), importId);
            } else {
                remember(stored, id);
            }
            if (!values.isEmpty()) {
                tx.update(stored).set(values).where(one).execute();
            }
        }

        private void remember(org.jooq.Table<?> stored, String id) {
            Writing writing = new Writing(tx, Viewer.club(clubId));
            tx.insertInto(IMPORT_CHANGES)
                    .set(IMPORT_CHANGES.CLUB_ID, clubId)
                    .set(IMPORT_CHANGES.IMPORT_ID, importId)
                    .set(IMPORT_CHANGES.CHANGED, stored.getName())
                    .set(IMPORT_CHANGES.ROW_ID, id)
                    .set(IMPORT_CHANGES.IMAGE, json.writeValueAsString(writing.image(stored, id)))
                    .onConflictDoNothing()
                    .execute();
        }

        /** A stint that stood here and gained fish counts them, whatever its own counts were; of a new one they agree. */
        void countsAgree(Ledger ledger) {
            Set<String> own = new HashSet<>();
            ledger.stints().forEach(s -> own.add(s.id()));
            own.retainAll(freshHanging);
            own.removeAll(freshStints);
            for (String id : own) {
                Here<Stint> there =
                        here(clubId, LedgerFormat.STINTS, List.of(id)).get(id);
                if (there != null && there.row() != null) {
                    Stint raised = raised(there.row());
                    if (!raised.equals(there.row())) {
                        remember(LedgerRows.of(LedgerFormat.STINTS), id);
                        rows.update(tx, Viewer.club(clubId), LedgerFormat.STINTS, raised);
                    }
                }
            }
        }

        private Stint raised(Stint stint) {
            Viewer club = Viewer.club(clubId);
            int landed = rows.holding(club, LedgerFormat.CATCHES, "stint_id", stint.id()).stream()
                    .mapToInt(Catch::count)
                    .sum();
            int lost = rows.holding(club, LedgerFormat.LOSSES, "stint_id", stint.id()).stream()
                    .mapToInt(Loss::count)
                    .sum();
            Map<String, Integer> touched = new HashMap<>();
            rows.holding(club, LedgerFormat.TOUCHES, "stint_id", stint.id())
                    .forEach(t -> touched.merge(t.kind(), 1, Integer::sum));
            int hooked = Math.max(stint.hooked(), Math.max(landed + lost, touched.getOrDefault("hooked", 0)));
            int bites = Math.max(hooked, Math.max(stint.bites(), touched.getOrDefault("bite", 0)));
            return StintBuilder.builder(stint)
                    .hooked(hooked)
                    .bites(bites)
                    .follows(Math.max(stint.follows(), touched.getOrDefault("follow", 0)))
                    .build();
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

    private static Field<String> idOf(Table<?> table) {
        return Objects.requireNonNull(LedgerRows.of(table).field(table.idColumn(), String.class));
    }
}
