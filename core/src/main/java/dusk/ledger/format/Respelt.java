package dusk.ledger.format;

import dusk.ledger.journal.Ledger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Records as they are counted where a club says that some of its words stand for others. The records themselves keep what was written. */
public final class Respelt {
    private Respelt() {}

    /**
     * @param meant by column of the ledger format, what each word stands for
     * @return the ledger itself where no word of it is concerned
     */
    public static Ledger of(Ledger ledger, Map<String, Map<String, String>> meant) {
        if (meant.isEmpty()) {
            return ledger;
        }
        return LedgerFormat.ledger(new LedgerFormat.Source() {
            @Override
            public <T> List<T> of(Table<T> table) {
                return rows(table, table.rows().apply(ledger), meant);
            }
        });
    }

    private static <T> List<T> rows(Table<T> table, List<T> rows, Map<String, Map<String, String>> meant) {
        List<FileColumn<T>> concerned = table.columns().stream()
                .filter(column -> column.references() == null && meant.containsKey(column.name()))
                .toList();
        if (concerned.isEmpty()) {
            return rows;
        }
        List<T> said = new ArrayList<>(rows.size());
        for (T row : rows) {
            Map<String, Object> cells = new HashMap<>();
            for (FileColumn<T> column : concerned) {
                String word = meant.getOrDefault(column.name(), Map.of())
                        .get(String.valueOf(column.value().apply(row)));
                if (word != null) {
                    cells.put(column.name(), word);
                }
            }
            said.add(cells.isEmpty() ? row : table.changed(row, cells));
        }
        return said;
    }
}
