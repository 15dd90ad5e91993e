package dusk.ledger.units;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;

/** Numbers as text, the same in every locale. */
public final class Figures {
    private Figures() {}

    /** At most {@code decimals} decimals, trailing zeros gone: 2.50 becomes {@code 2.5}, 10.0 becomes {@code 10}. */
    public static String trimmed(double value, int decimals) {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException("a figure must be finite, not " + value);
        }
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP);
        if (rounded.signum() == 0) {
            return "0";
        }
        return rounded.stripTrailingZeros().toPlainString();
    }

    /** Exactly {@code decimals} decimals, for columns of tabular figures. */
    public static String fixed(double value, int decimals) {
        return String.format(Locale.ROOT, "%." + decimals + "f", value);
    }
}
