package dusk.ledger.plan;

import dusk.ledger.vocabulary.Factor;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/** The rules of the trade, kept as data in {@code rules.txt} beside this class, whose head says how it is written. */
public final class RuleBook {
    private static final List<Rule> RULES = read(text());

    private RuleBook() {}

    /** In the order of the book. */
    public static List<Rule> rules() {
        return RULES;
    }

    /** Rules that answer a question, by school. */
    public static Map<String, List<Rule>> schools() {
        Map<String, List<Rule>> schools = new LinkedHashMap<>();
        RULES.stream()
                .filter(rule -> rule.question() != null)
                .forEach(rule -> schools.computeIfAbsent(String.valueOf(rule.question()), q -> new ArrayList<>())
                        .add(rule));
        return schools;
    }

    private static String text() {
        try (InputStream in = Objects.requireNonNull(RuleBook.class.getResourceAsStream("rules.txt"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Reads a book.
     *
     * @throws IllegalArgumentException naming the rule and what is wrong with it
     */
    static List<Rule> read(String text) {
        List<Rule> rules = new ArrayList<>();
        for (String block : text.split("\n\\s*\n")) {
            List<String> lines = block.lines()
                    .filter(line -> !line.startsWith("#") && !line.isBlank())
                    .toList();
            if (!lines.isEmpty()) {
                rules.add(rule(lines));
            }
        }
        return List.copyOf(rules);
    }

    private static Rule rule(List<String> lines) {
        Map<String, String> cells = new HashMap<>();
        List<Rule.Favour> favours = new ArrayList<>();
        for (String line : lines) {
            int colon = line.indexOf(':');
            if (colon < 0) {
                throw new IllegalArgumentException("“" + line + "”: expected a name, a colon and what it is");
            }
            String name = line.substring(0, colon).strip();
            String value = line.substring(colon + 1).strip();
            if (name.equals("favour")) {
                favours.add(favour(value));
            } else if (cells.put(name, value) != null) {
                throw new IllegalArgumentException(cells.get("id") + ": “" + name + "” stands twice");
            }
        }
        String id = cells.getOrDefault("id", "");
        boolean asked = cells.containsKey("question");
        if (id.isEmpty()
                || favours.isEmpty()
                || !cells.containsKey("title")
                || !cells.containsKey("why")
                || asked != cells.containsKey("school")) {
            throw new IllegalArgumentException("rule “" + id
                    + "”: expected an id, a title, a favour and a why, and a school with a question or neither");
        }
        return new Rule(
                id,
                cells.getOrDefault("title", ""),
                cells.get("question"),
                cells.get("school"),
                when(cells.getOrDefault("when", "")),
                List.copyOf(favours),
                cells.getOrDefault("why", ""));
    }

    private static Map<Factor, Set<String>> when(String text) {
        Map<Factor, Set<String>> when = new EnumMap<>(Factor.class);
        for (String term : text.isEmpty() ? new String[0] : text.split(";")) {
            String[] sides = term.split("=", 2);
            when.put(factor(sides[0], Factor.Kind.CONDITION), levels(sides[1]));
        }
        return when;
    }

    private static Rule.Favour favour(String text) {
        int times = text.lastIndexOf(" x ");
        String[] sides = text.substring(0, times).split("=", 2);
        return new Rule.Favour(
                factor(sides[0], Factor.Kind.TACKLE), levels(sides[1]), Double.parseDouble(text.substring(times + 3)));
    }

    private static Factor factor(String key, Factor.Kind kind) {
        return Factor.byKey(key.strip())
                .filter(factor -> factor.kind() == kind)
                .orElseThrow(() -> new IllegalArgumentException("“" + key.strip() + "” is no factor of "
                        + (kind == Factor.Kind.TACKLE ? "tackle" : "conditions")));
    }

    private static Set<String> levels(String text) {
        Set<String> levels = new LinkedHashSet<>();
        for (String level : text.split(",")) {
            levels.add(level.strip());
        }
        return levels;
    }
}
