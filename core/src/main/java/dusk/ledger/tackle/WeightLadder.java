package dusk.ledger.tackle;

import dusk.ledger.units.Mass;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The steps that heads are sold in. */
public enum WeightLadder {
    GRAMS(Stream.of(1.0, 1.5, 2.0, 2.5, 3.5, 5.0, 7.0, 10.0, 14.0, 18.0, 21.0, 28.0, 42.0, 56.0)
            .map(Mass::ofGrams)),
    OUNCES(Stream.of(
                    1 / 32.0, 1 / 16.0, 3 / 32.0, 1 / 8.0, 3 / 16.0, 1 / 4.0, 3 / 8.0, 1 / 2.0, 5 / 8.0, 3 / 4.0, 1.0,
                    1.5, 2.0)
            .map(ounces -> Mass.ofGrams(ounces * Mass.GRAMS_PER_OUNCE)));

    /** Closer than this a step counts as the same weight: 3.5 g is 1/8 oz. */
    private static final double SAME = 1.03;

    private final Mass[] steps;

    WeightLadder(Stream<Mass> steps) {
        this.steps = steps.toArray(Mass[]::new);
    }

    /** The ladder of a person's unit of heads. */
    public static WeightLadder of(Mass.Unit unit) {
        return unit == Mass.Unit.OUNCE ? OUNCES : GRAMS;
    }

    /** All, the lightest first. */
    public List<Mass> steps() {
        return List.of(steps);
    }

    /** One step heavier; empty at the top. */
    public Optional<Mass> up(Mass from) {
        return Arrays.stream(steps)
                .filter(step -> step.grams() > from.grams() * SAME)
                .findFirst();
    }

    /** One step lighter; empty at the bottom. */
    public Optional<Mass> down(Mass from) {
        return Arrays.stream(steps)
                .filter(step -> step.grams() < from.grams() / SAME)
                .reduce((lighter, heavier) -> heavier);
    }
}
