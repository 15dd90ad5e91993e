package dusk.ledger.plan;

import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Reasons and rules as sentences; bands keep the format's names. */
public final class PlanWords {
    private PlanWords() {}

    /** Why a level stands in a call, for or against. */
    public static String reason(Feature feature) {
        String what = feature.factor().named(feature.level());
        String times = Figures.fixed(feature.ratio(), 2) + " times the others' fish";
        String rules = feature.rules().stream().map(Rule::title).distinct().collect(Collectors.joining("; "));
        return switch (feature.from()) {
            case RULES -> what + ": " + times + ", the trade says (" + rules + ")";
            case RECORDS -> what + ": " + times + ", by the records in like conditions";
            case BOTH ->
                what + ": " + times + ", " + Math.round(100 * feature.recordsShare())
                        + " % of it by the records; the trade says: " + rules;
            case NOBODY -> what + ": nothing known";
        };
    }

    /** When a rule speaks, such as {@code season winter, and depth 3-6 m, 6-10 m or 10 m and over}; {@code always} without conditions. */
    public static String when(Rule rule) {
        return rule.when().isEmpty()
                ? "always"
                : rule.when().entrySet().stream()
                        .map(term -> levels(term.getKey(), term.getValue()))
                        .collect(Collectors.joining(", and "));
    }

    /** What it favours or warns of, such as {@code colour violet}. */
    public static String levels(Factor factor, Set<String> levels) {
        List<String> all = List.copyOf(levels);
        int last = all.size() - 1;
        return factor.title() + " "
                + (last == 0 ? all.get(0) : String.join(", ", all.subList(0, last)) + " or " + all.get(last));
    }
}
