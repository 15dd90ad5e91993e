package dusk.ledger.sheets;

import dusk.ledger.interchange.Fault;
import dusk.ledger.interchange.Refused;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Mappings as JSON: what a mapping does not say is guessed from the sheet. */
public final class MappingFile {
    private MappingFile() {}

    /** Written so that it reads back as the same. */
    public static String write(List<SheetMapping> mappings) {
        ObjectNode root = JsonMapper.shared().createObjectNode();
        var sheets = root.putArray("sheets");
        for (SheetMapping mapping : mappings) {
            ObjectNode sheet = sheets.addObject();
            sheet.put("sheet", mapping.sheet());
            sheet.put("header_row", mapping.headRow());
            sheet.put("header_rows", mapping.headRows());
            sheet.put("row", mapping.row().word());
            sheet.put("dates", mapping.dates().word());
            sheet.put("decimal", mapping.commas() ? "," : ".");
            sheet.put("carry_dates_down", mapping.carried());
            sheet.put("leave_out_faulty", mapping.leaveOut());
            sheet.put("time_zone", mapping.timeZone());
            ObjectNode columns = sheet.putObject("columns");
            new TreeMap<>(mapping.columns()).forEach((name, column) -> {
                ObjectNode one = columns.putObject(name).put("to", column.to());
                if (!column.unit().isEmpty()) {
                    one.put("unit", column.unit());
                }
            });
            ObjectNode fixed = sheet.putObject("fixed");
            new TreeMap<>(mapping.fixed()).forEach(fixed::put);
            ObjectNode words = sheet.putObject("words");
            new TreeMap<>(mapping.words()).forEach((key, of) -> {
                ObjectNode some = words.putObject(key);
                new TreeMap<>(of).forEach(some::put);
            });
            ObjectNode kinds = sheet.putObject("new_waters");
            new TreeMap<>(mapping.waterKinds()).forEach(kinds::put);
        }
        return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(root);
    }

    /**
     * Reads mappings for a file.
     *
     * @param name of the mapping's file, for faults
     * @param text one mapping, or {@code sheets} with several
     * @throws Refused with everything that is wrong
     */
    public static List<SheetMapping> read(String name, String text, SheetFile file, MappingGuess guess) throws Refused {
        List<Fault> faults = new ArrayList<>();
        List<SheetMapping> read = new ArrayList<>();
        try {
            JsonNode root = JsonMapper.shared().readTree(text);
            if (!root.isObject()) {
                throw Refused.of(new Fault(name, 0, "", "not a mapping, expected an object with columns"));
            }
            if (root.path("sheets").isArray()) {
                root.path("sheets").forEach(one -> read.add(new Reading(name, one, file, guess, faults).mapping()));
            } else {
                read.add(new Reading(name, root, file, guess, faults).mapping());
            }
        } catch (JacksonException e) {
            long line =
                    e.getLocation() == null ? 0 : Math.max(0, e.getLocation().getLineNr());
            throw Refused.of(new Fault(name, line, "", "not JSON, expected a mapping"));
        }
        if (read.isEmpty()) {
            faults.add(new Fault(name, 0, "sheets", "empty, expected a mapping for a sheet"));
        }
        if (!faults.isEmpty()) {
            throw Refused.of(faults, faults.size());
        }
        return List.copyOf(read);
    }

    private static final class Reading {
        private final String name;
        private final JsonNode node;
        private final SheetFile file;
        private final MappingGuess guess;
        private final List<Fault> faults;

        Reading(String name, JsonNode node, SheetFile file, MappingGuess guess, List<Fault> faults) {
            this.name = name;
            this.node = node;
            this.file = file;
            this.guess = guess;
            this.faults = faults;
        }

        private void wrong(String where, String message) {
            faults.add(new Fault(name, 0, where, message));
        }

