package dusk.ledger.web.store;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.format.Table;
import dusk.ledger.web.schema.DefaultSchema;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jooq.Field;
import org.jooq.ForeignKey;
import org.jooq.TableField;

/** Which columns of the store hold ids of which rows of the record: by the ledger format, and by the store's own keys. */
final class References {
    private References() {}

    /** A table by its name. */
    static org.jooq.Table<?> table(String name) {
        return Objects.requireNonNull(DefaultSchema.DEFAULT_SCHEMA.getTable(name), name);
    }

    /** All of them that point to a row of the record. */
    static Set<Reference> toLedger() {
        Set<Reference> all = new LinkedHashSet<>();
        for (Table<?> table : LedgerFormat.ALL) {
            for (FileColumn<?> column : table.columns()) {
                if (column.references() != null) {
                    all.add(of(LedgerRows.of(table), column.name(), ledger(column.references())));
                }
            }
        }
        for (org.jooq.Table<?> child : DefaultSchema.DEFAULT_SCHEMA.getTables()) {
            for (ForeignKey<?, ?> key : child.getReferences()) {
                all.addAll(of(child, key));
            }
        }
        return all;
    }

    private static List<Reference> of(org.jooq.Table<?> child, ForeignKey<?, ?> key) {
        List<Reference> some = new ArrayList<>();
        String parent = key.getKey().getTable().getName();
        for (Table<?> table : LedgerFormat.ALL) {
            for (int i = 0; i < key.getKeyFields().size(); i++) {
                TableField<?, ?> to = key.getKeyFields().get(i);
                if (table.name().equals(parent) && to.getName().equals(table.idColumn())) {
                    some.add(of(child, key.getFields().get(i).getName(), table));
                }
            }
        }
        return some;
    }

    private static Table<?> ledger(String name) {
        return LedgerFormat.ALL.stream()
                .filter(t -> t.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Reference of(org.jooq.Table<?> child, String column, Table<?> parent) {
        org.jooq.Table<?> stored = LedgerRows.of(parent);
        return new Reference(child, text(child, column), stored, text(stored, parent.idColumn()));
    }

    private static Field<String> text(org.jooq.Table<?> table, String column) {
        return Objects.requireNonNull(table.field(column, String.class), column);
    }
}
