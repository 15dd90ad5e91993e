package dusk.ledger.units;

/** A length, depth or distance. Inside: millimetres. */
public record Length(double millimetres) implements Comparable<Length> {
    /** Units a length may be shown in and typed with. */
    public enum Unit {
        MILLIMETRE("mm", 1, 1),
        CENTIMETRE("cm", 10, 1),
        METRE("m", 1000, 2),
        INCH("in", 25.4, 2),
        FOOT("ft", 304.8, 1);

        private final String symbol;
        private final double millimetres;
        private final int decimals;

        Unit(String symbol, double millimetres, int decimals) {
            this.symbol = symbol;
            this.millimetres = millimetres;
            this.decimals = decimals;
        }

        public String symbol() {
            return symbol;
        }
    }

    public Length {
        if (!(millimetres >= 0) || !Double.isFinite(millimetres)) {
            throw new IllegalArgumentException("A length must be 0 or more, not " + millimetres + " mm.");
        }
    }

    public static Length ofMillimetres(double millimetres) {
        return new Length(millimetres);
    }

    public static Length ofMetres(double metres) {
        return new Length(metres * 1000);
    }

    public double metres() {
        return millimetres / 1000;
    }

    /**
     * Reads {@code 4"}, {@code 4 in}, {@code 10 cm}, {@code 75mm}, {@code 1.5 m}, {@code 12 ft}; a bare number is in the person's own unit.
     *
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    public static Length parse(String text, Unit own) {
        String example = own == Unit.METRE || own == Unit.FOOT ? "2.5 m or 8 ft" : "10 cm or 4 in";
        Amount amount = Amount.parse(text, "a length", example);
        Unit unit = switch (amount.unit()) {
            case "" -> own;
            case "mm" -> Unit.MILLIMETRE;
            case "cm" -> Unit.CENTIMETRE;
            case "m", "metre", "metres" -> Unit.METRE;
            case "in", "in.", "inch", "inches", "\"", "”" -> Unit.INCH;
            case "ft", "ft.", "foot", "feet", "'", "’" -> Unit.FOOT;
            default -> throw Amount.refused(text, "a length", example);
        };
        if (!(amount.value() >= 0)) {
            throw new IllegalArgumentException("A length must be 0 or more, not “" + text.strip() + "”.");
        }
        return new Length(amount.value() * unit.millimetres);
    }

    public double in(Unit unit) {
        return millimetres / unit.millimetres;
    }

    /** As a person reads it: {@code 10 cm}, {@code 2.5 m}, {@code 3.94 in}. */
    public String show(Unit unit) {
        return Figures.trimmed(in(unit), unit.decimals) + " " + unit.symbol;
    }

    @Override
    public int compareTo(Length other) {
        return Double.compare(millimetres, other.millimetres);
    }
}