        SheetMapping mapping() {
            String wanted = node.path("sheet").asString("");
            Sheet sheet = file.sheet(wanted);
            if (!wanted.isEmpty() && !sheet.name().equals(wanted)) {
                wrong(
                        "sheet",
                        "“" + wanted + "” is no sheet of " + file.name() + ", expected one of: "
                                + String.join(
                                        ", ",
                                        file.sheets().stream().map(Sheet::name).toList()));
            }
            Head head = node.path("header_row").isInt()
                    ? Head.at(
                                    sheet,
                                    node.path("header_row").asInt(),
                                    Math.min(
                                            2,
                                            Math.max(1, node.path("header_rows").asInt(1))))
                            .orElseGet(() -> {
                                wrong(
                                        "header_row",
                                        node.path("header_row").asInt() + " is no filled row, expected the header's");
                                return Head.of(sheet);
                            })
                    : Head.of(sheet);
            SheetMapping guessed = guess.of(sheet, head);
            Map<String, SheetMapping.Column> columns = columns(head, guessed);
            SheetMapping told = new SheetMapping(
                    sheet.name(),
                    guessed.headRow(),
                    guessed.headRows(),
                    one("dates", guessed.dates(), DateForm::of, List.of("yyyy-mm-dd", "dd/mm/yyyy", "mm/dd/yyyy")),
                    one(
                            "decimal",
                            guessed.commas(),
                            w -> w.equals(",")
                                    ? Optional.of(true)
                                    : w.equals(".") ? Optional.of(false) : Optional.empty(),
                            List.of(",", ".")),
                    one("row", guessed.row(), SheetMapping.Row::of, List.of("fish", "stint", "day")),
                    node.path("carry_dates_down").asBoolean(guessed.carried()),
                    node.path("leave_out_faulty").asBoolean(false),
                    zone(),
                    columns,
                    fixed(),
                    Map.of(),
                    texts("new_waters"));
            Map<String, Map<String, String>> words = new LinkedHashMap<>();
            node.path("words")
                    .propertyNames()
                    .forEach(key -> words.put(key, texts(node.path("words").path(key))));
            return told.withWords(words).withWordsBehind(guess.words(sheet, told));
        }

        private String zone() {
            String zone = node.path("time_zone").asString("");
            try {
                return zone.isEmpty() ? "" : ZoneId.of(zone).getId();
            } catch (DateTimeException e) {
                wrong("time_zone", "“" + zone + "” is not a time zone, expected one like Europe/Dublin or UTC");
                return "";
            }
        }

        private <T> T one(
                String key, T otherwise, java.util.function.Function<String, Optional<T>> of, List<String> words) {
            String word = node.path(key).asString("");
            if (word.isEmpty()) {
                return otherwise;
            }
            return of.apply(word).orElseGet(() -> {
                wrong(key, "“" + word + "” is none, expected one of: " + String.join(" ", words));
                return otherwise;
            });
        }

        private Map<String, SheetMapping.Column> columns(Head head, SheetMapping guessed) {
            if (!node.path("columns").isObject()) {
                return guessed.columns();
            }
            Map<String, SheetMapping.Column> columns = new LinkedHashMap<>();
            for (String column : node.path("columns").propertyNames()) {
                JsonNode one = node.path("columns").path(column);
                String to = one.isString() ? one.asString() : one.path("to").asString("");
                String unit = one.path("unit").asString("");
                if (!head.names().contains(column)) {
                    wrong("columns." + column, "no such column, expected one of: " + String.join(", ", head.names()));
                } else if (Target.of(to).isEmpty()) {
                    wrong(
                            "columns." + column,
                            "“" + to
                                    + "” is nothing a column can be, expected skip, date, hours, catches.species or the like");
                } else if (!unit.isEmpty() && !Target.units(to).contains(unit)) {
                    wrong(
                            "columns." + column,
                            "“" + unit + "” is no unit of it, expected one of: " + String.join(" ", Target.units(to)));
                } else {
                    SheetMapping.Column own = guessed.columns().get(column);
                    String likely = own != null && own.to().equals(to) ? own.unit() : usual(to, column);
                    columns.put(column, new SheetMapping.Column(to, unit.isEmpty() ? likely : unit));
                }
            }
            return columns;
        }

        /** The unit that a column's name says, else the first that it may be in. */
        private static String usual(String to, String column) {
            List<String> units = Target.units(to);
            return units.isEmpty()
                    ? ""
                    : NameGuess.unit(column).filter(units::contains).orElse(units.get(0));
        }

        private Map<String, String> fixed() {
            Map<String, String> fixed = texts("fixed");
            fixed.keySet().stream()
                    .filter(key -> Target.of(key).isEmpty())
                    .forEach(key -> wrong(
                            "fixed." + key, "nothing a column can be, expected waters.name, anglers.name or the like"));
            return fixed;
        }

        private Map<String, String> texts(String key) {
            return texts(node.path(key));
        }

        private static Map<String, String> texts(JsonNode of) {
            Map<String, String> texts = new LinkedHashMap<>();
            of.propertyNames().forEach(k -> texts.put(k, of.path(k).asString("")));
            return texts;
        }
    }
}
