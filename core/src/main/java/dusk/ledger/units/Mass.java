package dusk.ledger.units;

import java.util.List;

/** A mass. Inside: grams. */
public record Mass(double grams) implements Comparable<Mass> {
    /** Exact by definition of the avoirdupois ounce, to the digits the field uses. */
    public static final double GRAMS_PER_OUNCE = 28.349523;

    /** The fractions of an ounce that heads are sold in. */
    private static final List<Fraction> OUNCE_STEPS = List.of(
            new Fraction(1, 32),
            new Fraction(1, 16),
            new Fraction(3, 32),
            new Fraction(1, 8),
            new Fraction(3, 16),
            new Fraction(1, 4),
            new Fraction(5, 16),
            new Fraction(3, 8),
            new Fraction(1, 2),
            new Fraction(5, 8),
            new Fraction(3, 4),
            new Fraction(7, 8));

    private record Fraction(int above, int below) {
        double ounces() {
            return (double) above / below;
        }
    }

    /** Units a mass may be shown in and typed with. */
    public enum Unit {
        GRAM("g", 1),
        OUNCE("oz", GRAMS_PER_OUNCE),
        KILOGRAM("kg", 1000),
        POUND("lb", 16 * GRAMS_PER_OUNCE);

        private final String symbol;
        private final double grams;

        Unit(String symbol, double grams) {
            this.symbol = symbol;
            this.grams = grams;
        }

        public String symbol() {
            return symbol;
        }
    }

    public Mass {
        if (!(grams > 0) || !Double.isFinite(grams)) {
            throw new IllegalArgumentException("A mass must be above 0 g, not " + grams + " g.");
        }
    }

    public static Mass ofGrams(double grams) {
        return new Mass(grams);
    }

    /**
     * Reads {@code 3/8}, {@code 3/8 oz}, {@code 10g}, {@code 10 g}, {@code 2 lb}, {@code 1.2kg}. A bare fraction is
     * ounces, as heads are spoken of; a bare number is in the person's own unit.
     *
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    public static Mass parse(String text, Unit own) {
        String example = own == Unit.GRAM || own == Unit.OUNCE ? "10 g or 3/8 oz" : "1.2 kg or 2.5 lb";
        Amount amount = Amount.parse(text, "a weight", example);
        Unit unit = switch (amount.unit()) {
            case "" -> amount.fraction() ? Unit.OUNCE : own;
            case "g", "gr", "gram", "grams" -> Unit.GRAM;
            case "oz", "oz.", "ounce", "ounces" -> Unit.OUNCE;
            case "kg", "kilo", "kilos" -> Unit.KILOGRAM;
            case "lb", "lbs", "lb.", "pound", "pounds" -> Unit.POUND;
            default -> throw Amount.refused(text, "a weight", example);
        };
        if (!(amount.value() > 0)) {
            throw new IllegalArgumentException("A weight must be above 0, not “" + text.strip() + "”.");
        }
        return new Mass(amount.value() * unit.grams);
    }

    /** The value in a unit, bare. */
    public double in(Unit unit) {
        return grams / unit.grams;
    }

    /**
     * As a person reads it: {@code 3/8 oz}, {@code 10 g}, {@code 1.24 kg}. Ounces within 3 % of a sold fraction are
     * shown as that fraction.
     */
    public String show(Unit unit) {
        double value = in(unit);
        if (unit == Unit.OUNCE) {
            for (Fraction step : OUNCE_STEPS) {
                if (Math.abs(value / step.ounces() - 1) <= 0.03) {
                    return step.above + "/" + step.below + " oz";
                }
            }
        }
        return Figures.trimmed(value, unit == Unit.GRAM ? 1 : 2) + " " + unit.symbol;
    }

    @Override
    public int compareTo(Mass other) {
        return Double.compare(grams, other.grams);
    }
}
