package dusk.ledger.patterns;

import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Who and what brought a pattern about.
 *
 * @param fish by row of the table
 */
public record PatternShares(StintTable table, int[] fish, Pattern pattern) {
    /** What one angler or one trip brought: fish and rod-hours with the choice and without. */
    public record Share(String id, double fishWith, double hoursWith, double fishWithout, double hoursWithout) {}

    /** By the ids of a factor, those with most fish with the choice first; only those who fished both with it and without. */
    public List<Share> by(Factor factor) {
        Map<Integer, double[]> sums = new TreeMap<>();
        add(pattern.stints(), factor, sums, 0);
        add(pattern.others(), factor, sums, 2);
        return sums.entrySet().stream()
                .filter(e -> e.getValue()[1] > 0 && e.getValue()[3] > 0)
                .map(e -> {
                    double[] sum = e.getValue();
                    return new Share(table.codes(factor).levels().get(e.getKey()), sum[0], sum[1], sum[2], sum[3]);
                })
                .sorted(Comparator.comparingDouble(Share::fishWith).reversed())
                .toList();
    }

    private void add(List<Integer> rows, Factor by, Map<Integer, double[]> sums, int at) {
        for (int row : rows) {
            double[] sum = sums.computeIfAbsent(table.codes(by).at(row), k -> new double[4]);
            sum[at] += fish[row];
            sum[at + 1] += table.rodHours(row);
        }
    }
}
