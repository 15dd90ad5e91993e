package dusk.ledger.units;

/** A speed of wind, current or retrieve. Inside: metres a second. */
public record Speed(double metresPerSecond) implements Comparable<Speed> {
    /** Units a wind or a current may be shown in. */
    public enum Unit {
        METRE_A_SECOND("m/s", 1, 2),
        MILE_AN_HOUR("mph", 0.44704, 0),
        FOOT_A_SECOND("ft/s", 0.3048, 1),
        KNOT("kn", 1852.0 / 3600, 1);

        private final String symbol;
        private final double metresPerSecond;
        private final int decimals;

        Unit(String symbol, double metresPerSecond, int decimals) {
            this.symbol = symbol;
            this.metresPerSecond = metresPerSecond;
            this.decimals = decimals;
        }

        public String symbol() {
            return symbol;
        }
    }

    public Speed {
        if (!(metresPerSecond >= 0) || !Double.isFinite(metresPerSecond)) {
            throw new IllegalArgumentException("A speed must be 0 or more, not " + metresPerSecond + " m/s.");
        }
    }

    public static Speed ofMetresPerSecond(double metresPerSecond) {
        return new Speed(metresPerSecond);
    }

    /**
     * Reads {@code 4}, {@code 4 m/s}, {@code 15 km/h}, {@code 10 mph}, {@code 8 kn}; a bare number is metres a second.
     *
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    public static Speed parse(String text) {
        return parse(text, Unit.METRE_A_SECOND);
    }

    /** The same with a bare number in the person's own unit. */
    public static Speed parse(String text, Unit own) {
        Amount amount = Amount.parse(text, "a speed", "4 m/s, 15 km/h or 10 mph");
        if (!(amount.value() >= 0)) {
            throw new IllegalArgumentException("A speed must be 0 or more, not “" + text.strip() + "”.");
        }
        double each = switch (amount.unit()) {
            case "" -> own.metresPerSecond;
            case "m/s" -> 1;
            case "km/h", "kmh" -> 1 / 3.6;
            case "mph" -> Unit.MILE_AN_HOUR.metresPerSecond;
            case "kn", "kt", "knots" -> Unit.KNOT.metresPerSecond;
            case "ft/s" -> Unit.FOOT_A_SECOND.metresPerSecond;
            default -> throw Amount.refused(text, "a speed", "4 m/s, 15 km/h or 10 mph");
        };
        return new Speed(amount.value() * each);
    }

    public double in(Unit unit) {
        return metresPerSecond / unit.metresPerSecond;
    }

    /** As a person reads it: {@code 4.2 m/s}. */
    public String show() {
        return show(Unit.METRE_A_SECOND);
    }

    /** The same in a unit: {@code 9 mph}. */
    public String show(Unit unit) {
        return Figures.trimmed(in(unit), unit.decimals) + " " + unit.symbol;
    }

    @Override
    public int compareTo(Speed other) {
        return Double.compare(metresPerSecond, other.metresPerSecond);
    }
}
