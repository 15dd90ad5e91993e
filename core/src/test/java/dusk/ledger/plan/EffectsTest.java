package dusk.ledger.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.demo.Chance;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class EffectsTest {
    private static final double SD = 0.4;

    private static List<Effects.Prior> priors(int levels, boolean open) {
        return Collections.nCopies(levels, new Effects.Prior(0, SD, open));
    }

    /** Blocks of four stints, each with one level of two kinds; blocks differ tenfold in how good they are. */
    private static List<List<Effects.Stint>> fished(double[] truth, int blocks, SplittableRandom random) {
        List<List<Effects.Stint>> all = new ArrayList<>();
        int half = truth.length / 2;
        for (int b = 0; b < blocks; b++) {
            double good = Math.exp(random.nextDouble(-1.2, 1.2));
            List<Effects.Stint> block = new ArrayList<>();
            for (int s = 0; s < 4; s++) {
                int[] levels = {random.nextInt(half), half + random.nextInt(half)};
                double hours = random.nextDouble(0.3, 1.5);
                block.add(new Effects.Stint(
                        levels,
                        Chance.poisson(good * hours * Math.exp(truth[levels[0]] + truth[levels[1]]), random),
                        hours));
            }
            all.add(block);
        }
        return all;
    }

    /** Clubs whose truths are drawn as the priors say: ninety-five intervals of a hundred hold them. */
    @Test
    void ninetyFiveOfAHundredIntervalsHoldTheTruth() {
        SplittableRandom random = new SplittableRandom(11);
        int held = 0;
        int all = 0;
        for (int club = 0; club < 60; club++) {
            double[] truth = IntStream.range(0, 10)
                    .mapToDouble(i -> SD * random.nextGaussian())
                    .toArray();
            Effects effects = Effects.of(fished(truth, 120, random), priors(10, false));
            for (int l = 0; l < 10; l++) {
                held += Math.abs(effects.mean(l) - truth[l]) <= 1.96 * effects.sd(l) ? 1 : 0;
                all++;
            }
        }
        assertThat(held / (double) all).isBetween(0.92, 0.98);
    }

    @Test
    void aSumIsSurerThanItsPartsWhereTheyAreAlwaysTiedOnTogether() {
        SplittableRandom random = new SplittableRandom(5);
        List<List<Effects.Stint>> blocks = new ArrayList<>();
        for (int b = 0; b < 200; b++) {
            blocks.add(List.of(
                    new Effects.Stint(new int[] {0, 1}, Chance.poisson(4, random), 1),
                    new Effects.Stint(new int[] {}, Chance.poisson(2, random), 1)));
        }
        Effects effects = Effects.of(blocks, priors(2, false));
        int[] both = {0, 1};
        assertThat(effects.mean(both)).as("the records said it once").isCloseTo(Math.log(2), within(0.2));
        assertThat(effects.mean(0)).isCloseTo(effects.mean(1), within(1e-6));
        assertThat(Math.sqrt(effects.variance(both))).isLessThan(effects.sd(0));
    }

    @Test
    void withoutFishTheRulesStand() {
        List<Effects.Prior> priors = List.of(new Effects.Prior(0.3, 0.35, false), new Effects.Prior(0, 0.7, true));
        for (List<List<Effects.Stint>> blocks : List.of(
                List.<List<Effects.Stint>>of(),
                List.of(List.of(new Effects.Stint(new int[] {0}, 0, 2), new Effects.Stint(new int[] {1}, 0, 2))))) {
            Effects effects = Effects.of(blocks, priors);
            assertThat(effects.mean(0)).isEqualTo(0.3);
            assertThat(effects.sd(0)).isCloseTo(0.35, within(1e-12));
            assertThat(effects.sd(1)).isCloseTo(0.7, within(1e-12));
            assertThat(effects.width()).isEqualTo(1);
        }
    }

    @Test
    void whereNothingDiffersTheOpenLevelsAreHeldCloseAndTheRuledAreNot() {
        SplittableRandom random = new SplittableRandom(3);
        List<List<Effects.Stint>> blocks = fished(new double[10], 300, random);
        assertThat(Effects.of(blocks, priors(10, true)).width()).isLessThan(0.4);
        assertThat(Effects.of(fished(truths(random), 300, random), priors(10, true))
                        .width())
                .isGreaterThan(0.6);
        assertThat(Effects.of(blocks, priors(10, false)).sd(0))
                .isGreaterThan(Effects.of(blocks, priors(10, true)).sd(0));
    }

    @Test
    void rulesThatTheRecordsBelieAreNotHeardOnWhatTheRecordsCannotTell() {
        SplittableRandom random = new SplittableRandom(21);
        List<Effects.Prior> rules = Collections.nCopies(11, new Effects.Prior(0.6, 0.35, false));
        // ten levels fished, of which the rules say the same; the eleventh was never fished
        Effects believed = Effects.of(List.of(), rules);
        double[] half = new double[10];
        Arrays.setAll(half, level -> level % 2 == 0 ? 1.2 : -1.2);
        Effects belied = Effects.of(fished(half, 400, random), rules);
        assertThat(believed.trust()).isEqualTo(1);
        assertThat(believed.mean(10)).isEqualTo(0.6);
        assertThat(belied.trust()).isLessThan(0.1);
        assertThat(belied.mean(10)).isCloseTo(0, within(0.06));
    }

    private static double[] truths(SplittableRandom random) {
        return IntStream.range(0, 10)
                .mapToDouble(i -> SD * random.nextGaussian())
                .toArray();
    }

    /** One day on which a level took sixty fish and all else a few does not outweigh forty days that say nothing. */
    @Test
    void oneGreatDayIsBoundedWhereFishOfADayChooseAlike() {
        SplittableRandom random = new SplittableRandom(8);
        List<List<Effects.Stint>> blocks = new ArrayList<>();
        for (int b = 0; b < 40; b++) {
            // on each day one of the two is far ahead, by lot
            boolean first = random.nextBoolean();
            blocks.add(List.of(
                    new Effects.Stint(new int[] {0}, Chance.poisson(first ? 6 : 1, random), 1),
                    new Effects.Stint(new int[] {1}, Chance.poisson(first ? 1 : 6, random), 1)));
        }
        double before = Effects.of(blocks, priors(2, false)).mean(0);
        blocks.add(List.of(new Effects.Stint(new int[] {0}, 60, 1), new Effects.Stint(new int[] {1}, 3, 1)));
        Effects after = Effects.of(blocks, priors(2, false));
        assertThat(after.mean(0) - before).isBetween(0.0, 0.15);
        assertThat(after.mean(0)).isLessThan(1.96 * after.sd(0));
    }

    @Test
    void drawsHaveTheMeansAndTheSpreadOfWhatIsHeld() {
        SplittableRandom random = new SplittableRandom(2);
        Effects effects = Effects.of(fished(truths(random), 80, random), priors(10, false));
        double[][] draws = effects.draws(20_000, random);
        int[] pair = {1, 7};
        double[] sums = new double[draws.length];
        for (int d = 0; d < draws.length; d++) {
            sums[d] = draws[d][1] + draws[d][7];
        }
        double mean = java.util.Arrays.stream(sums).average().orElseThrow();
        double variance = java.util.Arrays.stream(sums)
                .map(s -> (s - mean) * (s - mean))
                .average()
                .orElseThrow();
        assertThat(mean).isCloseTo(effects.mean(pair), within(0.01));
        assertThat(variance / effects.variance(pair)).isBetween(0.95, 1.05);
    }
}
