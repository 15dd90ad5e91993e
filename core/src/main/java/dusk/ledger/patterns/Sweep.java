package dusk.ledger.patterns;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Reckons all choices of one to three tackle factors within one set of conditions at once: block totals of the
 * conditions are kept, and each choice's own part subtracted. One thread's scratch.
 */
final class Sweep {
    static final int LEAST_FISH = 5;

    /** A choice with something to say for now has a p of this at most. */
    static final double PROMISING = 0.01;

    /** Under this, whatever its degrees of freedom, a t is not promising: the normal's. Spares most of the tails. */
    private static final double LEAST_T = 2.5758;

    private static final int UNRECORDED = -2;
    private static final int UNSUPPORTED = -1;

    private final Terms terms;
    private final Unrest unrest;

    /** Combined level of each index, the width where a factor is not recorded; then the number of its choice. */
    private int[] combined = new int[0];

    // by combined level
    private int[] stints = new int[0];
    private int[] choiceOf = new int[0];

    /** Those of the run that have the stints, and more that wait for a longer run. */
    private Choice[] choices = new Choice[0];

    private int count;

    /** Stints on either side. */
    private int recorded;

    private final Support support = new Support();

    /** Choices met in the block or season, and in the trip, at hand. */
    private Choice[] met = new Choice[0];

    private Choice[] open = new Choice[0];
    private int opened;

    // by block
    private double[] blockFish = new double[0];
    private double[] blockExpected = new double[0];
    private int[] sole = new int[0];

    Sweep(Terms terms, Unrest unrest) {
        this.terms = terms;
        this.unrest = unrest;
    }

    /**
     * What came of a sweep.
     *
     * @param supported combinations that reached the support
     * @param tested of them, those that told enough
     * @param precision sum of 1/s^2 over the tested ones, s the error of the log ratio
     * @param excess sum of (x^2 - s^2)/s^2 over them, x the log ratio
     */
    record Found(int terms, int supported, int tested, double precision, double excess, List<Tested> promising) {
        static Found none(int terms) {
            return new Found(terms, 0, 0, 0, 0, List.of());
        }
    }

    /**
     * @param conditionTerms numbers of the conditions' terms
     * @param factors indexes of tackle factors, a level of each making a choice
     */
    Found run(Within within, int[] conditionTerms, int... factors) {
        int size = conditionTerms.length + factors.length;
        int width = combine(within, factors);
        choices(within, width);
        if (count == 0 || sums(within) < LEAST_FISH) {
            return Found.none(size);
        }
        support.settle(within, combined, UNRECORDED, choices, count, recorded);
        int supported = 0;
        int tested = 0;
        double precision = 0;
        double excess = 0;
        List<Tested> promising = new ArrayList<>();
        for (int k = 0; k < count; k++) {
            Choice choice = choices[k];
            if (!support.has(k)) {
                continue;
            }
            supported++;
            if (!choice.telling()) {
                continue;
            }
            tested++;
            Effect effect = choice.effect(unrest.dispersion());
            double variance = effect.variance();
            precision += 1 / variance;
            excess += (effect.log() * effect.log() - variance) / variance;
            if (Math.abs(effect.t()) >= LEAST_T) {
                double p = effect.p();
                if (p <= PROMISING) {
                    promising.add(new Tested(numbers(conditionTerms, factors, choice.level), effect, p));
                }
            }
        }
        return new Found(size, supported, tested, precision, excess, promising);
    }

    /** Combines the factors' codes and counts stints by combined level; how many levels there are. */
    private int combine(Within within, int[] factors) {
        int n = within.size;
        if (combined.length < n) {
            combined = new int[n];
        }
        int width = 1;
        for (int f : factors) {
            width *= terms.tackle.get(f).levels();
        }
        if (stints.length <= width) {
            stints = new int[width + 1];
            choiceOf = new int[width + 1];
        }
        Arrays.fill(stints, 0, width + 1, 0);
        short[] a = within.codes[factors[0]];
        short[] b = factors.length > 1 ? within.codes[factors[1]] : a;
        short[] c = factors.length > 2 ? within.codes[factors[2]] : a;
        int levelsB = factors.length > 1 ? terms.tackle.get(factors[1]).levels() : 1;
        int levelsC = factors.length > 2 ? terms.tackle.get(factors[2]).levels() : 1;
        boolean two = factors.length > 1;
        boolean three = factors.length > 2;
        for (int i = 0; i < n; i++) {
            int level = width;
            if (a[i] > 0 && b[i] > 0 && c[i] > 0) {
                level = a[i];
                if (two) {
                    level = level * levelsB + b[i];
                }
                if (three) {
                    level = level * levelsC + c[i];
                }
            }
            combined[i] = level;
            stints[level]++;
        }
        return width;
    }

    /** Numbers the levels that have the stints, on both sides, and writes the numbers over the levels. */
    private void choices(Within within, int width) {
        recorded = within.size - stints[width];
        count = 0;
        for (int level = 0; level < width; level++) {
            if (!Support.enoughStints(stints[level], recorded)) {
                choiceOf[level] = UNSUPPORTED;
                continue;
            }
            if (count == choices.length) {
                makeRoom(2 * count + 1);
            }
            choices[count].begin(level, stints[level]);
            choiceOf[level] = count++;
        }
        choiceOf[width] = UNRECORDED;
        if (count > 0) {
            for (int i = 0; i < within.size; i++) {
                combined[i] = choiceOf[combined[i]];
            }
        }
    }

