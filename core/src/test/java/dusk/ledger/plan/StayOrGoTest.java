package dusk.ledger.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.demo.Chance;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.TreeMap;
import org.apache.commons.statistics.distribution.GammaDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StayOrGoTest {
    /** Bayes' rule and the posterior mean written out anew, by summing over a fine grid of rates. */
    @ParameterizedTest
    @CsvSource({"0.4, 1.5, 0.8, 0, 0.5", "0.7, 0.6, 0.3, 0, 2", "0.3, 2, 1, 3, 0.75", "0.95, 5, 2, 1, 0.1"})
    void theChanceAndTheRateAreThoseOfTheModel(double p0, double a, double b, int bites, double hours) {
        Holding place = new Holding(p0, a, b, 30);
        GammaDistribution rates = GammaDistribution.of(a, 1 / b);
        double some = 0;
        double weighted = 0;
        int steps = 200_000;
        for (int i = 0; i < steps; i++) {
            double rate = rates.inverseCumulativeProbability((i + 0.5) / steps);
            double likelihood = Math.pow(rate * hours, bites) * Math.exp(-rate * hours) / steps;
            some += likelihood;
            weighted += rate * likelihood;
        }
        double empty = bites == 0 ? 1 - p0 : 0;
        assertThat(place.chanceAfter(bites, hours)).isCloseTo(p0 * some / (p0 * some + empty), within(1e-4));
        assertThat(place.rateAfter(bites, hours)).isCloseTo(p0 * weighted / (p0 * some + empty), within(2e-3));
    }

    /** The worth of the best plan to stay, in bites above the going rate, by sums over seconds of the model written out anew. */
    private static double bestPlan(Holding place, StayOrGo.Now now, double more) {
        double hours = now.rodHours() + more;
        double left = now.leftHours() - more;
        double chance = place.chanceAfter(now.bites(), hours);
        double a = place.shape() + now.bites();
        double b = place.rodHours() + hours;
        double best = Double.NEGATIVE_INFINITY;
        double gain = 0;
        double second = 1 / 3600.0;
        for (double s = second / 2; s < left; s += second) {
            double bite = chance * a / b * Math.pow(b / (b + s), a + 1) * second;
            double none = chance * Math.pow(b / (b + s), a) + 1 - chance;
            double then = Math.max(0, (a + 1) / (b + s) - now.goingRate()) * (left - s);
            gain += bite * (1 + then + now.goingRate() * now.moveHours()) - now.goingRate() * none * second;
            best = Math.max(best, gain);
        }
        return best;
    }

    @ParameterizedTest
    @CsvSource({"0, 0.1", "0, 0.5", "1, 1.2", "4, 2"})
    void theTimeToGoIsWhereNoPlanToStayIsWorthItsTime(int bites, double hours) {
        Holding place = new Holding(0.4, 2, 0.8, 40);
        StayOrGo.Now now = new StayOrGo.Now(bites, hours, 1.6, 0.15, 5);
        StayOrGo advice = StayOrGo.of(place, now);
        double at = advice.goAfterHours();
        assertThat(bestPlan(place, now, at + 2 / 60.0)).isLessThanOrEqualTo(1e-3);
        if (at > 3 / 60.0) {
            assertThat(advice.go()).isFalse();
            assertThat(bestPlan(place, now, at - 3 / 60.0)).isPositive();
        }
    }

    @Test
    void withNoTimeLeftForAMoveThereIsNothingToGoTo() {
        Holding place = new Holding(0.5, 1.2, 0.6, 40);
        assertThat(StayOrGo.of(place, new StayOrGo.Now(0, 3, 0.9, 0.15, 0.1)).goAfterHours())
                .isNull();
        assertThatThrownBy(() -> new StayOrGo.Now(-1, 0, 1, 0, 1)).hasMessageContaining("0 or more");
        assertThatThrownBy(() -> new Holding(0, 1, 1, 0)).hasMessageContaining("chance between 0 and 1");
    }

    @Test
    void whatPlacesAreLikeIsLearntFromFirstStints() {
        SplittableRandom random = new SplittableRandom(11);
        List<Holding.FirstStint> stints = new ArrayList<>();
        Water water = new Water(0.35, 2, 0.5);
        for (int i = 0; i < 4000; i++) {
            double hours = 0.3 + random.nextDouble();
            double rate = water.place(random);
            stints.add(new Holding.FirstStint(Chance.poisson(rate * hours, random), hours));
        }
        Holding learnt = Holding.learn(stints, 1);
        assertThat(learnt.chance()).isCloseTo(0.35, within(0.03));
        assertThat(learnt.shape() / learnt.rodHours()).isCloseTo(4, within(0.25));
        assertThat(learnt.shape()).isBetween(1.5, 2.6);
        assertThat(Holding.learn(stints.subList(0, 19), 0.8)).isEqualTo(new Holding(0.5, 1, 1 / 0.8, 0));
    }

    /** Places of a water: holding with a chance, at a rate from a gamma. */
    private record Water(double chance, double shape, double rodHours) {
        double place(SplittableRandom random) {
            double rate = GammaDistribution.of(shape, 1 / rodHours)
                    .inverseCumulativeProbability(Math.max(1e-12, random.nextDouble()));
            return random.nextDouble() < chance ? rate : 0;
        }
    }

    private static final double DAY_HOURS = 8;
    private static final int DAYS = 200;

    private interface Leaves {
        boolean leaves(int bites, double hours, double sinceBite, double left);
    }

    /** Bites of many days, minute by minute; the same places whatever is done at them. */
    private static double bites(Water water, Leaves rule) {
        double all = 0;
        for (int day = 0; day < DAYS; day++) {
            SplittableRandom places = new SplittableRandom(1000 + day);
            SplittableRandom luck = new SplittableRandom(900_000 + day);
            double left = DAY_HOURS;
            while (left > 0) {
                double rate = water.place(places);
                int here = 0;
                double hours = 0;
                double since = 0;
                while (left > 0 && !rule.leaves(here, hours, since, left)) {
                    boolean bite = luck.nextDouble() < rate / 60;
                    here += bite ? 1 : 0;
                    hours += 1 / 60.0;
                    since = bite ? 0 : since + 1 / 60.0;
                    left -= 1 / 60.0;
                }
                all += here;
                left -= StayOrGo.USUAL_MOVE_HOURS;
            }
        }
        return all / DAYS;
    }

    /** Figures in docs/METHODS.md. The records it learns from are days on which everyone left after half an hour without a bite. */
    @ParameterizedTest
    @CsvSource({"0.25, 2, 0.5", "0.5, 1, 0.7", "0.4, 3, 1.5", "0.6, 4, 1"})
    void followingItBeatsAnyFixedWait(double chance, double shape, double rodHours) {
        Water water = new Water(chance, shape, rodHours);
        List<Holding.FirstStint> records = new ArrayList<>();
        SplittableRandom random = new SplittableRandom(5);
        double bites = 0;
        double hours = 0;
        for (int i = 0; i < 300; i++) {
            double rate = water.place(random);
            double stay = 0.25 + random.nextDouble();
            Holding.FirstStint stint = new Holding.FirstStint(Chance.poisson(rate * stay, random), stay);
            records.add(stint);
        }
        for (Holding.FirstStint stint : records) {
            bites += stint.bites();
            hours += stint.rodHours();
        }
        Holding learnt = Holding.learn(records, bites / hours);
        // going rate: of days fished by the plain rule of half an hour
        double going = bites(water, (n, t, since, left) -> since >= 0.5) / DAY_HOURS;
        double followed = bites(
                water,
                (n, t, since, left) ->
                        StayOrGo.goesNow(learnt, new StayOrGo.Now(n, t, going, StayOrGo.USUAL_MOVE_HOURS, left)));
        TreeMap<Integer, Double> fixed = new TreeMap<>();
        for (int minutes : new int[] {5, 10, 15, 20, 25, 30, 40, 50, 60, 90}) {
            double wait = minutes / 60.0;
            fixed.put(minutes, bites(water, (n, t, since, left) -> since >= wait));
        }
        String told = "followed " + followed + ", fixed waits " + fixed;
        for (int minutes : new int[] {10, 20, 40, 60}) {
            assertThat(followed).as(told).isGreaterThan(fixed.get(minutes));
        }
        double best =
                fixed.values().stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        assertThat(followed).as(told).isGreaterThanOrEqualTo(0.95 * best);
    }
}
