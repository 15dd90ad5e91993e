package dusk.ledger.web.store;

import static org.jooq.impl.DSL.noCondition;

import dusk.ledger.format.Cells;
import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Stint;
import dusk.ledger.web.schema.DefaultSchema;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.SelectLimitStep;
import org.jooq.SortField;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The record's tables, read into and written from the journal by the columns of the ledger format: the same list that
 * reads and writes packages.
 */
@Component
public final class LedgerRows {
    private static final String CLUB = "club_id";
    private static final int BATCH = 2000;

    /** Looked up for every column of every query: the schema itself goes through its tables and their fields each time. */
    private static final Map<String, org.jooq.Table<?>> TABLES = DefaultSchema.DEFAULT_SCHEMA
            .tableStream()
            .collect(Collectors.toUnmodifiableMap(org.jooq.Table::getName, table -> table));

    private static final Map<String, Map<String, Field<?>>> FIELDS = TABLES.values().stream()
            .collect(Collectors.toUnmodifiableMap(
                    org.jooq.Table::getName,
                    table ->
                            table.fieldStream().collect(Collectors.toUnmodifiableMap(Field::getName, field -> field))));

    private final Store store;

    public LedgerRows(Store store) {
        this.store = store;
    }

    /**
     * A stored row that cannot be: an older application took it, and it would spoil what is reckoned.
     *
     * @param why what is wrong with it, such as {@code minutes: 5000 is out of range, expected 0.1 to 1440}
     */
    public record LeftOut(String table, String id, String why) {}

    /** What a club's records make, and what had to be left out of it. */
    public record Whole(Ledger ledger, List<LeftOut> leftOut) {}

    /** Everything of a club that the viewer may see, in the order of the ids, as it was at one moment. */
    public Ledger ledger(Viewer viewer) {
        return whole(viewer).ledger();
    }

    /** The same, with the rows that cannot be, and those that hang on them, told apart. */
    public Whole whole(Viewer viewer) {
        return whole(viewer, Set.copyOf(LedgerFormat.ALL));
    }

    /** Some of its tables; the others are empty. */
    Whole whole(Viewer viewer, Set<Table<?>> wanted) {
        return store.snapshot(() -> {
            Sifted sifted = new Sifted(viewer, List.of()) {
                @Override
                public <T> List<T> of(Table<T> table) {
                    return wanted.contains(table) ? sift(table, List.of(noCondition())) : List.of();
                }
            };
            return sifted.whole();
        });
    }

    /**
     * Some stints with all that analysis needs of what they stand on, and their fish. Without anglers: only their ids count.
     *
     * @param known what is left out already: what hangs on it is too
     */
    Whole standingOn(Viewer viewer, Set<String> stintIds, List<LeftOut> known) {
        return store.snapshot(() -> {
            List<Stint> stints = new ArrayList<>();
            Sifted sifted = new Sifted(viewer, known) {
                @Override
                public <T> List<T> of(Table<T> table) {
                    return sift(table, conditions(table, stintIds, stints));
                }
            };
            // read before what they stand on, which goes by what they say
            stints.addAll(sifted.sift(LedgerFormat.STINTS, in(LedgerFormat.STINTS, "stint_id", stintIds)));
            return sifted.whole();
        });
    }

    private static List<Condition> conditions(Table<?> table, Set<String> stintIds, List<Stint> stints) {
        if (table.equals(LedgerFormat.WATERS)) {
            return List.of(noCondition());
        }
        if (table.equals(LedgerFormat.SPOTS)) {
            return in(table, "spot_id", stints, Stint::spotId);
        }
        if (table.equals(LedgerFormat.SETUPS)) {
            return in(table, "setup_id", stints, Stint::setUpId);
        }
        if (table.equals(LedgerFormat.RODS)) {
            return in(table, "rod_id", stints, Stint::rodId);
        }
        if (table.equals(LedgerFormat.TRIPS) || table.equals(LedgerFormat.READINGS)) {
            return in(table, "trip_id", stints, Stint::tripId);
        }
        boolean ofStint = table.equals(LedgerFormat.STINTS)
                || table.equals(LedgerFormat.CATCHES)
                || table.equals(LedgerFormat.LOSSES);
        return ofStint ? in(table, "stint_id", stintIds) : List.of();
    }

