package dusk.ledger.plan;

import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What the rule book says under some conditions: which rules speak, how loud each is where schools disagree, and what waits. */
final class RulesHere {
    private final Map<Factor, String> known;

    /** The rules that fire, each with its share of the say, 0 to 1. */
    private final Map<Rule, Double> voices = new LinkedHashMap<>();

    /** @param followed schools by question; the others of a question are then not heard */
    RulesHere(Map<Factor, String> known, Map<String, String> followed) {
        this.known = known;
        List<Rule> firing = RuleBook.rules().stream()
                .filter(rule -> rule.given(known) == Rule.Firing.FIRES)
                .toList();
        for (Rule rule : firing) {
            voices.put(rule, voice(rule, firing, followed));
        }
    }

    private static double voice(Rule rule, List<Rule> firing, Map<String, String> followed) {
        String question = rule.question();
        if (question == null) {
            return 1;
        }
        String school = followed.get(question);
        if (school != null) {
            return school.equals(rule.school()) ? 1 : 0;
        }
        return 1.0
                / firing.stream()
                        .filter(other -> question.equals(other.question()))
                        .map(Rule::school)
                        .distinct()
                        .count();
    }

    /** What is heard of a level. @param mean the sum of the logs of the ratios, each as loud as its rule */
    record Said(List<Rule> rules, double mean) {}

    Said of(Factor factor, String level) {
        List<Rule> rules = new ArrayList<>();
        double mean = 0;
        for (Map.Entry<Rule, Double> voice : voices.entrySet()) {
            for (Rule.Favour favour : voice.getKey().favours()) {
                if (favour.factor() == factor && favour.levels().contains(level) && voice.getValue() > 0) {
                    rules.add(voice.getKey());
                    mean += voice.getValue() * Math.log(favour.ratio());
                }
            }
        }
        return new Said(rules, mean);
    }

    /** Everything that any of the rules speaks of, for or against. */
    List<Rule.Favour> favours() {
        return voices.keySet().stream().flatMap(rule -> rule.favours().stream()).toList();
    }

    /** Levels of a factor that any of the rules is for. */
    Set<String> levelsFor(Factor factor) {
        Set<String> levels = new LinkedHashSet<>();
        favours().stream()
                .filter(favour -> favour.factor() == factor && favour.isFor())
                .forEach(favour -> levels.addAll(favour.levels()));
        return levels;
    }

    /** Questions that several schools answer here. */
    List<Advice.Schools> schools() {
        List<Advice.Schools> disputed = new ArrayList<>();
        RuleBook.schools().forEach((question, rules) -> {
            List<Rule> here = rules.stream().filter(voices::containsKey).toList();
            if (new HashSet<>(here.stream().map(Rule::school).toList()).size() > 1) {
                disputed.add(new Advice.Schools(question, here));
            }
        });
        return disputed;
    }

    /** What is not known and rules wait for, that with most first. */
    List<Advice.Unknown> unknown() {
        Map<Factor, Double> matters = new EnumMap<>(Factor.class);
        for (Rule rule : RuleBook.rules()) {
            if (rule.given(known) == Rule.Firing.UNTOLD) {
                double strength = rule.favours().stream()
                        .mapToDouble(favour -> Math.abs(Math.log(favour.ratio())))
                        .max()
                        .orElse(0);
                rule.when().keySet().stream()
                        .filter(factor -> !known.containsKey(factor))
                        .forEach(factor -> matters.merge(factor, strength, Double::sum));
            }
        }
        return matters.entrySet().stream()
                .map(e -> new Advice.Unknown(e.getKey(), e.getValue()))
                .sorted(Comparator.comparingDouble(Advice.Unknown::matters).reversed())
                .toList();
    }
}
