package dusk.ledger.patterns;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Reckons all choices of one or more tackle factors within one set of conditions at once: block totals of the conditions are kept, and each choice's
 * own part subtracted. Two passes over the places: the first counts support, the second sums the effects of what reached it. One thread's scratch.
 */
final class Sweep {
    static final int LEAST_STINTS = 8;
    static final int LEAST_TRIPS = 4;
    static final double LEAST_ROD_HOURS = 4;
    static final int LEAST_FISH = 5;

    private final Layout layout;
    private final double[] expected;
    private final double dispersion;

    // first pass, by combined level
    private int[] stints = new int[0];
    private int[] trips = new int[0];
    private int[] soleTrips = new int[0];
    private int[] lastTrip = new int[0];
    private double[] hours = new double[0];

    // second pass, by supported choice
    private int[] choiceOf = new int[0];
    private final IntList touchedInBlock = new IntList();
    private final IntList touchedInTrip = new IntList();
    private double[] x = new double[0];
    private double[] n1 = new double[0];
    private int[] rows = new int[0];
    private boolean[] openTrip = new boolean[0];
    private final SeasonSums seasonSums = new SeasonSums();
    private final double[] seasonFish;
    private final double[] seasonExpected;
    private final int[] seasonRows;

    Sweep(Layout layout, double[] expected, double dispersion) {
        this.layout = layout;
        this.dispersion = dispersion;
        this.expected = expected;
        seasonFish = new double[layout.seasons];
        seasonExpected = new double[layout.seasons];
        seasonRows = new int[layout.seasons];
    }

    /** Combinations seen in a sweep: how many reached the support, and those told enough to be tested. */
    record Found(int supported, List<Tested> tested) {}

    /**
     * @param places where the conditions hold, rising
     * @param conditionTerms numbers of the conditions' terms
     * @param factors tackle factors, a level of each making a choice
     */
    Found run(int[] places, int[] conditionTerms, List<Terms.Coded> factors) {
        int width = 1;
        for (Terms.Coded factor : factors) {
            width *= factor.levels();
        }
        int[] combined = combine(places, factors);
        List<Integer> supported = supported(places, combined, width);
        if (supported.isEmpty()) {
            return new Found(0, List.of());
        }
        Effect.Sums[] sums = effects(places, combined, width, supported);
        List<Tested> tested = new ArrayList<>();
        for (int k = 0; k < sums.length; k++) {
            if (sums[k].telling()) {
                tested.add(new Tested(terms(conditionTerms, factors, supported.get(k)), sums[k].effect(dispersion)));
            }
        }
        return new Found(supported.size(), tested);
    }

    /** Combined level of each place, -1 where a factor is not recorded. */
    private static int[] combine(int[] places, List<Terms.Coded> factors) {
        int[] combined = new int[places.length];
        for (Terms.Coded factor : factors) {
            int[] codes = factor.codes();
            int levels = factor.levels();
            for (int i = 0; i < places.length; i++) {
                int code = codes[places[i]];
                combined[i] = code == 0 || combined[i] < 0 ? -1 : combined[i] * levels + code;
            }
        }
        return combined;
    }

    private static int[] terms(int[] conditions, List<Terms.Coded> factors, int combined) {
        int[] terms = Arrays.copyOf(conditions, conditions.length + factors.size());
        int left = combined;
        for (int f = factors.size() - 1; f >= 0; f--) {
            Terms.Coded factor = factors.get(f);
            terms[conditions.length + f] = factor.first() + left % factor.levels() - 1;
            left /= factor.levels();
        }
        Arrays.sort(terms);
        return terms;
    }

    /** Combined levels with enough fishing on both sides. */
    private List<Integer> supported(int[] places, int[] combined, int width) {
        clearCounts(width);
        int all = 0;
        int allTrips = 0;
        double allHours = 0;
        int allFish = 0;
        int sole = -1;
        int trip = -1;
        for (int i = 0; i < places.length; i++) {
            int level = combined[i];
            if (level < 0) {
                continue;
            }
            int place = places[i];
            if (layout.trip[place] != trip) {
                closeSole(sole);
                trip = layout.trip[place];
                sole = level;
                allTrips++;
            } else if (sole != level) {
                sole = -1;
            }
            if (lastTrip[level] != trip) {
                lastTrip[level] = trip;
                trips[level]++;
            }
            stints[level]++;
            hours[level] += layout.rodHours[place];
            all++;
            allHours += layout.rodHours[place];
            allFish += layout.fish[place];
        }
        closeSole(sole);
        List<Integer> supported = new ArrayList<>();
        if (allFish < LEAST_FISH || all < 2 * LEAST_STINTS) {
            return supported;
        }
        for (int level = 0; level < width; level++) {
            if (stints[level] >= LEAST_STINTS
                    && trips[level] >= LEAST_TRIPS
                    && hours[level] >= LEAST_ROD_HOURS
                    && all - stints[level] >= LEAST_STINTS
                    && allTrips - soleTrips[level] >= LEAST_TRIPS
                    && allHours - hours[level] >= LEAST_ROD_HOURS) {
                supported.add(level);
            }
        }
        return supported;
    }

