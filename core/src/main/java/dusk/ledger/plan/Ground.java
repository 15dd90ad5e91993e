package dusk.ledger.plan;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a day gives before tackle comes into it: fish a rod-hour under the conditions asked with tackle of no effect, as a
 * normal on its log. Each condition that is known multiplies the club's rate; all are fitted at once over every stint
 * (the fish of all stints fall on them in proportion to hours x tackle x exp(sum of their conditions), as in
 * {@link Effects}), so that what a condition owes to another which goes with it is not counted twice. Trips differ more
 * than chance, by their swing; fish and hours are divided by it.
 *
 * @param mean of the log of fish a rod-hour
 * @param variance of that
 */
record Ground(double mean, double variance) {
    /** How far the levels of a condition may differ, before the records say. */
    private static final double WIDE = 0.7;

    /**
     * Fits.
     *
     * @param fish by row, some of them above 0
     * @param tackle by row, the log of what the tackle of a stint is held to do
     */
    static Ground of(StintTable table, Map<Factor, String> known, int[] fish, double[] tackle) {
        double[] hours = new double[table.size()];
        Arrays.setAll(hours, row -> table.rodHours(row) * Math.exp(tackle[row]));
        double all = Arrays.stream(fish).sum();
        double swing = swing(table, fish, hours, all / Arrays.stream(hours).sum());
        List<Factor> factors = List.copyOf(known.keySet());
        Map<List<Integer>, Integer> numbers = new HashMap<>();
        Map<List<Integer>, double[]> cells = new LinkedHashMap<>();
        for (int row = 0; row < table.size(); row++) {
            List<Integer> cell =
                    new ArrayList<>(List.of(table.codes(Factor.TRIP).at(row)));
            for (int f = 0; f < factors.size(); f++) {
                int code = table.codes(factors.get(f)).at(row);
                cell.add(code == 0 ? -1 : number(numbers, f, code));
            }
            double[] sums = cells.computeIfAbsent(cell, c -> new double[2]);
            sums[0] += fish[row] / swing;
            sums[1] += hours[row] / swing;
        }
        List<Integer> asked = new ArrayList<>();
        for (int f = 0; f < factors.size(); f++) {
            Codes codes = table.codes(factors.get(f));
            int code = codes.codeOf(known.getOrDefault(factors.get(f), ""));
            // a level that nobody fished in yet is as wide as such levels are
            asked.add(number(numbers, f, code > 0 ? code : codes.levels().size()));
        }
        List<Effects.Stint> stints = new ArrayList<>();
        cells.forEach((cell, sums) -> stints.add(new Effects.Stint(
                cell.stream().skip(1).filter(n -> n >= 0).mapToInt(n -> n).toArray(), sums[0], sums[1])));
        Effects effects =
                Effects.of(List.of(stints), Collections.nCopies(numbers.size(), new Effects.Prior(0, WIDE, true)));
        double expected = stints.stream()
                .mapToDouble(s -> s.hours() * Math.exp(effects.mean(s.levels())))
                .sum();
        int[] here = asked.stream().mapToInt(n -> n).toArray();
        return new Ground(Math.log(all / swing / expected) + effects.mean(here), swing / all + effects.variance(here));
    }

    private static int number(Map<List<Integer>, Integer> numbers, int factor, int code) {
        return numbers.computeIfAbsent(List.of(factor, code), k -> numbers.size());
    }

    /** How much more trips differ than chance: Pearson's chi-square of their fish over its degrees of freedom. */
    private static double swing(StintTable table, int[] fish, double[] hours, double rate) {
        Codes trips = table.codes(Factor.TRIP);
        double[][] of = new double[trips.levels().size()][2];
        for (int row = 0; row < fish.length; row++) {
            of[trips.at(row)][0] += fish[row];
            of[trips.at(row)][1] += hours[row] * rate;
        }
        double chiSquare = 0;
        int count = 0;
        for (double[] trip : of) {
            if (trip[1] > 0) {
                chiSquare += (trip[0] - trip[1]) * (trip[0] - trip[1]) / trip[1];
                count++;
            }
        }
        return count > 1 ? Math.max(1, chiSquare / (count - 1)) : 1;
    }
}
