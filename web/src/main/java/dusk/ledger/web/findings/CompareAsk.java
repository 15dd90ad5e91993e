package dusk.ledger.web.findings;

import dusk.ledger.evidence.Question;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * What a person asked on the compare page, as it came and as it was understood.
 *
 * @param where as {@code factor=level}
 * @param errors by field: what is wrong and what would be right
 * @param question null where there are errors
 */
record CompareAsk(
        String factor,
        List<String> where,
        String species,
        String least,
        Map<String, String> errors,
        @Nullable Question question) {

    static CompareAsk of(
            String factorKey, List<String> where, String species, String least, StintTable table, UnitSystem units) {
        Map<String, String> errors = new LinkedHashMap<>();
        Factor factor = Factor.byKey(factorKey).filter(CompareAsk::comparable).orElse(null);
        if (factor == null) {
            errors.put("factor", "“" + factorKey + "” cannot be compared. Choose one of the list.");
        }
        Map<Factor, Set<String>> conditions = new EnumMap<>(Factor.class);
        List<String> held = new ArrayList<>();
        for (String condition : where) {
            if (condition.isBlank()) {
                continue;
            }
            held.add(condition);
            int equals = condition.indexOf('=');
            Factor of = equals < 1
                    ? null
                    : Factor.byKey(condition.substring(0, equals)).orElse(null);
            if (of == null) {
                errors.put("where", "“" + condition + "” is not a condition. Choose one of the list.");
            } else {
                conditions.computeIfAbsent(of, f -> new HashSet<>()).add(condition.substring(equals + 1));
            }
        }
        WhichFish counted = WhichFish.of(species, least, table, units, errors);
        Question question = factor == null || !errors.isEmpty()
                ? null
                : new Question(factor, conditions, counted.species(), counted.least());
        return new CompareAsk(factorKey, held, species, least, errors, question);
    }

    /** Where the same question is answered with a level against the rest. */
    String page(String level) {
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/findings/compare")
                .queryParam("factor", "{factor}")
                .queryParam("species", "{species}")
                .queryParam("least", "{least}")
                .queryParam("level", "{level}");
        List<Object> values = new ArrayList<>(List.of(factor, species, least, level));
        for (String condition : where) {
            address.queryParam("where", "{where" + values.size() + "}");
            values.add(condition);
        }
        return address.encode().buildAndExpand(values.toArray()).toUriString();
    }

    /** Factors a page compares: not ids, which the record uses to tell blocks apart, and never the anglers. */
    static boolean comparable(Factor factor) {
        return factor.kind() != Factor.Kind.ID;
    }

    static List<Factor> factors() {
        return Arrays.stream(Factor.values()).filter(CompareAsk::comparable).toList();
    }
}
