package dusk.ledger.plan;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.Arrays;
import java.util.Map;

/**
 * How much a stint of the records says of the conditions asked for: over each that is known a whole for the same level,
 * a half for the next band or where the stint does not say, little for any other; all of them multiplied, and where more
 * than three are known as if three were. Else no stint is like any day of which much is known.
 */
final class Likeness {
    private static final double NEXT = 0.5;
    private static final double OTHER = 0.15;

    /** So many conditions may silence a stint between them. */
    private static final double FULL = 3;

    /** Under it a stint says nothing that would be missed. */
    private static final double LEAST = 1e-3;

    private Likeness() {}

    /** By row, 0 to 1. */
    static double[] of(StintTable table, Map<Factor, String> known) {
        double[] weight = new double[table.size()];
        Arrays.fill(weight, 1);
        known.forEach((factor, level) -> {
            Codes codes = table.codes(factor);
            double[] byCode = new double[codes.levels().size()];
            for (int code = 0; code < byCode.length; code++) {
                byCode[code] =
                        code == 0 ? NEXT : of(factor, level, codes.levels().get(code));
            }
            for (int row = 0; row < weight.length; row++) {
                weight[row] *= byCode[codes.at(row)];
            }
        });
        double power = known.size() > FULL ? FULL / known.size() : 1;
        for (int row = 0; row < weight.length; row++) {
            weight[row] = Math.pow(weight[row], power);
            weight[row] = weight[row] < LEAST ? 0 : weight[row];
        }
        return weight;
    }

    private static double of(Factor factor, String asked, String level) {
        if (asked.equals(level)) {
            return 1;
        }
        int from = factor.order().indexOf(asked);
        int to = factor.order().indexOf(level);
        return from >= 0 && to >= 0 && Math.abs(from - to) == 1 ? NEXT : OTHER;
    }
}
