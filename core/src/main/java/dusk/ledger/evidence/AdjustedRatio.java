package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.statistics.distribution.TDistribution;
import org.jspecify.annotations.Nullable;

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
        int[] stints = new int[2];
        rows.stream().filter(r -> side[levels.at(r)] >= 0).forEach(r -> stints[side[levels.at(r)]]++);
        if (stints[0] == 0 || stints[1] == 0) {
            return new Estimate.None("one side was not fished at all");
        }
        double[] fishOf = new double[2];
        rows.stream().filter(r -> side[levels.at(r)] >= 0).forEach(r -> fishOf[side[levels.at(r)]] += fish[r]);
        if (!(fishOf[0] > 0)) {
            return new Estimate.None("the other side has no fish");
        }
        if (!(fishOf[1] > 0)) {
            return new Estimate.Figure(0, null, null, "no fish on this side");
        }
        int[] kept = kept(rows, fish, side);
        Design design = new Design(side, kept);
        PoissonFit fit = kept.length == 0 ? null : PoissonFit.of(design.data(fish));
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

    private int degreesOfFreedom(int[] kept, int[] side) {
        BitSet with = new BitSet();
        BitSet without = new BitSet();
        for (int row : kept) {
            boolean own = side[table.codes(factor).at(row)] == 1;
            (own ? with : without).set(table.codes(Factor.TRIP).at(row));
        }
        return Math.min(with.cardinality(), without.cardinality()) - 1;
    }

    /** Rows of the fit: stints at a level, of any factor in it, that has no fish are left out. */
    private int[] kept(BitSet rows, int[] fish, int[] side) {
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
        return kept.stream().toArray();
    }

    /**
     * Columns of the levels that turn up in the rows. The adjusting factor with most of them is told by a constant a group;
     * of each of the others the reference, the first to occur where none is named, and A get no column here.
     */
    private final class Design {
        private final int[] side;
        private final int[] rows;
        private final @Nullable Factor grouped;
        private final Map<Factor, int[]> columnOf = new LinkedHashMap<>();
        private int width;

        Design(int[] side, int[] rows) {
            this.side = side;
            this.rows = rows;
            grouped = adjust.stream()
                    .max(Comparator.comparingInt(f -> present(f).cardinality()))
                    .orElse(null);
            adjust.stream().filter(f -> f != grouped).forEach(f -> number(f, -1));
            if (sides.versus() != null) {
                number(factor, table.codes(factor).codeOf(sides.versus()));
            }
            width++;
        }

        int ownColumn() {
            return width - 1;
        }

        private BitSet present(Factor one) {
            Codes codes = table.codes(one);
            BitSet present = new BitSet();
            for (int row : rows) {
                present.set(codes.at(row));
            }
            return present;
        }

        private void number(Factor one, int reference) {
            int[] columns = new int[table.codes(one).levels().size()];
            Arrays.fill(columns, -1);
            int without = reference;
            for (int code : present(one).stream().toArray()) {
                if (one == factor && side[code] == 1) {
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

        PoissonFit.Data data(int[] fishByRow) {
            Codes levels = table.codes(factor);
            List<Grouping.By> common = new ArrayList<>();
            columnOf.keySet().forEach(f -> common.add(Grouping.By.of(table.codes(f))));
            common.add(new Grouping.By(row -> side[levels.at(row)] + 1, 3));
            Grouping groups =
                    Grouping.of(rows, grouped == null ? List.of() : List.of(Grouping.By.of(table.codes(grouped))));
            if (grouped != null) {
                common.add(Grouping.By.of(table.codes(grouped)));
            }
            Grouping cells = Grouping.of(rows, common);
            Grouping trips = Grouping.of(rows, List.of(Grouping.By.of(table.codes(Factor.TRIP))));
            int[][] columns = new int[cells.count()][];
            double[][] values = new double[cells.count()][];
            int[] group = new int[cells.count()];
            double[] fish = new double[rows.length];
            double[] effort = new double[rows.length];
            for (int i = 0; i < rows.length; i++) {
                int cell = cells.of()[i];
                if (columns[cell] == null) {
                    columns[cell] = columns(rows[i]);
                    values[cell] = new double[columns[cell].length];
                    Arrays.fill(values[cell], 1);
                    group[cell] = groups.of()[i];
                }
                fish[i] = fishByRow[rows[i]];
                effort[i] = table.rodHours(rows[i]);
            }
            return new PoissonFit.Data(
                    width, columns, values, group, groups.count(), cells.of(), fish, effort, trips.of(), trips.count());
        }

        private int[] columns(int row) {
            int[] columns = new int[columnOf.size() + 1];
            int count = 0;
            for (Map.Entry<Factor, int[]> one : columnOf.entrySet()) {
                int column = one.getValue()[table.codes(one.getKey()).at(row)];
                if (column >= 0) {
                    columns[count++] = column;
                }
            }
            if (side[table.codes(factor).at(row)] == 1) {
                columns[count++] = ownColumn();
            }
            return Arrays.copyOf(columns, count);
        }
    }
}
