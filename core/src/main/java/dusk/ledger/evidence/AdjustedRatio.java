package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * A against B with other factors held equal by regression. Adjusting factors enter first, each by its levels
 * ({@code not recorded} is one), then the compared factor's: against B all its levels with B as reference, against
 * the rest one column for A among recorded levels. A's column comes last, so that it goes where the columns before it
 * tell it.
 */
final class AdjustedRatio {
    private static final int LEAST_TRIPS = 3;

    private final StintTable table;
    private final Factor factor;
    private final Sides sides;
    private final List<Factor> adjust;

    AdjustedRatio(StintTable table, Factor factor, Sides sides, List<Factor> adjust) {
        this.table = table;
        this.factor = factor;
        this.sides = sides;
        this.adjust = adjust.stream().filter(f -> f != factor).toList();
    }

    Estimate of(BitSet rows, int[] fish) {
        Codes levels = table.codes(factor);
        int[] side = sides.byCode(levels);
        double[] fishOf = new double[2];
        rows.stream().filter(r -> side[levels.at(r)] >= 0).forEach(r -> fishOf[side[levels.at(r)]] += fish[r]);
        if (!(fishOf[0] > 0)) {
            return new Estimate.None("the other side has no fish");
        }
        if (!(fishOf[1] > 0)) {
            return new Estimate.Figure(0, null, null, "no fish on this side");
        }
        List<Integer> kept = kept(rows, fish, side);
        Design design = new Design(side);
        PoissonFit fit = PoissonFit.of(design.data(kept, fish));
        int own = design.ownColumn();
        if (fit == null) {
            return new Estimate.None("the factors held equal leave nothing to fit");
        }
        if (!fit.has(own)) {
            return new Estimate.None("the factors held equal tell the two apart already");
        }
        return figure(fit.coefficient(own), fit.standardError(own), degreesOfFreedom(kept, side));
    }

    private static Estimate figure(double log, double error, int df) {
        if (df < LEAST_TRIPS - 1) {
            return new Estimate.Figure(Math.exp(log), null, null, "under three trips on a side");
        }
        double reach = Quantiles.tUpper(df) * error;
        double p = 2 * TDistribution.of(df).survivalProbability(Math.abs(log / error));
        return new Estimate.Figure(Math.exp(log), new Interval(Math.exp(log - reach), Math.exp(log + reach)), p, "");
    }

    private int degreesOfFreedom(List<Integer> kept, int[] side) {
        Set<Integer> with = new HashSet<>();
        Set<Integer> without = new HashSet<>();
        for (int row : kept) {
            boolean own = side[table.codes(factor).at(row)] == 1;
            (own ? with : without).add(table.codes(Factor.TRIP).at(row));
        }
        return Math.min(with.size(), without.size()) - 1;
    }

    /** Rows of the fit: stints at a level, of any factor in it, that has no fish are left out. */
    private List<Integer> kept(BitSet rows, int[] fish, int[] side) {
        BitSet kept = (BitSet) rows.clone();
        Codes levels = table.codes(factor);
        if (sides.versus() == null) {
            rows.stream().filter(r -> side[levels.at(r)] < 0).forEach(kept::clear);
        }
        List<Factor> all = new ArrayList<>(adjust);
        if (sides.versus() != null) {
            all.add(factor);
        }
        BitSet within = (BitSet) kept.clone();
        for (Factor one : all) {
            Codes codes = table.codes(one);
            long[] fishAt = new long[codes.levels().size()];
            within.stream().forEach(r -> fishAt[codes.at(r)] += fish[r]);
            within.stream().filter(r -> fishAt[codes.at(r)] == 0).forEach(kept::clear);
        }
        return kept.stream().boxed().toList();
    }

    /** Numbers the columns as levels turn up in the rows. */
    private final class Design {
        private final int[] side;
        private final Map<Factor, int[]> columnOf = new HashMap<>();
        private int width = 1;

        Design(int[] side) {
            this.side = side;
        }

        int ownColumn() {
            return width - 1;
        }

        PoissonFit.Data data(List<Integer> rows, int[] fish) {
            adjust.forEach(f -> number(f, rows, -1));
            if (sides.versus() != null) {
                number(factor, rows, table.codes(factor).codeOf(sides.versus()));
            }
            int own = width++;
            int[][] columns = new int[rows.size()][];
            double[][] values = new double[rows.size()][];
            double[] y = new double[rows.size()];
            double[] effort = new double[rows.size()];
            int[] cluster = new int[rows.size()];
            Map<Integer, Integer> clusters = new HashMap<>();
            for (int i = 0; i < rows.size(); i++) {
                int row = rows.get(i);
                columns[i] = columns(row, own);
                values[i] = new double[columns[i].length];
                Arrays.fill(values[i], 1);
                y[i] = fish[row];
                effort[i] = table.rodHours(row);
                cluster[i] = clusters.computeIfAbsent(table.codes(Factor.TRIP).at(row), t -> clusters.size());
            }
            return new PoissonFit.Data(width, columns, values, y, effort, cluster, clusters.size());
        }

        /** Gives each level that occurs a column; the reference, the first to occur where none is named, and A get none here. */
        private void number(Factor one, List<Integer> rows, int reference) {
            Codes codes = table.codes(one);
            boolean[] present = new boolean[codes.levels().size()];
            rows.forEach(r -> present[codes.at(r)] = true);
            int[] columns = new int[present.length];
            int without = reference;
            for (int code = 0; code < present.length; code++) {
                columns[code] = -1;
                if (!present[code] || (one == factor && side[code] == 1)) {
                    continue;
                }
                if (without < 0) {
                    without = code;
                }
                if (code != without) {
                    columns[code] = width++;
                }
            }
            columnOf.put(one, columns);
        }

        private int[] columns(int row, int own) {
            List<Integer> columns = new ArrayList<>();
            columns.add(0);
            for (Map.Entry<Factor, int[]> one : columnOf.entrySet()) {
                int column = one.getValue()[table.codes(one.getKey()).at(row)];
                if (column >= 0) {
                    columns.add(column);
                }
            }
            if (side[table.codes(factor).at(row)] == 1) {
                columns.add(own);
            }
            return columns.stream().mapToInt(Integer::intValue).sorted().toArray();
        }
    }
}
