package dusk.ledger.format;

import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Ledger;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * One file of the ledger package: its columns and the record a row makes. The store's tables have the same columns,
 * so this is the only place where a record is taken apart and put together.
 *
 * @param name file name without ending, and name of the table
 * @param required whether a package must have the file
 * @param columns the first is the id
 * @param reader makes the record; throws {@link Invalid}
 * @param rows the ledger's records of this kind
 */
public record Table<T>(
        String name,
        boolean required,
        List<FileColumn<T>> columns,
        Function<Cells, T> reader,
        Function<Ledger, List<T>> rows) {

    /** Name of the column that holds the row's id. */
    public String idColumn() {
        return columns.get(0).name();
    }

    /**
     * Makes a record of a row.
     *
     * @throws Invalid with every problem of the row, in the order of the columns
     */
    public T read(Cells cells) {
        T made = null;
        List<Invalid.Problem> found = new ArrayList<>();
        try {
            made = reader.apply(cells);
        } catch (Invalid e) {
            found.addAll(e.problems());
        }
        if (made != null && cells.problems().isEmpty()) {
            return made;
        }
        throw new Invalid(inColumnOrder(cells.problems(), found));
    }

    /**
     * A record with some of its cells changed.
     *
     * @param record null for one of these cells alone
     * @param cells by column, of the column's type; null empties the cell
     * @throws Invalid with every problem
     */
    public T changed(@Nullable T record, Map<String, ? extends @Nullable Object> cells) {
        Cells all = new Cells();
        for (FileColumn<T> column : columns) {
            all.with(
                    column.name(),
                    cells.containsKey(column.name())
                            ? cells.get(column.name())
                            : record == null ? null : column.value().apply(record));
        }
        return read(all);
    }

    /** One problem a column: what cannot be read first, what the record makes of it only where the cell could be read. */
    private List<Invalid.Problem> inColumnOrder(List<Invalid.Problem> unread, List<Invalid.Problem> unsound) {
        List<Invalid.Problem> all = new ArrayList<>(unread);
        all.addAll(unsound);
        List<Invalid.Problem> ordered = new ArrayList<>();
        Set<String> seen = new LinkedHashSet<>();
        for (FileColumn<T> column : columns) {
            for (Invalid.Problem problem : all) {
                if (problem.column().equals(column.name()) && seen.add(column.name())) {
                    ordered.add(problem);
                }
            }
        }
        return ordered;
    }
}
