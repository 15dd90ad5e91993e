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
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A form over one record of the journal: fields named as the columns of the ledger format, typed in the person's
 * units, checked by the record itself.
 *
 * @param <T> the record
 */
public final class RecordForm<T> {
    /** Before a column's name: the input that carries what the field held when the form was opened. */
    private static final String START = "start.";

    /** Whose a record is follows from who made it. */
    private static final Set<String> NEVER_TYPED = Set.of("logged_by", "kept_by");

    /** Before a column's name: the button that takes one of two values. */
    private static final String TAKE = "take.";

    private static final List<FormField.Group> YES_OR_NO = List.of(new FormField.Group(
            "",
            Stream.of(UnitText.YES, UnitText.NO)
                    .map(w -> new FormField.Option(w, w))
                    .toList()));

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

    /** Asks to choose, among the fields that stand folded away. */
    public RecordForm<T> chooseMore(String column, String label, List<FormField.Group> groups) {
        asked.add(new Asked(column, label, "", FormField.Kind.CHOICE, groups, true, ""));
        return this;
    }

    /** Asks to choose of a list that words beside it search, and shows a picture of what is chosen. */
    public RecordForm<T> search(String column, String label, List<FormField.Group> groups, String preview) {
        asked.add(new Asked(column, label, "", FormField.Kind.SEARCHED, groups, false, preview));
        return this;
    }

    /** Asks for a text of several lines. */
    public RecordForm<T> write(String column, String label, String hint) {
        asked.add(new Asked(column, label, hint, FormField.Kind.LONG_TEXT, List.of(), false, ""));
        return this;
    }

    /** What a record holds, as the values of the form's inputs, with what each started from. */
    public Map<String, String> typed(T record) {
        Map<String, String> typed = new HashMap<>();
        for (FileColumn<T> column : table.columns()) {
            String shown = shown(column, record);
            typed.put(column.name(), shown);
            typed.put(START + column.name(), shown);
        }
        return typed;
    }

    /** What a record holds, as the values of the inputs of a new one: that starts from nothing stored. */
    public Map<String, String> copied(T record) {
        Map<String, String> copied = new HashMap<>();
        table.columns().forEach(column -> copied.put(column.name(), shown(column, record)));
        return copied;
    }

    private String shown(FileColumn<T> column, @Nullable T record) {
        Object value = record == null ? null : column.value().apply(record);
        return value == null ? "" : text.write(column, value);
    }

    /** Whose value of a field counts, where a row may have changed since its form was opened. */
    private enum Whose {
        TYPED,
        STORED,
        /** Both changed it, and nobody has said which is right. */
        EITHER
    }

    /** What the form does not ask for cannot be typed into it by hand either; one that asks for nothing takes all. */
    private boolean asks(String column) {
        return !NEVER_TYPED.contains(column)
                && (asked.isEmpty()
                        || asked.stream().anyMatch(one -> one.column().equals(column)));
    }

    private Whose whose(String column, Map<String, String> typed, String stored) {
        String start = typed.get(START + column);
        String said = typed.get(column);
        if (said == null || !asks(column)) {
            return Whose.STORED;
        }
        if (start == null || same(start, stored) || same(said, stored)) {
            return Whose.TYPED;
        }
        String taken = typed.getOrDefault(TAKE + column, "");
        if (same(said, start) || taken.equals("theirs")) {
            return Whose.STORED;
        }
        return taken.equals("mine") ? Whose.TYPED : Whose.EITHER;
    }

    /** As texts of an input: ends of lines differ by the way they took. */
    private static boolean same(String one, String other) {
        return one.replace("\r\n", "\n")
                .strip()
                .equals(other.replace("\r\n", "\n").strip());
    }

