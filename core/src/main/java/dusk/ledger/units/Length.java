package dusk.ledger.units;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

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

    /** Seven feet six as a rod is sold: 7'6", 7 ft 6 in, 7-6. */
    private static final Pattern FEET_AND_INCHES =
            Pattern.compile("(\\d{1,3})\\s*(?:['’]|ft\\.?|-)\\s*(\\d{1,2}(?:[.,]\\d+)?)\\s*(?:[\"”]|''|in\\.?)?");

    /** Under this, hundredths of a millimetre count. */
    private static final double THIN_MM = 10;

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
     * Reads {@code 4"}, {@code 4 in}, {@code 7'6"}, {@code 7-6}, {@code 10 cm}, {@code 75mm}, {@code 1.5 m}, {@code 12 ft}; a bare number is in the person's own unit.
     *
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    public static Length parse(String text, Unit own) {
        Matcher both = FEET_AND_INCHES.matcher(text.strip());
        if (both.matches()) {
            return new Length(Integer.parseInt(both.group(1)) * Unit.FOOT.millimetres
                    + Double.parseDouble(both.group(2).replace(',', '.')) * Unit.INCH.millimetres);
        }
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
        int decimals = unit == Unit.MILLIMETRE && millimetres < THIN_MM ? 2 : unit.decimals;
        return Figures.trimmed(in(unit), decimals) + " " + unit.symbol;
    }

    /** As a rod is sold: {@code 7'6"}, to the nearest inch. */
    public String feetAndInches() {
        long inches = Math.round(in(Unit.INCH));
        return inches / 12 + "'" + (inches % 12 == 0 ? "" : inches % 12 + "\"");
    }

    @Override
    public int compareTo(Length other) {
        return Double.compare(millimetres, other.millimetres);
    }
}
