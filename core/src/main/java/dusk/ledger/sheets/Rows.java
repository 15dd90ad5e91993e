package dusk.ledger.sheets;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;

/** The rows of a sheet as a mapping has them: by target what stands there, and which rows are no record. */
final class Rows {
    /** What repeats the cell above. */
    private static final Set<String> DITTO = Set.of("\"", "''", "”", "″", "do.", "ditto", "id.", "\"\"", "〃");

    /** What is left empty where it is the row's above: a day's rows say its date, and who was where, once. */
    private static final List<String> CARRIED = List.of(Target.DATE, Target.ANGLER, Target.WATER);

    private final Head head;
    private final List<Sheet.Line> lines;
    private final SheetMapping mapping;

    private Rows(Head head, List<Sheet.Line> lines, SheetMapping mapping) {
        this.head = head;
        this.lines = lines;
        this.mapping = mapping;
    }

    static Rows of(Sheet sheet, SheetMapping mapping) {
        Head head = Head.at(sheet, mapping.headRow(), mapping.headRows()).orElseGet(() -> Head.of(sheet));
        return new Rows(head, sheet.lines().subList(head.until(), sheet.lines().size()), mapping);
    }

    /**
     * A row.
     *
     * @param texts of its cells by the key of their target, with the column they stand in; only filled ones
     * @param why it is no record; empty where it is one
     */
    record Row(long line, Map<String, Text> texts, String why) {}

    /** A cell's text, with the name of its column and the unit of its bare numbers. */
    record Text(String column, String unit, String text) {}

    List<Sheet.Line> lines() {
        return lines;
    }

    List<String> names() {
        return head.names();
    }

    /** All of them, in their order. */
    List<Row> all() {
        List<Row> all = new ArrayList<>();
        Map<String, String> above = new HashMap<>();
        for (Sheet.Line line : lines) {
            Map<String, Text> texts = texts(line, above);
            Text date = texts.get(Target.DATE);
            boolean dated =
                    date != null && Moment.read(date.text(), mapping.dates()).isPresent();
            Optional<String> why = dated ? onlyDate(texts) : undated(line, texts);
            if (why.isEmpty() && date == null && mapping.carried() && above.containsKey(Target.DATE)) {
                CARRIED.forEach(
                        key -> texts.putIfAbsent(key, new Text(columnOf(key), "", above.getOrDefault(key, ""))));
                texts.values().removeIf(text -> text.text().isEmpty());
            } else if (why.isEmpty()) {
                CARRIED.forEach(above::remove);
            }
            texts.forEach((key, text) -> {
                if (CARRIED.contains(key)) {
                    above.put(key, text.text());
                }
            });
            all.add(new Row(line.number(), texts, why.orElse("")));
        }
        return all;
    }

    private Optional<String> undated(Sheet.Line line, Map<String, Text> texts) {
        Optional<String> why = Skipping.why(line, head);
        // one word under a date that is carried down is a fish, not a remark
        boolean fish = mapping.carried()
                && texts.keySet().stream().anyMatch(k -> k.startsWith("catches.") || k.startsWith(Target.FISH));
        return why.isPresent() && fish && line.filled() == 1 ? Optional.empty() : why;
    }

    /** A date that was written down for a day without anything is no day's fishing. */
    private Optional<String> onlyDate(Map<String, Text> texts) {
        return texts.size() == 1 && mapping.columns().size() > 2
                ? Optional.of("only a date, nothing of a fish or of fishing")
                : Optional.empty();
    }

    private String columnOf(String key) {
        return mapping.columns().entrySet().stream()
                .filter(e -> e.getValue().to().equals(key))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(key);
    }

    private Map<String, Text> texts(Sheet.Line line, Map<String, String> above) {
        Map<String, Text> texts = new LinkedHashMap<>();
        mapping.fixed().forEach((key, text) -> {
            if (!text.isBlank()) {
                texts.put(key, new Text(key, "", text.strip()));
            }
        });
        int fixed = texts.size();
        for (int at = 0; at < head.names().size(); at++) {
            String name = head.names().get(at);
            SheetMapping.Column column = mapping.columns().get(name);
            String text = line.cell(at);
            if (column == null || column.to().equals(Target.SKIP) || text.isEmpty()) {
                continue;
            }
            if (DITTO.contains(text)) {
                text = above.getOrDefault(name, "");
            }
            above.put(name, text);
            Text one = new Text(name, column.unit(), text);
            texts.merge(
                    column.to(),
                    one,
                    (a, b) -> column.to().equals(Target.NOTE) && !a.text().equals(b.text())
                            ? new Text(a.column(), "", a.text() + "; " + b.text())
                            : b);
        }
        if (texts.size() == fixed) {
            texts.clear();
        }
        return texts;
    }

    /** Every text of the rows that are records, by the key of its target. */
    void texts(BiConsumer<String, String> heard) {
        for (Row row : all()) {
            if (row.why().isEmpty()) {
                row.texts().forEach((key, text) -> {
                    boolean blank = key.equals(Target.SPECIES) && Entry.blank(text.text());
                    if (!key.startsWith(Target.FISH) && !blank) {
                        heard.accept(key, text.text());
                    }
                });
            }
        }
        mapping.columns().values().stream()
                .filter(c -> c.to().startsWith(Target.FISH))
                .forEach(c -> heard.accept(Target.SPECIES, c.to().substring(Target.FISH.length())));
    }
}