    private void closeSole(int sole) {
        if (sole >= 0) {
            soleTrips[sole]++;
        }
    }

    private void clearCounts(int width) {
        if (stints.length < width) {
            stints = new int[width];
            trips = new int[width];
            soleTrips = new int[width];
            lastTrip = new int[width];
            hours = new double[width];
            choiceOf = new int[width];
        }
        Arrays.fill(stints, 0, width, 0);
        Arrays.fill(trips, 0, width, 0);
        Arrays.fill(soleTrips, 0, width, 0);
        Arrays.fill(lastTrip, 0, width, -1);
        Arrays.fill(hours, 0, width, 0);
    }

    private Effect.Sums[] effects(int[] places, int[] combined, int width, List<Integer> supported) {
        Effect.Sums[] sums = new Effect.Sums[supported.size()];
        Arrays.fill(choiceOf, 0, width, -1);
        for (int k = 0; k < sums.length; k++) {
            sums[k] = new Effect.Sums();
            choiceOf[supported.get(k)] = k;
        }
        if (x.length < sums.length) {
            x = new double[sums.length];
            n1 = new double[sums.length];
            rows = new int[sums.length];
            openTrip = new boolean[sums.length];
        }
        Arrays.fill(seasonFish, 0);
        Arrays.fill(seasonExpected, 0);
        Arrays.fill(seasonRows, 0);
        seasonSums.clear();
        for (int from = 0; from < places.length; ) {
            int to = block(places, combined, from, sums);
            if (to == places.length || layout.trip[places[to]] != layout.trip[places[from]]) {
                for (int i = 0; i < touchedInTrip.size; i++) {
                    int k = touchedInTrip.values[i];
                    openTrip[k] = false;
                    sums[k].closeCluster();
                }
                touchedInTrip.size = 0;
            }
            from = to;
        }
        fallback(sums);
        return sums;
    }

    /** Adds one block of trip x angler to the choices made in it; the place after it. */
    private int block(int[] places, int[] combined, int from, Effect.Sums[] sums) {
        int block = layout.block[places[from]];
        int season = layout.season[places[from]];
        double fish = 0;
        double all = 0;
        int count = 0;
        int to = from;
        for (; to < places.length && layout.block[places[to]] == block; to++) {
            if (combined[to] < 0) {
                continue;
            }
            int place = places[to];
            fish += layout.fish[place];
            all += expected[place];
            count++;
            int k = choiceOf[combined[to]];
            if (k < 0) {
                continue;
            }
            if (rows[k] == 0) {
                touchedInBlock.add(k);
            }
            rows[k]++;
            x[k] += layout.fish[place];
            n1[k] += expected[place];
        }
        seasonFish[season] += fish;
        seasonExpected[season] += all;
        seasonRows[season] += count;
        for (int i = 0; i < touchedInBlock.size; i++) {
            int k = touchedInBlock.values[i];
            boolean bothSides = rows[k] < count;
            if (bothSides) {
                sums[k].block(x[k], n1[k], fish - x[k], all - n1[k]);
                if (!openTrip[k]) {
                    openTrip[k] = true;
                    touchedInTrip.add(k);
                }
                seasonSums.add(k, season, 0, 0, fish, all, count);
            } else {
                seasonSums.add(k, season, x[k], n1[k], fish, all, count);
            }
            x[k] = 0;
            n1[k] = 0;
            rows[k] = 0;
        }
        touchedInBlock.size = 0;
        return to;
    }

    /** A choice's stints alone in their block, against the same angler's others on the water that month whose block lacks it. */
    private void fallback(Effect.Sums[] sums) {
        for (int slot = 0; slot < seasonSums.size(); slot++) {
            double alone = seasonSums.n1(slot);
            int season = seasonSums.season(slot);
            if (alone > 0 && seasonRows[season] > seasonSums.rows(slot)) {
                Effect.Sums of = sums[seasonSums.choice(slot)];
                of.block(
                        seasonSums.x(slot),
                        alone,
                        seasonFish[season] - seasonSums.fish(slot),
                        seasonExpected[season] - seasonSums.all(slot));
                of.closeCluster();
            }
        }
    }

    /** A growing list of ints without boxes. */
    private static final class IntList {
        private int[] values = new int[64];
        private int size;

        void add(int value) {
            if (size == values.length) {
                values = Arrays.copyOf(values, 2 * size);
            }
            values[size++] = value;
        }
    }
}
