package dusk.ledger.plan;

import dusk.ledger.evidence.Interval;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.PoissonDistribution;

/**
 * Whether calls hold: what was promised of each called rod, and what came on it.
 *
 * @param promises of rods that were fished
 */
public record Promises(List<Promise> promises) {
    private static final int TENTHS = 10;

    /** How much more stints of a trip differ than chance has them, where too little is fished to tell. */
    private static final double USUAL_DISPERSION = 1.5;

    private static final int STEPS = 41;
    private static final double REACH = 3;
    private static final double TAIL = 0.025;
    private static final NormalDistribution UNIT = NormalDistribution.of(0, 1);

    public Promises {
        promises = List.copyOf(promises);
    }

    /**
     * A rod that was called and fished.
     *
     * @param rate promised, fish a rod-hour, above 0
     * @param interval of it
     * @param rules that spoke for what was on it
     * @param rodHours fished on it, above 0
     * @param fish that came
     * @param otherHours fished on the same trip with anything else
     * @param otherFish that came on that
     */
    public record Promise(
            double rate,
            Interval interval,
            Set<String> rules,
            double rodHours,
            int fish,
            double otherHours,
            int otherFish) {
        public Promise {
            rules = Set.copyOf(rules);
            if (!(rate > 0) || !(rodHours > 0) || fish < 0) {
                throw new IllegalArgumentException("expected a rate and rod-hours above 0 and 0 fish or more, not "
                        + rate + ", " + rodHours + " and " + fish);
            }
        }

        double expected() {
            return rate * rodHours;
        }

        /**
         * Whether so many fish are within what the promise has in 95 of 100 days: fish over the dispersion are Poisson, of a
         * rate that is log-normal as its interval says.
         */
        public boolean held() {
            double sd = (Math.log(interval.high()) - Math.log(interval.low())) / (2 * 1.96);
            int counted = (int) Math.round(fish / USUAL_DISPERSION);
            double below = 0;
            double upTo = 0;
            double weights = 0;
            for (int step = 0; step < STEPS; step++) {
                double z = REACH * (2.0 * step / (STEPS - 1) - 1);
                double weight = UNIT.density(z);
                PoissonDistribution fishing =
                        PoissonDistribution.of(Math.max(1e-9, expected() * Math.exp(sd * z) / USUAL_DISPERSION));
                below += weight * (counted == 0 ? 0 : fishing.cumulativeProbability(counted - 1));
                upTo += weight * fishing.cumulativeProbability(counted);
                weights += weight;
            }
            return upTo / weights > TAIL && below / weights < 1 - TAIL;
        }
    }

    /** Promises of about one height together. @param expected fish that they promised, of the hours fished */
    public record Tenth(double from, double to, int rods, double rodHours, double expected, int fish) {}

    /** What following a rule brought. @param others fish a rod-hour of all else on the same trips */
    public record Followed(String rule, int rods, double rodHours, int fish, double otherHours, int otherFish) {}

    public int fish() {
        return promises.stream().mapToInt(Promise::fish).sum();
    }

    public double expected() {
        return promises.stream().mapToDouble(Promise::expected).sum();
    }

    public long held() {
        return promises.stream().filter(Promise::held).count();
    }

    /** By tenths of the promised rate, the lowest first; of few promises each by itself. */
    public List<Tenth> tenths() {
        List<Promise> sorted = promises.stream()
                .sorted(Comparator.comparingDouble(Promise::rate))
                .toList();
        List<Tenth> tenths = new ArrayList<>();
        int groups = Math.min(TENTHS, sorted.size());
        for (int group = 0; group < groups; group++) {
            List<Promise> of = sorted.subList(group * sorted.size() / groups, (group + 1) * sorted.size() / groups);
            tenths.add(new Tenth(
                    of.get(0).rate(),
                    of.get(of.size() - 1).rate(),
                    of.size(),
                    of.stream().mapToDouble(Promise::rodHours).sum(),
                    of.stream().mapToDouble(Promise::expected).sum(),
                    of.stream().mapToInt(Promise::fish).sum()));
        }
        return tenths;
    }

    /** Rule by rule, those followed longest first. */
    public List<Followed> byRule() {
        Map<String, List<Promise>> of = new TreeMap<>();
        promises.forEach(promise -> promise.rules()
                .forEach(
                        rule -> of.computeIfAbsent(rule, r -> new ArrayList<>()).add(promise)));
        return of.entrySet().stream()
                .map(e -> new Followed(
                        e.getKey(),
                        e.getValue().size(),
                        e.getValue().stream().mapToDouble(Promise::rodHours).sum(),
                        e.getValue().stream().mapToInt(Promise::fish).sum(),
                        e.getValue().stream().mapToDouble(Promise::otherHours).sum(),
                        e.getValue().stream().mapToInt(Promise::otherFish).sum()))
                .sorted(Comparator.comparingDouble(Followed::rodHours)
                        .reversed()
                        .thenComparing(Followed::rule))
                .toList();
    }
}