    private static List<Condition> in(
            Table<?> table, String column, List<Stint> stints, Function<Stint, @Nullable String> id) {
        return in(
                table, column, stints.stream().map(id).filter(Objects::nonNull).collect(Collectors.toSet()));
    }

    private static List<Condition> in(Table<?> table, String column, Set<String> ids) {
        return Written.chunks(ids).stream()
                .map(some -> textField(table, column).in(some))
                .toList();
    }

    /** Whether rows that were left out for what is wrong with themselves are there and wrong as they were. */
    boolean stillLeftOut(Viewer viewer, List<LeftOut> leftOut) {
        for (Table<?> table : LedgerFormat.ALL) {
            for (LeftOut one : leftOut) {
                boolean itself = !one.why().endsWith(HANGS);
                if (itself && one.table().equals(table.name()) && !stillLeftOut(viewer, table, one)) {
                    return false;
                }
            }
        }
        return true;
    }

    private <T> boolean stillLeftOut(Viewer viewer, Table<T> table, LeftOut one) {
        Sifted sifted = new Sifted(viewer, List.of()) {
            @Override
            public <R> List<R> of(Table<R> other) {
                return List.of();
            }
        };
        sifted.sift(table, List.of(id(table, one.id())));
        return sifted.leftOut.contains(one);
    }

    private static final String HANGS = " is left out";

    /** Reads tables in their order and tells apart what cannot be, and what hangs on it. */
    private abstract class Sifted implements LedgerFormat.Source {
        private final Viewer viewer;
        private final Map<String, Set<String>> gone = new HashMap<>();
        private final Set<LeftOut> leftOut = new LinkedHashSet<>();

        Sifted(Viewer viewer, List<LeftOut> known) {
            this.viewer = viewer;
            known.forEach(one ->
                    gone.computeIfAbsent(one.table(), t -> new HashSet<>()).add(one.id()));
        }

        /** The sound rows of a table that any of the conditions holds for, condition by condition. */
        <T> List<T> sift(Table<T> table, List<Condition> any) {
            List<T> sound = new ArrayList<>();
            for (Condition where : any) {
                try (Stream<? extends Record> found =
                        select(viewer, table, where, byId(table)).fetchStream()) {
                    found.forEach(row -> {
                        String why = "";
                        try {
                            T record = read(table, row, 0);
                            why = hangsOn(table, record);
                            if (why.isEmpty()) {
                                sound.add(record);
                            }
                        } catch (Invalid e) {
                            why = String.valueOf(e.getMessage());
                        }
                        if (!why.isEmpty()) {
                            leaveOut(new LeftOut(table.name(), String.valueOf(row.get(0)), why));
                        }
                    });
                }
            }
            return sound;
        }

        Whole whole() {
            return new Whole(LedgerFormat.ledger(this), List.copyOf(leftOut));
        }

        private void leaveOut(LeftOut one) {
            gone.computeIfAbsent(one.table(), t -> new HashSet<>()).add(one.id());
            leftOut.add(one);
        }

        private <T> String hangsOn(Table<T> table, T record) {
            for (FileColumn<T> column : table.columns()) {
                Set<String> there = gone.getOrDefault(column.references(), Set.of());
                Object id = there.isEmpty() ? null : column.value().apply(record);
                if (id != null && there.contains(id.toString())) {
                    return column.name() + ": " + id + HANGS;
                }
            }
            return "";
        }
    }

    /** Rows of a table that the viewer may see, in an order. */
    public <T> List<T> all(Viewer viewer, Table<T> table, Condition where, List<? extends SortField<?>> order) {
        return all(viewer, table, where, order, Integer.MAX_VALUE);
    }

