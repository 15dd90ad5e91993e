package dusk.ledger.teach;

import dusk.ledger.plan.Feature;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Whether one level of tackle takes more than another under some conditions, and what it is worth to know. All of it is
 * reckoned before a cast is made: the mean of the log ratio that more fishing would leave has an sd of
 * sigma = v/sqrt(v + s^2), v the variance now and s^2 that of the new fishing; knowing is worth what choosing by it saves
 * (the unit normal loss: Raiffa and Schlaifer, Applied Statistical Decision Theory, 1961), and costs the fish that the worse
 * of the two leaves behind.
 *
 * @param level the one that is held to be the better now
 * @param other that may be
 * @param conditions level by factor; none for anywhere
 * @param belief of the log of how many times as many fish the other takes
 * @param rodHoursEach to fish with either, where worth less price is greatest
 * @param worthFishAYear that knowing it is worth, in the club's own fishing under these conditions
 * @param priceFish that finding it out costs
 */
public record Question(
        Factor factor,
        String level,
        String other,
        Map<Factor, String> conditions,
        Feature.Belief belief,
        int rodHoursEach,
        double worthFishAYear,
        double priceFish) {
    public Question {
        conditions = Map.copyOf(conditions);
    }

    /** What it is about, for whoever is to fish it. */
    public Lot.Pair pair() {
        return new Lot.Pair(factor, level, other);
    }

    /** Worth less price. */
    public double gain() {
        return worthFishAYear - priceFish;
    }

    /** In a sentence; bands keep the format's names. */
    public String text() {
        String where = conditions.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(e -> e.getKey().where(e.getValue()))
                .collect(Collectors.joining(", "));
        return "Does " + factor.named(other) + " take more than " + factor.named(level)
                + (where.isEmpty() ? "" : ", " + where) + "? " + rodHoursEach
                + " rod-hours on each would be worth about " + Figures.fixed(worthFishAYear, 1)
                + " fish a year, for about " + Figures.fixed(priceFish, 1) + " fish while finding out.";
    }
}
