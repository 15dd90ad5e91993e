package dusk.ledger.web.bring;

import dusk.ledger.journal.Water;
import dusk.ledger.sheets.DateForm;
import dusk.ledger.sheets.MappingGuess;
import dusk.ledger.sheets.Sheet;
import dusk.ledger.sheets.SheetFile;
import dusk.ledger.sheets.SheetMapping;
import dusk.ledger.sheets.Target;
import dusk.ledger.web.records.Person;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * The form in which a sheet's mapping is changed. Its choices are selects: what is none of them leaves the mapping as it
 * was.
 */
final class SheetForm {
    /** What may stand for all rows where no column says it. */
    static final List<String> FIXED = List.of(Target.ANGLER, Target.WATER, Target.SPECIES);

    private SheetForm() {}

    /** Who and where, where the sheet does not say it: whoever brings it in, on the home water. */
    static Map<String, String> usual(SheetMapping mapping, Person person, Optional<Water> home) {
        Map<String, String> fixed = new LinkedHashMap<>();
        boolean who = mapping.columns().values().stream().anyMatch(c -> c.to().equals(Target.ANGLER));
        boolean where = mapping.columns().values().stream().anyMatch(c -> c.to().equals(Target.WATER));
        if (!who) {
            fixed.put(Target.ANGLER, person.name());
        }
        if (!where) {
            home.ifPresent(w -> fixed.put(Target.WATER, w.name()));
        }
        return fixed;
    }

    static SheetMapping read(Map<String, String> typed, SheetFile file, Draft draft, MappingGuess guess) {
        Sheet sheet = file.sheet(typed.getOrDefault("of", ""));
        SheetMapping before = draft.mappings().stream()
                .filter(m -> m.sheet().equals(sheet.name()))
                .findFirst()
                .orElseGet(() -> guess.of(sheet));
        boolean whole = typed.containsKey("whole");
        SheetMapping read = new SheetMapping(
                before.sheet(),
                before.headRow(),
                before.headRows(),
                DateForm.of(typed.getOrDefault("dates", "")).orElse(before.dates()),
                Map.of(",", true, ".", false).getOrDefault(typed.getOrDefault("decimal", ""), before.commas()),
                SheetMapping.Row.of(typed.getOrDefault("row", "")).orElse(before.row()),
                whole ? typed.containsKey("carried") : before.carried(),
                whole ? typed.containsKey("leave_out") : before.leaveOut(),
                before.timeZone(),
                columns(typed, before),
                fixed(typed, before),
                words(typed, before),
                kinds(typed, before));
        return guess.withGuessedWords(sheet, read);
    }

    private static Map<String, SheetMapping.Column> columns(Map<String, String> typed, SheetMapping before) {
        Map<String, SheetMapping.Column> columns = new LinkedHashMap<>(before.columns());
        for (int i = 0; typed.containsKey("column." + i); i++) {
            String name = typed.getOrDefault("column." + i, "");
            SheetMapping.Column was = columns.get(name);
            String to = typed.getOrDefault("to." + i, "");
            if (was == null || Target.of(to).isEmpty()) {
                continue;
            }
            List<String> units = Target.units(to);
            String unit = typed.getOrDefault("unit." + i, "");
            String fitting = units.contains(unit)
                    ? unit
                    : units.contains(was.unit()) ? was.unit() : units.isEmpty() ? "" : units.get(0);
            columns.put(name, new SheetMapping.Column(to, fitting));
        }
        return columns;
    }

    private static Map<String, String> fixed(Map<String, String> typed, SheetMapping before) {
        Map<String, String> fixed = new LinkedHashMap<>(before.fixed());
        for (String key : FIXED) {
            String text = typed.get("fixed." + key);
            if (text != null && text.isBlank()) {
                fixed.remove(key);
            } else if (text != null && text.length() <= 200) {
                fixed.put(key, text.strip());
            }
        }
        return fixed;
    }

    private static Map<String, Map<String, String>> words(Map<String, String> typed, SheetMapping before) {
        Map<String, Map<String, String>> words = new LinkedHashMap<>();
        before.words().forEach((key, of) -> words.put(key, new LinkedHashMap<>(of)));
        for (int i = 0; typed.containsKey("word." + i); i++) {
            String key = typed.getOrDefault("word.key." + i, "");
            String text = typed.getOrDefault("word.text." + i, "");
            String word = typed.getOrDefault("word." + i, "").strip();
            if (Target.of(key).isPresent() && !text.isEmpty() && word.length() <= 200) {
                words.computeIfAbsent(key, k -> new LinkedHashMap<>()).put(text, word.isEmpty() ? text : word);
            }
        }
        return words;
    }

    private static Map<String, String> kinds(Map<String, String> typed, SheetMapping before) {
        Map<String, String> kinds = new LinkedHashMap<>(before.waterKinds());
        for (int i = 0; typed.containsKey("water." + i); i++) {
            String kind = typed.getOrDefault("kind." + i, "");
            if (dusk.ledger.vocabulary.Words.closed("kind", "waters").contains(kind)) {
                kinds.put(Objects.requireNonNull(typed.get("water." + i)), kind);
            }
        }
        return kinds;
    }
}
