package dusk.ledger.stints;

import dusk.ledger.vocabulary.Factor;
import java.util.Arrays;
import java.util.List;

/** Stints, rod-hours and fish by combination of the levels of one or more factors, {@code not recorded} among them. */
public final class CrossTally {
    private final List<Codes> factors;
    private final int[] stints;
    private final double[] rodHours;
    private final long[] fish;

    private CrossTally(List<Codes> factors, int cells) {
        this.factors = factors;
        stints = new int[cells];
        rodHours = new double[cells];
        fish = new long[cells];
    }

    /**
     * Counts a table.
     *
     * @param fish by row
     * @throws IllegalArgumentException where the levels make more combinations than an array has room for
     */
    public static CrossTally of(StintTable table, int[] fish, Factor... factors) {
        List<Codes> codes = Arrays.stream(factors).map(table::codes).toList();
        long cells = 1;
        for (Codes one : codes) {
            cells *= one.levels().size();
        }
        if (cells > Integer.MAX_VALUE / 8) {
            throw new IllegalArgumentException(
                    Arrays.toString(factors) + " have " + cells + " combinations: too many to count at once");
        }
        CrossTally tally = new CrossTally(codes, (int) cells);
        tally.count(table, fish);
        return tally;
    }

    private void count(StintTable table, int[] fishByRow) {
        int[] cell = new int[table.size()];
        for (Codes one : factors) {
            one.append(cell);
        }
        for (int i = 0; i < cell.length; i++) {
            int c = cell[i];
            stints[c]++;
            rodHours[c] += table.rodHours(i);
            fish[c] += fishByRow[i];
        }
    }

    /** How many combinations there are, of which many may have no stint. */
    public int cells() {
        return stints.length;
    }

    /** The combination of a code of each factor. */
    public int cell(int... codes) {
        int cell = 0;
        for (int f = 0; f < codes.length; f++) {
            cell = cell * factors.get(f).levels().size() + codes[f];
        }
        return cell;
    }

    public int stints(int cell) {
        return stints[cell];
    }

    public double rodHours(int cell) {
        return rodHours[cell];
    }

    public long fish(int cell) {
        return fish[cell];
    }
}
