package dusk.ledger.web.form;

import dusk.ledger.format.Cells;
import dusk.ledger.format.FileColumn;
import dusk.ledger.format.Table;
import dusk.ledger.journal.Invalid;
import dusk.ledger.vocabulary.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A form over one record of the journal: fields named as the columns of the ledger format, typed in the person's
 * units, checked by the record itself.
 *
 * @param <T> the record
 */
public final class RecordForm<T> {
    private final Table<T> table;
    private final UnitText text;
    private final List<Asked> asked = new ArrayList<>();

    private record Asked(
            String column,
            String label,
            String hint,
            FormField.@Nullable Kind kind,
            List<FormField.Group> groups,
            boolean more,
            String preview) {}

    public RecordForm(Table<T> table, UnitText text) {
        this.table = table;
        this.text = text;
    }

    /** Asks for a column; the kind of input follows from the column and its vocabulary. */
    public RecordForm<T> ask(String column, String label, String hint) {
        asked.add(new Asked(column, label, hint, null, List.of(), false, ""));
        return this;
    }

    /** Asks for a column among those that stand folded away. */
    public RecordForm<T> askMore(String column, String label, String hint) {
        asked.add(new Asked(column, label, hint, null, List.of(), true, ""));
        return this;
    }

    /** Asks to choose. */
    public RecordForm<T> choose(String column, String label, List<FormField.Group> groups) {
        return choose(column, label, "", groups, "");
    }

    /** Asks to choose and shows a picture of what is chosen. */
    public RecordForm<T> choose(
            String column, String label, String hint, List<FormField.Group> groups, String preview) {
        asked.add(new Asked(column, label, hint, FormField.Kind.CHOICE, groups, false, preview));
        return this;
    }

    /** Asks for a text of several lines. */
    public RecordForm<T> write(String column, String label, String hint) {
        asked.add(new Asked(column, label, hint, FormField.Kind.LONG_TEXT, List.of(), false, ""));
        return this;
    }

    /** What a record holds, as the values of the form's inputs. */
    public Map<String, String> typed(T record) {
        Map<String, String> typed = new HashMap<>();
        for (FileColumn<T> column : table.columns()) {
            Object value = column.value().apply(record);
            typed.put(column.name(), value == null ? "" : text.write(column, value));
        }
        return typed;
    }

    /**
     * The record that was typed.
     *
     * @param typed values of the inputs, by column
     * @param given cells the form does not ask for, such as ids
     * @param before the record being changed, null for a new one: a field left as it was shown keeps its exact value,
     *     and what the form does not ask for stays
     * @throws Invalid with every problem
     */
    public T read(Map<String, String> typed, Map<String, Object> given, @Nullable T before) {
        Cells cells = new Cells();
        Map<String, Object> rest = new LinkedHashMap<>(given);
        for (FileColumn<T> column : table.columns()) {
            Object value = rest.remove(column.name());
            Object was = before == null ? null : column.value().apply(before);
            String shown = was == null ? "" : text.write(column, was);
            String raw = typed.getOrDefault(column.name(), shown);
            if (value == null && was != null && raw.equals(shown)) {
                value = was;
            }
            if (value != null) {
                cells.with(column.name(), value);
            } else if (!raw.isBlank()) {
                try {
                    cells.with(column.name(), text.read(column, raw));
                } catch (IllegalArgumentException e) {
                    cells.wrong(column.name(), String.valueOf(e.getMessage()));
                }
            } else if (column.required()) {
                cells.wrong(column.name(), "Nothing here yet, and it is needed.");
            }
        }
        return table.read(cells);
    }

    /** The fields as they stand, with what was typed and what is wrong with it. */
    public Form form(Form head, Map<String, String> typed, List<Invalid.Problem> problems) {
        Map<String, String> errors = new HashMap<>();
        problems.forEach(p -> errors.merge(p.column(), sentence(p.message()), (a, b) -> a + " " + b));
        List<FormField> main = new ArrayList<>();
        List<FormField> more = new ArrayList<>();
        for (Asked one : asked) {
            FormField field = field(one, typed.getOrDefault(one.column(), ""), errors.getOrDefault(one.column(), ""));
            (one.more() ? more : main).add(field);
        }
        return new Form(head.id(), head.title(), head.action(), head.submit(), head.cancel(), main, more);
    }

    private FormField field(Asked one, String value, String error) {
        FileColumn<T> column = table.columns().stream()
                .filter(c -> c.name().equals(one.column()))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(table.name() + " has no column " + one.column()));
        List<FormField.Group> groups = one.groups();
        FormField.Kind kind = one.kind();
        if (kind == null) {
            List<String> closed = Words.closed(column.name(), table.name());
            List<String> words = closed.isEmpty() ? Words.of(column.name()) : closed;
            groups = List.of(new FormField.Group(
                    "", words.stream().map(w -> new FormField.Option(w, w)).toList()));
            kind = kindOf(column, !closed.isEmpty(), !words.isEmpty());
        }
        return new FormField(
                one.column(), one.label(), kind, groups, one.hint(), column.required(), value, error, one.preview());
    }

    private static FormField.Kind kindOf(FileColumn<?> column, boolean closed, boolean words) {
        if (closed) {
            return FormField.Kind.CHOICE;
        }
        return switch (column.kind()) {
            case TIME -> FormField.Kind.TIME;
            case WHOLE -> FormField.Kind.WHOLE;
            case NUMBER -> FormField.Kind.DECIMAL;
            case TEXT, YES_NO -> words ? FormField.Kind.WORDS : FormField.Kind.TEXT;
        };
    }

    private static String sentence(String message) {
        if (message.isEmpty()) {
            return message;
        }
        String capital = message.substring(0, 1).toUpperCase(Locale.ROOT) + message.substring(1);
        return capital.endsWith(".") ? capital : capital + ".";
    }
}
