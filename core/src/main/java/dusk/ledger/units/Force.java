package dusk.ledger.units;

/** What a line holds before it breaks. Inside: newtons; shown as the weight test printed on a spool. */
public record Force(double newtons) implements Comparable<Force> {
    private static final double STANDARD_GRAVITY = 9.80665;

    /** Units a line's strength may be shown in and typed with. */
    public enum Unit {
        KILOGRAM_TEST("kg", STANDARD_GRAVITY),
        POUND_TEST("lb", STANDARD_GRAVITY * 0.45359237);

        private final String symbol;
        private final double newtons;

        Unit(String symbol, double newtons) {
            this.symbol = symbol;
            this.newtons = newtons;
        }

        public String symbol() {
            return symbol;
        }
    }

    public Force {
        if (!(newtons > 0) || !Double.isFinite(newtons)) {
            throw new IllegalArgumentException("A line's strength must be above 0 N, not " + newtons + " N.");
        }
    }

    public static Force ofNewtons(double newtons) {
        return new Force(newtons);
    }

    /**
     * Reads {@code 8 lb}, {@code 4kg}, {@code 36 N}; a bare number is in the person's own unit.
     *
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    public static Force parse(String text, Unit own) {
        Amount amount = Amount.parse(text, "a line strength", "4 kg or 8 lb");
        if (!(amount.value() > 0)) {
            throw new IllegalArgumentException("A line strength must be above 0, not “" + text.strip() + "”.");
        }
        double newtonsEach = switch (amount.unit()) {
            case "" -> own.newtons;
            case "kg" -> Unit.KILOGRAM_TEST.newtons;
            case "lb", "lbs" -> Unit.POUND_TEST.newtons;
            case "n" -> 1;
            default -> throw Amount.refused(text, "a line strength", "4 kg or 8 lb");
        };
        return new Force(amount.value() * newtonsEach);
    }

    public double in(Unit unit) {
        return newtons / unit.newtons;
    }

    /** As a person reads it: {@code 8 lb}. */
    public String show(Unit unit) {
        return Figures.trimmed(in(unit), 1) + " " + unit.symbol;
    }

    @Override
    public int compareTo(Force other) {
        return Double.compare(newtons, other.newtons);
    }
}
