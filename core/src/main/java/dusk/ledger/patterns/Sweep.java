package dusk.ledger.patterns;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Reckons all choices of one to three tackle factors within one set of conditions at once: block totals of the conditions are kept, and each choice's own
 * part subtracted. One thread's scratch.
 */
final class Sweep {
    static final int LEAST_STINTS = 8;
    static final int LEAST_TRIPS = 4;
    static final double LEAST_ROD_HOURS = 4;
    static final int LEAST_FISH = 5;

    /** A choice with something to say for now has a p of this at most. */
    static final double PROMISING = 0.01;

    /** Under this, whatever its degrees of freedom, a t is not promising: the normal's. Spares most of the tails. */
    private static final double LEAST_T = 2.5758;

    private static final int UNRECORDED = -2;
    private static final int UNSUPPORTED = -1;

    private final Terms terms;
    private final Unrest unrest;

    /** Combined level of each index, the width where a factor is not recorded. */
    private int[] combined = new int[0];

    // by combined level
    private int[] stints = new int[0];
    private int[] choiceOf = new int[0];

    // by choice that has the stints
    private int[] levelOf = new int[0];
    private Effect.Sums[] sums = new Effect.Sums[0];
    private double[] hours = new double[0];
    private int[] trips = new int[0];
    private int[] soleTrips = new int[0];
    private int[] rowsInTrip = new int[0];
    private double[] x = new double[0];
    private double[] n1 = new double[0];
    private int[] rows = new int[0];
    private double[] restFish = new double[0];
    private double[] restExpected = new double[0];
    private int[] restBlocks = new int[0];
    private boolean[] asked = new boolean[0];
    private int[] touched = new int[0];
    private int[] touchedInTrip = new int[0];
    private int touchedTrip;

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
        int choices = choices(within, width);
        if (choices == 0) {
            return Found.none(size);
        }
        Recorded recorded = sums(within, choices);
        if (recorded.fish() < LEAST_FISH) {
            return Found.none(size);
        }
        int supported = 0;
        int tested = 0;
        double precision = 0;
        double excess = 0;
        List<Tested> promising = new ArrayList<>();
        for (int k = 0; k < choices; k++) {
            if (!supported(k, recorded)) {
                continue;
            }
            supported++;
            if (!sums[k].telling()) {
                continue;
            }
            tested++;
            Effect effect = sums[k].effect(unrest.dispersion());
            double variance = effect.variance();
            precision += 1 / variance;
            excess += (effect.log() * effect.log() - variance) / variance;
            if (Math.abs(effect.t()) >= LEAST_T) {
                double p = effect.p();
                if (p <= PROMISING) {
                    promising.add(new Tested(numbers(conditionTerms, factors, levelOf[k]), effect, p));
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

    /** Numbers the levels that have the stints, on both sides; how many. */
    private int choices(Within within, int width) {
        int all = within.size - stints[width];
        int count = 0;
        for (int level = 0; level < width; level++) {
            boolean enough = stints[level] >= LEAST_STINTS && all - stints[level] >= LEAST_STINTS;
            choiceOf[level] = enough ? count++ : UNSUPPORTED;
        }
        choiceOf[width] = UNRECORDED;
        if (count == 0) {
            return 0;
        }
        makeRoom(count, within.blocks);
        for (int level = 0; level < width; level++) {
            if (choiceOf[level] >= 0) {
                levelOf[choiceOf[level]] = level;
            }
        }
        return count;
    }

    private void makeRoom(int choices, int blocks) {
        if (levelOf.length < choices) {
            int room = Math.max(choices, 2 * levelOf.length);
            levelOf = new int[room];
            Effect.Sums[] more = Arrays.copyOf(sums, room);
            for (int k = sums.length; k < room; k++) {
                more[k] = new Effect.Sums();
            }
            sums = more;
            hours = new double[room];
            trips = new int[room];
            soleTrips = new int[room];
            rowsInTrip = new int[room];
            x = new double[room];
            n1 = new double[room];
            rows = new int[room];
            restFish = new double[room];
            restExpected = new double[room];
            restBlocks = new int[room];
            asked = new boolean[room];
            touched = new int[room];
            touchedInTrip = new int[room];
        }
        for (int k = 0; k < choices; k++) {
            sums[k].clear();
        }
        Arrays.fill(hours, 0, choices, 0);
        Arrays.fill(trips, 0, choices, 0);
        Arrays.fill(soleTrips, 0, choices, 0);
        if (sole.length < blocks) {
            blockFish = new double[blocks];
            blockExpected = new double[blocks];
            sole = new int[blocks];
        }
    }

    /** What all recorded stints of a run come to. */
    private record Recorded(int trips, double hours, double fish) {}

    private boolean supported(int k, Recorded recorded) {
        return trips[k] >= LEAST_TRIPS
                && hours[k] >= LEAST_ROD_HOURS
                && recorded.trips() - soleTrips[k] >= LEAST_TRIPS
                && recorded.hours() - hours[k] >= LEAST_ROD_HOURS;
    }

    private Recorded sums(Within within, int choices) {
        int tripCount = 0;
        double allHours = 0;
        double allFish = 0;
        int rowsOfTrip = 0;
        boolean anySole = false;
        touchedTrip = 0;
        for (int b = 0; b < within.blocks; b++) {
            double fish = 0;
            double expected = 0;
            int count = 0;
            int touchedHere = 0;
            for (int i = within.blockFrom[b]; i < within.blockFrom[b + 1]; i++) {
                int k = choiceOf[combined[i]];
                if (k == UNRECORDED) {
                    continue;
                }
                fish += within.fish[i];
                expected += within.expected[i];
                allHours += within.rodHours[i];
                count++;
                if (k < 0) {
                    continue;
                }
                if (rows[k]++ == 0) {
                    touched[touchedHere++] = k;
                    x[k] = 0;
                    n1[k] = 0;
                }
                x[k] += within.fish[i];
                n1[k] += within.expected[i];
                hours[k] += within.rodHours[i];
            }
            allFish += fish;
            rowsOfTrip += count;
            blockFish[b] = fish;
            blockExpected[b] = expected;
            sole[b] = count == 0 ? UNRECORDED : UNSUPPORTED;
            for (int t = 0; t < touchedHere; t++) {
                int k = touched[t];
                if (rows[k] == count) {
                    sole[b] = k;
                    anySole = true;
                } else if (fish > 0) {
                    sums[k].block(x[k], n1[k], fish - x[k], expected - n1[k]);
                }
                if (rowsInTrip[k] == 0) {
                    touchedInTrip[touchedTrip++] = k;
                }
                rowsInTrip[k] += rows[k];
                rows[k] = 0;
            }
            if (b + 1 == within.blocks || within.blockTrip[b + 1] != within.blockTrip[b]) {
                tripCount += rowsOfTrip > 0 ? 1 : 0;
                closeTrip(rowsOfTrip, unrest.ofTrip()[within.blockTrip[b]]);
                rowsOfTrip = 0;
            }
        }
        if (anySole) {
            for (int s = 0; s + 1 < within.seasonFrom.length; s++) {
                fallBack(within, s);
            }
        }
        return new Recorded(tripCount, allHours, allFish);
    }

    private void closeTrip(int rowsOfTrip, double tripUnrest) {
        for (int t = 0; t < touchedTrip; t++) {
            int k = touchedInTrip[t];
            trips[k]++;
            soleTrips[k] += rowsInTrip[k] == rowsOfTrip ? 1 : 0;
            rowsInTrip[k] = 0;
            sums[k].closeTrip(tripUnrest);
        }
        touchedTrip = 0;
    }

    /** Blocks that saw one choice only, against the same angler's blocks without it on the water that month. */
    private void fallBack(Within within, int season) {
        int from = within.seasonFrom[season];
        int to = within.seasonFrom[season + 1];
        if (to - from < 2) {
            return;
        }
        double fish = 0;
        double expected = 0;
        int count = 0;
        int asking = 0;
        for (int at = from; at < to; at++) {
            int b = within.seasonBlocks[at];
            if (sole[b] == UNRECORDED) {
                continue;
            }
            fish += blockFish[b];
            expected += blockExpected[b];
            count++;
            int k = sole[b];
            if (k < 0) {
                continue;
            }
            if (!asked[k]) {
                asked[k] = true;
                touched[asking++] = k;
                x[k] = 0;
                n1[k] = 0;
                restFish[k] = 0;
                restExpected[k] = 0;
                restBlocks[k] = 0;
            }
            x[k] += blockFish[b];
            n1[k] += blockExpected[b];
            restBlocks[k]--;
        }
        if (asking == 0) {
            return;
        }
        if (fish > 0 && count > 1) {
            takeOutShared(within, from, to);
            for (int t = 0; t < asking; t++) {
                int k = touched[t];
                if (count + restBlocks[k] > 0) {
                    sums[k].block(x[k], n1[k], fish - x[k] + restFish[k], expected - n1[k] + restExpected[k]);
                    sums[k].closeFallback();
                }
            }
        }
        for (int t = 0; t < asking; t++) {
            asked[touched[t]] = false;
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
                int k = choiceOf[combined[i]];
                if (k >= 0 && asked[k] && rows[k] != b + 1) {
                    rows[k] = b + 1;
                    restFish[k] -= blockFish[b];
                    restExpected[k] -= blockExpected[b];
                    restBlocks[k]--;
                }
            }
            for (int i = within.blockFrom[b]; i < within.blockFrom[b + 1]; i++) {
                int k = choiceOf[combined[i]];
                if (k >= 0) {
                    rows[k] = 0;
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