    /** The first rows of a table that the viewer may see, in an order. */
    public <T> List<T> all(
            Viewer viewer, Table<T> table, Condition where, List<? extends SortField<?>> order, int most) {
        return all(viewer, table, where, order, 0, most);
    }

    /** Rows of a table that the viewer may see, in an order, behind so many. */
    public <T> List<T> all(
            Viewer viewer, Table<T> table, Condition where, List<? extends SortField<?>> order, int from, int most) {
        return select(viewer, table, where, order).limit(most).offset(from).fetch().stream()
                .flatMap(row -> sound(() -> read(table, row, 0)).stream())
                .toList();
    }

    /** A record of a stored row; nothing where an older application stored what cannot be, which the findings tell of. */
    public static <T> Optional<T> sound(Supplier<T> read) {
        try {
            return Optional.of(read.get());
        } catch (Invalid e) {
            return Optional.empty();
        }
    }

    private SelectLimitStep<? extends Record> select(
            Viewer viewer, Table<?> table, Condition where, List<? extends SortField<?>> order) {
        return store.read()
                .select(columns(viewer, table))
                .from(of(table))
                .where(Visibility.of(viewer, of(table)))
                .and(where)
                .orderBy(order);
    }

    /** The columns of a table as the viewer sees them, for a query that reads more than the table. */
    public static List<Field<?>> columns(Viewer viewer, Table<?> table) {
        List<Field<?>> fields = new ArrayList<>();
        for (FileColumn<?> column : table.columns()) {
            fields.add(Visibility.shown(viewer, stored(table, column.name())));
        }
        return fields;
    }

    /** What a query read by {@link #columns}, the first of them at a place among its fields. */
    public static <T> T read(Table<T> table, Record row, int first) {
        Cells cells = new Cells();
        for (int i = 0; i < table.columns().size(); i++) {
            cells.with(table.columns().get(i).name(), row.get(first + i));
        }
        return table.read(cells);
    }

    /** All rows of a table that the viewer may see, in the order of one of its columns. */
    public <T> List<T> all(Viewer viewer, Table<T> table, String by) {
        return all(
                viewer,
                table,
                noCondition(),
                List.of(stored(table, by).asc(), stored(table, table.idColumn()).asc()));
    }

    /** All rows of a table that the viewer may see, in the order of the ids. */
    public <T> List<T> all(Viewer viewer, Table<T> table) {
        return all(viewer, table, noCondition(), byId(table));
    }

    /** The rows in which a column holds a text, in the order of the ids. */
    public <T> List<T> holding(Viewer viewer, Table<T> table, String column, String value) {
        return all(viewer, table, holds(table, column, value), byId(table));
    }

    /** The rows in which a column holds any of some texts. */
    public <T> List<T> holdingAny(Viewer viewer, Table<T> table, String column, Collection<String> values) {
        List<T> all = new ArrayList<>();
        in(table, column, Set.copyOf(values)).forEach(some -> all.addAll(all(viewer, table, some, byId(table))));
        return all;
    }

    private static List<SortField<?>> byId(Table<?> table) {
        return List.of(stored(table, table.idColumn()).asc());
    }

    /** One row by its id, where it is there and the viewer may see it. */
    public <T> Optional<T> one(Viewer viewer, Table<T> table, String id) {
        return all(viewer, table, id(table, id), List.of()).stream().findFirst();
    }

    /** Ids in use, deleted rows included. */
    List<String> idsIn(DSLContext tx, String clubId, Table<?> table) {
        return tx.select(textField(table, table.idColumn()))
                .from(of(table))
                .where(textField(table, CLUB).eq(clubId))
                .fetch(0, String.class);
    }

    /** The condition that a row has an id. */
    public static Condition id(Table<?> table, String id) {
        return textField(table, table.idColumn()).eq(id);
    }

