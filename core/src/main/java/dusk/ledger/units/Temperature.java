package dusk.ledger.units;

/** A temperature of water or air. Inside: degrees Celsius. */
public record Temperature(double celsius) implements Comparable<Temperature> {
    /** Units a temperature may be shown in and typed with. */
    public enum Unit {
        CELSIUS("°C"),
        FAHRENHEIT("°F");

        private final String symbol;

        Unit(String symbol) {
            this.symbol = symbol;
        }

        public String symbol() {
            return symbol;
        }
    }

    public Temperature {
        if (!(celsius >= -60 && celsius <= 60)) {
            throw new IllegalArgumentException("A temperature must lie between -60 and 60 °C, not " + celsius + ".");
        }
    }

    public static Temperature ofCelsius(double celsius) {
        return new Temperature(celsius);
    }

    /**
     * Reads {@code 12}, {@code 12.5 C}, {@code 54F}, {@code 54 °F}; a bare number is in the person's own unit.
     *
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    public static Temperature parse(String text, Unit own) {
        Amount amount = Amount.parse(text, "a temperature", "12.5 C or 54 F");
        Unit unit = switch (amount.unit()) {
            case "" -> own;
            case "c", "°c", "°" -> Unit.CELSIUS;
            case "f", "°f" -> Unit.FAHRENHEIT;
            default -> throw Amount.refused(text, "a temperature", "12.5 C or 54 F");
        };
        return new Temperature(unit == Unit.CELSIUS ? amount.value() : (amount.value() - 32) * 5 / 9);
    }

    public double in(Unit unit) {
        return unit == Unit.CELSIUS ? celsius : celsius * 9 / 5 + 32;
    }

    /** As a person reads it: {@code 12.5 °C}. */
    public String show(Unit unit) {
        return Figures.trimmed(in(unit), 1) + " " + unit.symbol;
    }

    @Override
    public int compareTo(Temperature other) {
        return Double.compare(celsius, other.celsius);
    }
}
