package dusk.ledger.teach;

import dusk.ledger.evidence.StintDispersion;
import dusk.ledger.journal.SetUp;
import dusk.ledger.plan.Adviser;
import dusk.ledger.plan.Beliefs;
import dusk.ledger.plan.Feature;
import dusk.ledger.plan.PlanConditions;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.jspecify.annotations.Nullable;

/**
 * Which questions a club's next fishing would answer to most profit. Each asks whether another level of a factor beats the one
 * that is held to be the best: between two of which neither is that, an answer changes nothing that anybody ties on.
 */
public final class Teaching {
    private static final Duration LOOKED_BACK = Duration.ofDays(730);
    private static final double YEARS = 2;
    private static final int LEAST_HOURS = 2;
    private static final int MOST_HOURS = 40;

    /** Conditions of which coming trips are likely to meet one, and that a person can plan for. */
    private static final List<Factor> PLANNED_FOR = List.of(Factor.SEASON, Factor.LIGHT, Factor.CLARITY);

    /** Share of the fishing under which a condition is too rare to plan for. */
    private static final double RARE = 0.1;

    private static final NormalDistribution UNIT = NormalDistribution.of(0, 1);

    private Teaching() {}

    /**
     * Under some conditions.
     *
     * @param known of them; those of a club's trips that say otherwise do not count as such fishing
     * @return those worth more than they cost, the most first
     */
    public static List<Question> under(StintTable table, List<SetUp> setUps, PlanConditions conditions) {
        return of(table, setUps, List.of(conditions), conditions.species());
    }

    /** Under any condition that the last two years' fishing often met, and anywhere; the most profitable first. */
    public static List<Question> of(StintTable table, List<SetUp> setUps, @Nullable String species) {
        List<PlanConditions> conditions = new ArrayList<>(List.of(PlanConditions.unknown()));
        StintTable recent = recent(table);
        double all = hours(recent);
        for (Factor factor : PLANNED_FOR) {
            Codes codes = recent.codes(factor);
            for (String level : codes.levels()) {
                int code = codes.codeOf(level);
                if (code > 0 && hours(recent.where(row -> codes.at(row) == code)) >= RARE * all) {
                    conditions.add(PlanConditions.knowing(Map.of(factor, level)));
                }
            }
        }
        return of(table, setUps, conditions, species);
    }

    private static List<Question> of(
            StintTable table, List<SetUp> setUps, List<PlanConditions> conditions, @Nullable String species) {
        double dispersion = dispersion(table, species);
        StintTable recent = recent(table);
        List<Question> questions = new ArrayList<>();
        for (PlanConditions one : conditions) {
            StintTable here = recent.where(row -> one.known().entrySet().stream()
                    .allMatch(e -> recent.codes(e.getKey()).level(row).equals(e.getValue())));
            double hours = hours(here) / YEARS;
            Beliefs beliefs = Adviser.beliefs(table, setUps, one);
            Double rate = beliefs.rate();
            if (rate == null || hours <= 0) {
                continue;
            }
            for (Factor factor : beliefs.factors()) {
                List<String> levels = beliefs.levels(factor);
                for (String other : levels.subList(Math.min(1, levels.size()), levels.size())) {
                    Feature.Belief belief = beliefs.against(factor, other, levels.get(0));
                    questions.add(asked(factor, levels.get(0), other, one.known(), belief, rate, hours, dispersion));
                }
            }
        }
        questions.sort(Comparator.comparingDouble(Question::gain).reversed());
        // the same two under several conditions: where it pays most to find out
        Set<List<Object>> seen = new HashSet<>();
        return questions.stream()
                .filter(q -> q.gain() > 0 && seen.add(List.of(q.factor(), Set.of(q.level(), q.other()))))
                .toList();
    }

    private static Question asked(
            Factor factor,
            String level,
            String other,
            Map<Factor, String> conditions,
            Feature.Belief belief,
            double rate,
            double hoursAYear,
            double dispersion) {
        Question best = null;
        for (int hours = LEAST_HOURS; hours <= MOST_HOURS; hours++) {
            Question question = new Question(
                    factor,
                    level,
                    other,
                    conditions,
                    belief,
                    hours,
                    worth(belief, rate, hoursAYear, dispersion, hours),
                    hours * rate * Math.abs(Math.expm1(belief.mean())));
            best = best == null || question.gain() > best.gain() ? question : best;
        }
        return Objects.requireNonNull(best);
    }

    /**
     * Fish a year that so many rod-hours on each side are worth: r0 H (sigma phi(m/sigma) - |m| Phi(-|m|/sigma)).
     *
     * @param belief m and the root of v
     * @param rate r0, fish a rod-hour, above 0
     * @param hoursAYear H, that are fished under such conditions
     * @param dispersion f, 1 or more
     * @param hoursEach n, above 0
     */
    static double worth(Feature.Belief belief, double rate, double hoursAYear, double dispersion, double hoursEach) {
        double variance = belief.sd() * belief.sd();
        double data = dispersion * (1 / rate + 1 / (rate * Math.exp(belief.mean()))) / hoursEach;
        double sigma = variance / Math.sqrt(variance + data);
        if (sigma <= 0) {
            return 0;
        }
        double m = Math.abs(belief.mean());
        return rate * hoursAYear * (sigma * UNIT.density(m / sigma) - m * UNIT.cumulativeProbability(-m / sigma));
    }

    /** f of section 9: how much more stints of a trip differ than chance. */
    public static double dispersion(StintTable table, @Nullable String species) {
        int[] trip = new int[table.size()];
        double[] hours = new double[table.size()];
        for (int row = 0; row < trip.length; row++) {
            trip[row] = table.codes(Factor.TRIP).at(row);
            hours[row] = table.rodHours(row);
        }
        return StintDispersion.of(trip, table.fish(species, null), hours);
    }

    private static StintTable recent(StintTable table) {
        Instant last = Instant.MIN;
        for (int row = 0; row < table.size(); row++) {
            last = table.startedAt(row).isAfter(last) ? table.startedAt(row) : last;
        }
        Instant from = table.size() == 0 ? last : last.minus(LOOKED_BACK);
        return table.where(row -> table.startedAt(row).isAfter(from));
    }

    private static double hours(StintTable table) {
        double hours = 0;
        for (int row = 0; row < table.size(); row++) {
            hours += table.rodHours(row);
        }
        return hours;
    }
}
