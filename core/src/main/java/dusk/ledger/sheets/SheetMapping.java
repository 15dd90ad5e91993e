package dusk.ledger.sheets;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * How a sheet is understood: what each of its columns is, in which units, which words stand for which, and how dates
 * and numbers are written.
 *
 * @param sheet its name; empty for the only one
 * @param headRow number of the last row of the header, from 1
 * @param headRows one, or two where an upper row names groups
 * @param commas whether a comma stands for the point of a number
 * @param carried whether an empty date is the one above it
 * @param leaveOut whether rows with a fault are left out instead of refusing the whole
 * @param timeZone of its times where the water says none
 * @param columns by name
 * @param fixed what stands for a target that no column has, by its key
 * @param words by the key of a target, what is written in the record for a cell's text
 * @param waterKinds of waters that are new, by name
 */
@RecordBuilder
public record SheetMapping(
        String sheet,
        long headRow,
        int headRows,
        DateForm dates,
        boolean commas,
        Row row,
        boolean carried,
        boolean leaveOut,
        String timeZone,
        Map<String, Column> columns,
        Map<String, String> fixed,
        Map<String, Map<String, String>> words,
        Map<String, String> waterKinds) {
    /** What a row is. */
    public enum Row {
        /** A fish, or several of a kind: fish of one day, angler, place and set-up are of one stint. */
        FISH("fish"),
        /** A stint, with or without fish. */
        STINT("stint"),
        /** A day of an angler, with the fish of each species in a column of its own. */
        DAY("day");

        private final String word;

        Row(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }

        public static Optional<Row> of(String word) {
            return java.util.Arrays.stream(values())
                    .filter(r -> r.word.equals(word))
                    .findFirst();
        }
    }

    /**
     * What a column is.
     *
     * @param to key of its {@link Target}
     * @param unit of its bare numbers; empty where it has none
     */
    public record Column(String to, String unit) {}

    public SheetMapping {
        columns = Map.copyOf(columns);
        fixed = Map.copyOf(fixed);
        words = words.entrySet().stream()
                .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, e -> Map.copyOf(e.getValue())));
        waterKinds = Map.copyOf(waterKinds);
    }

    /** What a cell's text is in the record; itself where nothing is said. */
    String word(String key, String text) {
        return words.getOrDefault(key, Map.of()).getOrDefault(text, text);
    }

    public SheetMapping withWords(Map<String, Map<String, String>> other) {
        return SheetMappingBuilder.builder(this).words(other).build();
    }

    public SheetMapping withFixed(Map<String, String> other) {
        return SheetMappingBuilder.builder(this).fixed(other).build();
    }

    /** The same with words of another beside its own, which come first. */
    SheetMapping withWordsBehind(Map<String, Map<String, String>> guessed) {
        Map<String, Map<String, String>> all = new HashMap<>();
        guessed.forEach((key, of) -> all.put(key, new LinkedHashMap<>(of)));
        words.forEach((key, of) ->
                all.computeIfAbsent(key, k -> new LinkedHashMap<>()).putAll(of));
        return withWords(all);
    }

    boolean has(String key) {
        return fixed.containsKey(key) || columns.values().stream().anyMatch(c -> c.to().equals(key));
    }
}
