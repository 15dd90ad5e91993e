package dusk.ledger.debrief;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.statistics.distribution.BinomialDistribution;

/**
 * Two levels of a factor that took bites at unlike rates within one trip. A hint and no finding: one day, and
 * whatever changed with it is named.
 *
 * @param factor what differs
 * @param more the level with the higher rate
 * @param less the level with the lower rate
 * @param chance p of rates so far apart in a day on which the factor meant nothing, two-sided, exact
 * @param changedWith factors that have no level in common on the two sides, so that this may be their doing
 */
public record DayHint(String factor, Side more, Side less, double chance, List<String> changedWith) {
    /** Less was fished too little to be compared. */
    static final double LEAST_HOURS = 0.25;

    /** Fewer bites on both sides together tell nothing. */
    static final int LEAST_BITES = 4;

    /** Above this a difference is what any day brings. */
    static final double MOST_CHANCE = 0.2;

    /** Bites in rod-hours at a level. */
    public record Side(String level, int bites, double rodHours) {
        public double rate() {
            return bites / rodHours;
        }
    }

    /**
     * A stint as far as it matters here.
     *
     * @param levels by factor; a factor that is not known is absent
     */
    public record Slice(Map<String, String> levels, int bites, double rodHours) {}

    /** The hints of a day, the unlikeliest to be luck first. */
    public static List<DayHint> of(List<Slice> day) {
        Set<String> factors = new LinkedHashSet<>();
        day.forEach(s -> factors.addAll(s.levels().keySet()));
        List<DayHint> hints = new ArrayList<>();
        for (String factor : factors) {
            List<Side> sides = sides(day, factor);
            for (int i = 0; i < sides.size(); i++) {
                for (int k = i + 1; k < sides.size(); k++) {
                    add(hints, day, factor, sides.get(i), sides.get(k));
                }
            }
        }
        hints.sort(Comparator.comparingDouble(DayHint::chance));
        return hints;
    }

    private static List<Side> sides(List<Slice> day, String factor) {
        Map<String, Side> sides = new LinkedHashMap<>();
        for (Slice slice : day) {
            String level = slice.levels().get(factor);
            if (level != null) {
                sides.merge(
                        level,
                        new Side(level, slice.bites(), slice.rodHours()),
                        (a, b) -> new Side(level, a.bites() + b.bites(), a.rodHours() + b.rodHours()));
            }
        }
        return sides.values().stream().filter(s -> s.rodHours() >= LEAST_HOURS).toList();
    }

    private static void add(List<DayHint> hints, List<Slice> day, String factor, Side one, Side other) {
        if (one.bites() + other.bites() < LEAST_BITES) {
            return;
        }
        double chance = chance(one, other);
        if (chance <= MOST_CHANCE) {
            boolean first = one.rate() > other.rate();
            Side more = first ? one : other;
            Side less = first ? other : one;
            hints.add(new DayHint(factor, more, less, chance, changedWith(day, factor, more.level(), less.level())));
        }
    }

    /**
     * Given all bites of both sides, those of one are binomial with its share of the hours: the exact test of two
     * Poisson rates (Przyborowski and Wilenski, Biometrika 31, 1940).
     */
    static double chance(Side one, Side other) {
        int all = one.bites() + other.bites();
        BinomialDistribution bites = BinomialDistribution.of(all, one.rodHours() / (one.rodHours() + other.rodHours()));
        double low = bites.cumulativeProbability(one.bites());
        double high = one.bites() == 0 ? 1 : bites.survivalProbability(one.bites() - 1);
        return Math.min(1, 2 * Math.min(low, high));
    }

    private static List<String> changedWith(List<Slice> day, String factor, String more, String less) {
        Set<String> others = new LinkedHashSet<>();
        day.forEach(s -> others.addAll(s.levels().keySet()));
        others.remove(factor);
        List<String> changed = new ArrayList<>();
        for (String other : others) {
            Set<String> there = levels(day, factor, more, other);
            Set<String> here = levels(day, factor, less, other);
            Set<String> common = new HashSet<>(there);
            common.retainAll(here);
            if (!there.isEmpty() && !here.isEmpty() && common.isEmpty()) {
                changed.add(other);
            }
        }
        return changed;
    }

    private static Set<String> levels(List<Slice> day, String factor, String level, String other) {
        Set<String> levels = new HashSet<>();
        for (Slice slice : day) {
            String found = slice.levels().get(other);
            if (level.equals(slice.levels().get(factor)) && found != null) {
                levels.add(found);
            }
        }
        return levels;
    }
}
