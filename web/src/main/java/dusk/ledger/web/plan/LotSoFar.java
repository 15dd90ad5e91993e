package dusk.ledger.web.plan;

import dusk.ledger.evidence.Interval;
import dusk.ledger.journal.SetUp;
import dusk.ledger.plan.Adviser;
import dusk.ledger.plan.Beliefs;
import dusk.ledger.plan.Feature;
import dusk.ledger.plan.PlanConditions;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.records.Offers;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Reckoned;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The lot of a club so far, in words. */
@Component
class LotSoFar {
    /** Rod-hours by lot of which less says nothing of its cost. */
    private static final double LEAST_BY_LOT = 0.5;

    private static final int MOST_TAUGHT = 5;

    private final RecentTables tables;
    private final Reckoned reckoned;
    private final Offers offers;
    private final SetUps setUps;

    LotSoFar(RecentTables tables, Reckoned reckoned, Offers offers, SetUps setUps) {
        this.tables = tables;
        this.reckoned = reckoned;
        this.offers = offers;
        this.setUps = setUps;
    }

    /** What the lot has cost and taught so far. */
    List<String> of(Person person) {
        List<Offers.Noted> noted = offers.noted(person.viewer());
        if (noted.isEmpty()) {
            return List.of(
                    "No swap was drawn yet. How often the lot is to be drawn is said when a trip is started, or on its deck.");
        }
        long taken = noted.stream().filter(Offers.Noted::taken).count();
        List<String> said = new ArrayList<>();
        said.add(noted.size() + (noted.size() == 1 ? " swap was" : " swaps were") + " drawn, " + taken + " taken; "
                + noted.stream().filter(n -> n.taken() && n.asked()).count()
                + " of those to answer a question, the others blindly.");
        double expected = 0;
        double hours = 0;
        int fish = 0;
        for (Offers.Fished one : offers.fished(person.viewer())) {
            // what was fished by lot alone has nothing to be set against
            if (one.elseHours() > 0) {
                hours += one.lotHours();
                fish += one.lotFish();
                expected += one.elseFish() / one.elseHours() * one.lotHours();
            }
        }
        if (hours >= LEAST_BY_LOT) {
            double cost = expected - fish;
            said.add(fish + " fish in " + Figures.fixed(hours, 1)
                    + " rod-hours by lot, where the same hands took what would be "
                    + Figures.fixed(expected, 1) + " in as long on the same trips: it has "
                    + (cost >= 0 ? "cost " + Figures.fixed(cost, 1) : "brought " + Figures.fixed(-cost, 1) + " more")
                    + (cost >= 0 ? " fish." : " fish than habit did."));
        }
        Map<String, Long> levels = noted.stream()
                .filter(Offers.Noted::taken)
                .collect(Collectors.groupingBy(n -> n.factor().named(n.level()), Collectors.counting()));
        if (!levels.isEmpty()) {
            said.add("Tried by lot: "
                    + levels.entrySet().stream()
                            .sorted(Map.Entry.<String, Long>comparingByValue()
                                    .reversed()
                                    .thenComparing(Map.Entry.comparingByKey()))
                            .map(e -> e.getKey() + " " + e.getValue() + (e.getValue() == 1 ? " time" : " times"))
                            .collect(Collectors.joining(", "))
                    + ".");
        }
        said.addAll(taught(person, noted));
        if (taken < noted.size()) {
            said.add(
                    "A lot that is refused whenever fish are biting teaches what habit does: refusals are counted for that.");
        }
        return said;
    }

    /** Doubts with and without what was fished to try. */
    private record Taught(Beliefs without, Beliefs with) {}

    /** How much surer the club is of what was drawn than it would be without. */
    private List<String> taught(Person person, List<Offers.Noted> noted) {
        StintTable table = tables.of(person.viewer());
        List<SetUp> all = setUps.all(person.viewer());
        Taught taught = reckoned.of(
                table,
                Taught.class,
                "taught",
                t -> new Taught(
                        Adviser.beliefs(
                                t.where(row ->
                                        !t.codes(Factor.PURPOSE).level(row).equals("trial")),
                                all,
                                PlanConditions.unknown()),
                        Adviser.beliefs(t, all, PlanConditions.unknown())));
        return noted.stream()
                .filter(Offers.Noted::taken)
                .map(n -> List.of(n.factor().key(), n.level()))
                .distinct()
                .map(n -> taught(taught, Factor.byKey(n.get(0)).orElseThrow(), n.get(1)))
                .filter(words -> !words.isEmpty())
                .limit(MOST_TAUGHT)
                .toList();
    }

    private static String taught(Taught taught, Factor factor, String level) {
        List<String> levels = taught.with().levels(factor);
        String best = levels.isEmpty() ? "" : levels.get(0);
        boolean both = levels.contains(level) && taught.without().levels(factor).containsAll(List.of(level, best));
        if (!both || best.equals(level)) {
            return "";
        }
        return "Of " + factor.named(level) + " against " + factor.named(best) + ": between "
                + within(taught.without().against(factor, level, best)) + " without what was fished to try, between "
                + within(taught.with().against(factor, level, best)) + " with it.";
    }

    private static String within(Feature.Belief belief) {
        Interval interval = Interval.around(Math.exp(belief.mean()), belief.sd() * belief.sd());
        return Figures.fixed(interval.low(), 2) + " and " + Figures.fixed(interval.high(), 2) + " times the fish";
    }
}