    /**
     * The record that was typed.
     *
     * @param typed values of the inputs, by column, with what each field held when the form was opened
     * @param given cells the form does not ask for, such as ids
     * @param before the record being changed as it is now, null for a new one: a field left as it was shown keeps its
     *     exact value, or the one that somebody else gave it meanwhile, and what the form does not ask for stays
     * @throws Invalid with every problem, also where somebody else made something else of a field
     */
    public T read(Map<String, String> typed, Map<String, Object> given, @Nullable T before) {
        Cells cells = new Cells();
        Map<String, Object> rest = new LinkedHashMap<>(given);
        for (FileColumn<T> column : table.columns()) {
            Object value = rest.remove(column.name());
            Object was = before == null ? null : column.value().apply(before);
            String shown = shown(column, before);
            Whose whose = whose(column.name(), typed, shown);
            String raw = whose == Whose.STORED ? shown : typed.getOrDefault(column.name(), "");
            if (value == null && was != null && raw.equals(shown)) {
                value = was;
            }
            if (value != null) {
                cells.with(column.name(), value);
            } else if (before != null && whose == Whose.EITHER) {
                cells.wrong(column.name(), "Somebody changed it while this form was open. Take one of the two.");
            } else if (!raw.isBlank()) {
                try {
                    cells.with(column.name(), text.read(column, table.name(), raw));
                } catch (IllegalArgumentException e) {
                    cells.wrong(column.name(), String.valueOf(e.getMessage()));
                }
            } else if (column.required()) {
                cells.wrong(column.name(), "Nothing here yet, and it is needed.");
            }
        }
        return table.read(cells);
    }

    /** The fields of a new record as they stand, with what was typed and what is wrong with it. */
    public Form form(Form head, Map<String, String> typed, List<Invalid.Problem> problems) {
        return form(head, typed, problems, null);
    }

    /**
     * The fields as they stand, with what was typed and what is wrong with it.
     *
     * @param before the record being changed as it is now; null for a new one
     */
    public Form form(Form head, Map<String, String> typed, List<Invalid.Problem> problems, @Nullable T before) {
        Map<String, String> errors = new HashMap<>();
        problems.forEach(p -> errors.merge(p.column(), sentence(p.message()), (a, b) -> a + " " + b));
        List<FormField> main = new ArrayList<>();
        List<FormField> more = new ArrayList<>();
        for (Asked one : asked) {
            FormField field = field(one, typed, errors.getOrDefault(one.column(), ""), before);
            (one.more() ? more : main).add(field);
        }
        return new Form(head.id(), head.title(), head.action(), head.submit(), head.cancel(), main, more);
    }

    private FormField field(Asked one, Map<String, String> typed, String error, @Nullable T before) {
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
            if (column.kind() == FileColumn.Kind.YES_NO) {
                groups = YES_OR_NO;
            }
            kind = kindOf(column, !closed.isEmpty(), !words.isEmpty());
        }
        String value = typed.getOrDefault(one.column(), "");
        String start = typed.get(START + one.column());
        String meanwhile = "";
        if (before != null && start != null) {
            String stored = shown(column, before);
            Whose whose = whose(one.column(), typed, stored);
            value = whose == Whose.STORED ? stored : value;
            start = whose == Whose.EITHER ? start : stored;
            meanwhile = whose == Whose.EITHER ? (stored.isEmpty() ? "nothing" : label(groups, stored)) : "";
        }
        return new FormField(
                one.column(),
                one.label(),
                kind,
                groups,
                one.hint(),
                column.required(),
                value,
                error,
                one.preview(),
                start,
                meanwhile,
                typed.getOrDefault(FormField.FIND + one.column(), ""));
    }

    private static String label(List<FormField.Group> groups, String value) {
        return groups.stream()
                .flatMap(group -> group.options().stream())
                .filter(option -> option.value().equals(value))
                .map(FormField.Option::label)
                .findFirst()
                .orElse(value);
    }

    private static FormField.Kind kindOf(FileColumn<?> column, boolean closed, boolean words) {
        if (closed) {
            return FormField.Kind.CHOICE;
        }
        return switch (column.kind()) {
            case TIME -> FormField.Kind.TIME;
            case WHOLE -> FormField.Kind.WHOLE;
            case NUMBER -> FormField.Kind.DECIMAL;
            case YES_NO -> FormField.Kind.CHOICE;
            case TEXT -> words ? FormField.Kind.WORDS : FormField.Kind.TEXT;
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
