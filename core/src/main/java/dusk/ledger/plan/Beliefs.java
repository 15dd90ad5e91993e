package dusk.ledger.plan;

import dusk.ledger.vocabulary.Factor;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What rules and records together hold of the levels of a club's tackle under some conditions. */
public final class Beliefs {
    private final @Nullable Double rate;
    private final Map<Factor, Map<String, int[]>> levels;
    private final Effects effects;

    Beliefs(@Nullable Double rate, Map<Factor, Map<String, int[]>> levels, Effects effects) {
        this.rate = rate;
        this.levels = levels;
        this.effects = effects;
    }

    /** Fish a rod-hour under these conditions on whatever is fished; null without a fish in the records. */
    public @Nullable Double rate() {
        return rate;
    }

    /** The factors of tackle that are reckoned with. */
    public Set<Factor> factors() {
        return levels.keySet();
    }

    /** The levels of a factor, the best first. */
    public List<String> levels(Factor factor) {
        Map<String, int[]> of = levels.getOrDefault(factor, Map.of());
        return of.keySet().stream()
                .sorted((a, b) -> Double.compare(
                        effects.mean(of.getOrDefault(b, new int[0])), effects.mean(of.getOrDefault(a, new int[0]))))
                .toList();
    }

    /**
     * The log of how many times as many fish one level takes as another.
     *
     * @throws IllegalArgumentException where one of them is no level of the factor here
     */
    public Feature.Belief against(Factor factor, String level, String other) {
        int[] one = numbers(factor, level);
        int[] two = numbers(factor, other);
        double[] apart = new double[effects.count()];
        for (int number : one) {
            apart[number]++;
        }
        for (int number : two) {
            apart[number]--;
        }
        return new Feature.Belief(effects.mean(one) - effects.mean(two), Math.sqrt(effects.variance(apart)));
    }

    private int[] numbers(Factor factor, String level) {
        int[] numbers = levels.getOrDefault(factor, Map.of()).get(level);
        if (numbers == null) {
            throw new IllegalArgumentException(level + " is no level of " + factor.key() + " here");
        }
        return numbers;
    }
}
