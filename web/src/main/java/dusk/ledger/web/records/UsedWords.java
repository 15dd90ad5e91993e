package dusk.ledger.web.records;

import static org.jooq.impl.DSL.count;
import static org.jooq.impl.DSL.inline;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.schema.DefaultSchema;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jooq.Field;
import org.jooq.Record3;
import org.jooq.Select;
import org.springframework.stereotype.Component;

/** The words that a club's records hold, by column, each with how many rows hold it. */
@Component
public class UsedWords {
    private final Store store;

    UsedWords(Store store) {
        this.store = store;
    }

    /** Of the columns whose words are kept as they are written; by column in their order, then by word. */
    public Map<String, Map<String, Integer>> of(Viewer viewer) {
        List<Select<Record3<String, String, Integer>>> each = new ArrayList<>();
        for (Table<?> table : LedgerFormat.ALL) {
            org.jooq.Table<?> stored =
                    Objects.requireNonNull(DefaultSchema.DEFAULT_SCHEMA.getTable(table.name()), table.name());
            for (FileColumn<?> column : table.columns()) {
                if (open(table, column)) {
                    Field<String> field = Objects.requireNonNull(stored.field(column.name(), String.class));
                    each.add(store.read()
                            .select(inline(column.name()), field, count())
                            .from(stored)
                            .where(Visibility.of(viewer, stored))
                            .and(field.isNotNull())
                            .groupBy(field));
                }
            }
        }
        Map<String, Map<String, Integer>> used = new TreeMap<>();
        each.stream()
                .reduce(Select::unionAll)
                .orElseThrow()
                .fetch()
                .forEach(r -> used.computeIfAbsent(r.value1(), c -> new TreeMap<>())
                        .merge(r.value2(), r.value3(), Integer::sum));
        return used;
    }

    private static boolean open(Table<?> table, FileColumn<?> column) {
        return column.kind() == FileColumn.Kind.TEXT
                && Words.closed(column.name(), table.name()).isEmpty()
                && !Words.of(column.name()).isEmpty();
    }
}