    private void makeRoom(int room) {
        int had = choices.length;
        choices = Arrays.copyOf(choices, room);
        for (int k = had; k < room; k++) {
            choices[k] = new Choice(k);
        }
        met = new Choice[room];
        open = new Choice[room];
    }

    /** Sums over all blocks, then over the fallback ones; how many fish were landed. */
    private int sums(Within within) {
        if (sole.length < within.blocks) {
            blockFish = new double[within.blocks];
            blockExpected = new double[within.blocks];
            sole = new int[within.blocks];
        }
        int landed = 0;
        for (int b = 0; b < within.blocks; b++) {
            int from = within.blockFrom[b];
            int to = within.blockFrom[b + 1];
            double fish = 0;
            double expected = 0;
            int first = UNRECORDED;
            boolean mixed = false;
            for (int i = from; i < to; i++) {
                int k = combined[i];
                if (k != UNRECORDED) {
                    landed += within.landed[i];
                    fish += within.fish[i];
                    expected += within.expected[i];
                    mixed |= first != UNRECORDED && first != k;
                    first = k;
                }
            }
            blockFish[b] = fish;
            blockExpected[b] = expected;
            sole[b] = mixed ? UNSUPPORTED : first;
            if (mixed && fish > 0) {
                block(within, from, to, fish, expected);
            }
            if (opened > 0 && within.lastOfTrip(b)) {
                closeTrip(unrest.ofTrip()[within.blockTrip[b]]);
            }
        }
        for (int s = 0; s + 1 < within.seasonFrom.length; s++) {
            fallBack(within, s);
        }
        return landed;
    }

    /** A block that saw several choices: each against the others. */
    private void block(Within within, int from, int to, double fish, double expected) {
        int here = 0;
        for (int i = from; i < to; i++) {
            int k = combined[i];
            if (k < 0) {
                continue;
            }
            Choice choice = choices[k];
            if (!choice.met) {
                choice.meet();
                met[here++] = choice;
            }
            choice.add(within.fish[i], within.expected[i]);
        }
        for (int t = 0; t < here; t++) {
            Choice choice = met[t];
            choice.met = false;
            choice.block(choice.x, choice.n1, fish - choice.x, expected - choice.n1);
            if (!choice.open) {
                choice.open = true;
                open[opened++] = choice;
            }
        }
    }

    private void closeTrip(double tripUnrest) {
        for (int t = 0; t < opened; t++) {
            open[t].open = false;
            open[t].closeTrip(tripUnrest);
        }
        opened = 0;
    }

    /** Blocks that saw one choice only, against the same angler's blocks without it on the water that month. */
    private void fallBack(Within within, int season) {
        int from = within.seasonFrom[season];
        int to = within.seasonFrom[season + 1];
        double fish = 0;
        double expected = 0;
        int blocks = 0;
        int asking = 0;
        boolean shared = false;
        for (int at = from; at < to; at++) {
            int b = within.seasonBlocks[at];
            int k = sole[b];
            if (k == UNRECORDED) {
                continue;
            }
            fish += blockFish[b];
            expected += blockExpected[b];
            blocks++;
            if (k < 0) {
                shared = true;
                continue;
            }
            Choice choice = choices[k];
            if (!choice.met) {
                choice.meet();
                met[asking++] = choice;
            }
            choice.add(blockFish[b], blockExpected[b]);
            choice.restBlocks--;
        }
        if (asking > 0 && fish > 0 && blocks > 1) {
            if (shared) {
                takeOutShared(within, from, to);
            }
            for (int t = 0; t < asking; t++) {
                Choice choice = met[t];
                if (blocks + choice.restBlocks > 0) {
                    double z = fish - choice.x + choice.restFish;
                    choice.block(choice.x, choice.n1, z, expected - choice.n1 + choice.restExpected);
                    choice.closeFallback();
                }
            }
        }
        for (int t = 0; t < asking; t++) {
            met[t].met = false;
        }
    }

    /** Blocks where an asking choice stood beside others have spoken for themselves: they are no part of its rest. */
    private void takeOutShared(Within within, int from, int to) {
        for (int at = from; at < to; at++) {
            int b = within.seasonBlocks[at];
            if (sole[b] != UNSUPPORTED) {
                continue;
            }
            for (int i = within.blockFrom[b]; i < within.blockFrom[b + 1]; i++) {
                int k = combined[i];
                if (k >= 0 && choices[k].met && choices[k].takenOut != b + 1) {
                    choices[k].takenOut = b + 1;
                    choices[k].takeOut(blockFish[b], blockExpected[b]);
                }
            }
        }
    }

    private int[] numbers(int[] conditions, int[] factors, int level) {
        int[] numbers = Arrays.copyOf(conditions, conditions.length + factors.length);
        int left = level;
        for (int f = factors.length - 1; f >= 0; f--) {
            Terms.Coded factor = terms.tackle.get(factors[f]);
            numbers[conditions.length + f] = factor.first() + left % factor.levels() - 1;
            left /= factor.levels();
        }
        Arrays.sort(numbers);
        return numbers;
    }
}