    /** The condition that a column holds a text. */
    public static Condition holds(Table<?> table, String column, String value) {
        return textField(table, column).eq(value);
    }

    /** Writes a new row. */
    public <T> void insert(DSLContext tx, String clubId, Table<T> table, T row) {
        tx.insertInto(of(table)).set(values(clubId, table, row)).execute();
    }

    /**
     * Writes new rows, many at a time.
     *
     * @throws Progress.Stopped where whoever hears of the progress ends it
     */
    <T> void insertAll(DSLContext tx, String clubId, Table<T> table, List<T> rows, Progress progress) {
        insertAll(tx, clubId, null, table, rows, progress);
    }

    /**
     * The same for rows that come in with an import, which they bear the mark of.
     *
     * @throws Progress.Stopped where whoever hears of the progress ends it
     */
    <T> void insertAll(
            DSLContext tx, String clubId, @Nullable String importId, Table<T> table, List<T> rows, Progress progress) {
        List<Field<?>> fields = new ArrayList<>();
        fields.add(textField(table, CLUB));
        table.columns().forEach(c -> fields.add(stored(table, c.name())));
        fields.add(textField(table, "import_id"));
        for (int from = 0; from < rows.size(); from += BATCH) {
            var batch = tx.batch(tx.insertInto(of(table), fields).values(new Object[fields.size()]));
            for (T row : rows.subList(from, Math.min(rows.size(), from + BATCH))) {
                List<@Nullable Object> cells =
                        new ArrayList<>(values(clubId, table, row).values());
                cells.add(importId);
                batch = batch.bind(cells.toArray());
            }
            batch.execute();
            if (!progress.at(Math.min(rows.size(), from + BATCH), rows.size())) {
                throw new Progress.Stopped();
            }
        }
    }

    /** Writes a row over the one with its id, but for what the viewer does not see of that one. */
    public <T> void update(DSLContext tx, Viewer viewer, Table<T> table, T row) {
        String id = idOf(viewer, table, row);
        tx.update(of(table))
                .set(over(tx, viewer, table, row))
                .where(textField(table, CLUB).eq(viewer.clubId()))
                .and(id(table, id))
                .execute();
    }

    static <T> String idOf(Viewer viewer, Table<T> table, T row) {
        return String.valueOf(values(viewer.clubId(), table, row).get(stored(table, table.idColumn())));
    }

    /**
     * The cells of a row that are written over the one with its id. What the viewer could not read stays as it is: they saw
     * nothing there, and did not mean to empty it.
     */
    static <T> Map<Field<?>, @Nullable Object> over(DSLContext tx, Viewer viewer, Table<T> table, T row) {
        Map<Field<?>, @Nullable Object> values = values(viewer.clubId(), table, row);
        Object id = Objects.requireNonNull(values.remove(stored(table, table.idColumn())));
        values.remove(textField(table, CLUB));
        values.keySet().removeAll(Visibility.keptBack(tx, viewer, of(table), id(table, id.toString())));
        return values;
    }

    static <T> Map<Field<?>, @Nullable Object> values(String clubId, Table<T> table, T row) {
        Map<Field<?>, @Nullable Object> values = new LinkedHashMap<>();
        values.put(textField(table, CLUB), clubId);
        for (FileColumn<T> column : table.columns()) {
            values.put(stored(table, column.name()), column.value().apply(row));
        }
        return values;
    }

    /** The store's table of a file of the ledger format. */
    static org.jooq.Table<?> of(Table<?> table) {
        return Objects.requireNonNull(TABLES.get(table.name()), table.name());
    }

    private static Field<?> stored(Table<?> table, String column) {
        Map<String, Field<?>> fields = Objects.requireNonNull(FIELDS.get(table.name()), table.name());
        return Objects.requireNonNull(fields.get(column), column);
    }

    private static Field<String> textField(Table<?> table, String column) {
        return stored(table, column).coerce(String.class);
    }
}
