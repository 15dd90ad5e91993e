package dusk.ledger.review;

import dusk.ledger.evidence.LikeForLike;
import dusk.ledger.evidence.Question;
import dusk.ledger.plan.PlanWords;
import dusk.ledger.plan.Rule;
import dusk.ledger.plan.RuleBook;
import dusk.ledger.plan.RuleTrial;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a club's records of a year add to those before it: how much was fished, what is sure since, what is not any more,
 * and which of the trade's rules the records speak against. Names no place.
 *
 * @param learnt sentences: sure by the end of the year and not before it
 * @param lost sentences: sure before the year and not at its end
 * @param fell the trade's rules that the records speak against since this year
 * @param fallen those that they spoke against before already
 */
public record ClubYear(
        int year,
        Effort effort,
        List<ByAngler> anglers,
        List<String> learnt,
        List<String> lost,
        List<String> fell,
        List<String> fallen) {
    /** What an angler chooses that a club can learn of. */
    private static final List<Factor> ASKED = List.of(
            Factor.RIG,
            Factor.HEAD_MASS,
            Factor.HEAD_SHAPE,
            Factor.HEAD_MATERIAL,
            Factor.PLASTIC,
            Factor.PLASTIC_LENGTH,
            Factor.COLOUR,
            Factor.PRESENTATION,
            Factor.SPEED);

    /**
     * How much was fished.
     *
     * @param blankStints without a fish
     * @param blankTrips without a fish
     */
    public record Effort(int trips, int blankTrips, int stints, int blankStints, double rodHours, int fish) {}

    /** How much one angler logged. */
    public record ByAngler(String anglerId, int trips, double rodHours, int fish) {}

    /**
     * Looks back.
     *
     * @param all the club's stints of which rates can be reckoned
     */
    public static ClubYear of(StintTable all, int year) {
        Instant from = LocalDate.of(year, 1, 1).atStartOfDay(ZoneOffset.UTC).toInstant();
        Instant to = LocalDate.of(year + 1, 1, 1).atStartOfDay(ZoneOffset.UTC).toInstant();
        StintTable before = all.where(row -> all.startedAt(row).isBefore(from));
        StintTable until = all.where(row -> all.startedAt(row).isBefore(to));
        StintTable within = until.where(row -> !until.startedAt(row).isBefore(from));
        List<String> learnt = new ArrayList<>();
        List<String> lost = new ArrayList<>();
        for (Factor factor : ASKED) {
            Question question = new Question(factor, Map.of(), null, null);
            LikeForLike then = LikeForLike.of(before, question);
            LikeForLike now = LikeForLike.of(until, question);
            now.sure().stream()
                    .filter(told ->
                            then.of(told.level()).filter(t -> same(t, told)).isEmpty())
                    .forEach(told -> learnt.add(learnt(factor, told)));
            then.sure().stream()
                    .filter(told ->
                            now.of(told.level()).filter(t -> same(t, told)).isEmpty())
                    .forEach(told -> lost.add(lost(factor, told)));
        }
        Set<String> spoken = against(before);
        List<String> fell = new ArrayList<>();
        List<String> fallen = new ArrayList<>();
        against(until).forEach(claim -> (spoken.contains(claim) ? fallen : fell).add(claim));
        return new ClubYear(
                year,
                effort(within),
                anglers(within),
                List.copyOf(learnt),
                List.copyOf(lost),
                List.copyOf(fell),
                List.copyOf(fallen));
    }

    private static boolean same(LikeForLike.Told one, LikeForLike.Told other) {
        return one.better() && other.better() || one.worse() && other.worse();
    }

    private static String learnt(Factor factor, LikeForLike.Told told) {
        String figures = told.figure()
                .map(f -> Figures.fixed(f.ratio(), 2) + " times as many fish ("
                        + Figures.fixed(f.interval().low(), 2) + " to "
                        + Figures.fixed(f.interval().high(), 2) + ")")
                .orElse("no fish on one side");
        return capital(factor.named(told.level())) + (told.better() ? " does better" : " does worse")
                + " than the rest, like for like: " + figures + ", from "
                + told.matched().clusters() + " trips.";
    }

    private static String lost(Factor factor, LikeForLike.Told told) {
        return "That " + factor.named(told.level()) + (told.better() ? " does better" : " does worse")
                + " than the rest was sure a year ago. With this year’s hours it is not.";
    }

    /** What the trade says that the records speak against, each in a sentence. */
    private static Set<String> against(StintTable table) {
        return RuleBook.rules().stream()
                .flatMap(rule -> RuleTrial.of(table, rule).stream())
                .filter(trial -> trial.verdict() == RuleTrial.Verdict.AGAINST)
                .map(ClubYear::claim)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static String claim(RuleTrial trial) {
        Rule rule = trial.rule();
        String when = PlanWords.when(rule);
        return "“" + rule.title() + "”: "
                + PlanWords.levels(trial.favour().factor(), trial.favour().levels())
                + (trial.favour().isFor() ? " should take more" : " should take fewer")
                + (when.isEmpty() ? "" : ", " + when)
                + ". Here the records say the contrary.";
    }

    private static Effort effort(StintTable within) {
        int[] fish = within.fish(null, null);
        Codes trips = within.codes(Factor.TRIP);
        BitSet fished = new BitSet();
        BitSet landed = new BitSet();
        double hours = 0;
        int blanks = 0;
        int all = 0;
        for (int row = 0; row < within.size(); row++) {
            hours += within.rodHours(row);
            all += fish[row];
            blanks += fish[row] == 0 ? 1 : 0;
            fished.set(trips.at(row));
            if (fish[row] > 0) {
                landed.set(trips.at(row));
            }
        }
        return new Effort(
                fished.cardinality(), fished.cardinality() - landed.cardinality(), within.size(), blanks, hours, all);
    }

    /** Those who fished most first. */
    private static List<ByAngler> anglers(StintTable within) {
        int[] fish = within.fish(null, null);
        Codes of = within.codes(Factor.ANGLER);
        Codes trips = within.codes(Factor.TRIP);
        Map<String, double[]> sums = new HashMap<>();
        Map<String, BitSet> on = new HashMap<>();
        for (int row = 0; row < within.size(); row++) {
            double[] sum = sums.computeIfAbsent(of.level(row), a -> new double[2]);
            sum[0] += within.rodHours(row);
            sum[1] += fish[row];
            on.computeIfAbsent(of.level(row), a -> new BitSet()).set(trips.at(row));
        }
        List<ByAngler> all = new ArrayList<>();
        sums.forEach((angler, sum) -> all.add(
                new ByAngler(angler, on.getOrDefault(angler, new BitSet()).cardinality(), sum[0], (int) sum[1])));
        all.sort((a, b) -> {
            int byHours = Double.compare(b.rodHours(), a.rodHours());
            return byHours == 0 ? a.anglerId().compareTo(b.anglerId()) : byHours;
        });
        return List.copyOf(all);
    }

    private static String capital(String word) {
        return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }
}
