package dusk.ledger.web.form;

import dusk.ledger.journal.Bounds;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Speed;
import dusk.ledger.units.UnitSystem;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** What was typed into a form, read field by field in a person's units; what is wrong is kept by field. */
public final class Typed {
    /** A day of any year, as it is typed and shown. */
    public static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private static final int LONGEST_NAME = 100;

    private final Map<String, String> values;
    private final UnitSystem units;
    private final Map<String, String> errors = new LinkedHashMap<>();

    public Typed(Map<String, String> values, UnitSystem units) {
        this.values = values;
        this.units = units;
    }

    /** What is wrong and what would be right, by field. */
    public Map<String, String> errors() {
        return errors;
    }

    public Map<String, String> values() {
        return values;
    }

    public UnitSystem units() {
        return units;
    }

    /** Stripped; empty where nothing was typed. */
    public String text(String name) {
        return values.getOrDefault(name, "").strip();
    }

    /** Null where nothing was typed. */
    public @Nullable String textOrNull(String name) {
        String text = text(name);
        return text.isEmpty() ? null : text;
    }

    /** A text that must be there. */
    public String required(String name, String otherwise) {
        String text = text(name);
        if (text.isEmpty()) {
            wrong(name, otherwise);
        }
        return text;
    }

    /** A name that must be there, of one line that can be seen. */
    public String named(String name, String otherwise) {
        String text = required(name, otherwise);
        if (text.length() > LONGEST_NAME || text.codePoints().anyMatch(c -> !seen(c))) {
            wrong(name, "Write it in letters, digits and signs that can be seen, " + LONGEST_NAME + " at the most.");
        }
        return text;
    }

    private static boolean seen(int c) {
        return switch (Character.getType(c)) {
            case Character.CONTROL,
                    Character.FORMAT,
                    Character.SURROGATE,
                    Character.LINE_SEPARATOR,
                    Character.PARAGRAPH_SEPARATOR -> false;
            default -> true;
        };
    }

    public boolean ticked(String name) {
        return values.containsKey(name);
    }

    /** Keeps what is wrong with a field; the first word on it stands. */
    public void wrong(String name, String message) {
        errors.putIfAbsent(name, message);
    }

    /** What was typed, or nothing where the field is empty or wrong. */
    public <T> @Nullable T read(String name, Function<String, T> reading) {
        String text = text(name);
        if (text.isEmpty()) {
            return null;
        }
        try {
            return reading.apply(text);
        } catch (IllegalArgumentException e) {
            wrong(name, String.valueOf(e.getMessage()));
            return null;
        }
    }

    /** A date and time at a water. */
    public @Nullable Instant moment(String name, ZoneId zone) {
        return read(name, text -> UnitText.moment(text, zone));
    }

    /** The thing that an id names, or nothing where the field is empty or names none. */
    public <T> @Nullable T known(String name, Function<String, @Nullable T> byId, String otherwise) {
        String id = text(name);
        T found = id.isEmpty() ? null : byId.apply(id);
        if (found == null && !id.isEmpty()) {
            wrong(name, otherwise);
        }
        return found;
    }

    /** A depth in the person's unit, as deep as any that is fished. */
    public @Nullable Length depth(String name) {
        Bounds.Range range = Bounds.of("depth_m", "stints").orElseThrow();
        Double metres = metres(name, range.least(), range.most());
        return metres == null ? null : Length.ofMetres(metres);
    }

    /** A length of a fish or a lure in the person's unit. */
    public @Nullable Length length(String name) {
        return read(name, text -> Length.parse(text, units.lure()));
    }

    /** Metres of depth or distance between two ends, both allowed. */
    public @Nullable Double metres(String name, double least, double most) {
        Length.Unit unit = units.depth();
        return within(
                name,
                text -> Length.parse(text, unit).metres(),
                least,
                most,
                metres -> Length.ofMetres(metres).show(unit));
    }

    /** Millimetres between two ends, both allowed; a bare number is in the unit given. */
    public @Nullable Double millimetres(String name, Length.Unit unit, double least, double most) {
        return within(
                name,
                text -> Length.parse(text, unit).millimetres(),
                least,
                most,
                mm -> Length.ofMillimetres(mm).show(unit));
    }

    /** Metres a second between two ends, both allowed; a bare number is in the person's unit of winds, or of currents. */
    public @Nullable Double speed(String name, double least, double most) {
        Speed.Unit unit = UnitText.speedUnit(name, units);
        return within(
                name,
                text -> Speed.parse(text, unit).metresPerSecond(),
                least,
                most,
                mps -> Speed.ofMetresPerSecond(mps).show(unit));
    }

    /** A number between two ends, both allowed; its unit may stand behind it. */
    public @Nullable Double number(String name, double least, double most, String unit) {
        return within(name, text -> plain(text, unit), least, most, value -> Figures.trimmed(value, 2) + unit);
    }

    private static double plain(String text, String unit) {
        String symbol = unit.strip();
        return Numbers.decimal(
                text.endsWith(symbol)
                        ? text.substring(0, text.length() - symbol.length()).strip()
                        : text);
    }

    /** A whole number between two ends, both allowed. */
    public @Nullable Integer whole(String name, int least, int most) {
        return read(name, text -> {
            int value = Numbers.whole(text);
            if (value < least || value > most) {
                throw new IllegalArgumentException(
                        "Write a whole number from " + least + " to " + most + ", not “" + text + "”.");
            }
            return value;
        });
    }

    public @Nullable Mass headMass(String name) {
        return read(name, text -> {
            Mass mass = Mass.parse(text, units.headMass());
            double least = Bounds.of("head_mass_g", "setups").orElseThrow().least();
            if (!(mass.grams() >= least) || mass.grams() > 500) {
                throw new IllegalArgumentException("A head weighs more than 0 and at most "
                        + Mass.ofGrams(500).show(units.headMass()) + ".");
            }
            return mass;
        });
    }

    public @Nullable TimeOfDay time(String name) {
        return read(name, TimeOfDay::parse);
    }

    public @Nullable LocalDate date(String name) {
        return read(name, text -> {
            try {
                return LocalDate.parse(text);
            } catch (DateTimeException e) {
                throw new IllegalArgumentException("“" + text + "” is not a date. Write it like 2026-05-01.", e);
            }
        });
    }

    /** A day of any year. */
    public @Nullable MonthDay day(String name) {
        return read(name, text -> {
            try {
                return MonthDay.parse(text, DAY);
            } catch (DateTimeException e) {
                throw new IllegalArgumentException("“" + text + "” is not a day of the year. Write it like 15 Mar.", e);
            }
        });
    }

    private @Nullable Double within(
            String name, Function<String, Double> reading, double least, double most, Function<Double, String> shown) {
        return read(name, text -> {
            double value = reading.apply(text);
            if (!(value >= least && value <= most)) {
                throw new IllegalArgumentException(
                        "Write " + shown.apply(least) + " to " + shown.apply(most) + ", not “" + text + "”.");
            }
            return value;
        });
    }

    /**
     * A plain number, where what stands around it was understood already.
     *
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    public static double decimal(String text) {
        return Numbers.decimal(text);
    }

    /** A value, or what stands for it where there is none. */
    public static <T> T or(@Nullable T value, Supplier<T> other) {
        return value == null ? other.get() : value;
    }

    /** The whole numbers among ticked values, from 0 to under an end; anything else was never offered and is passed over. */
    public static List<Integer> ticks(List<String> ticked, int under) {
        List<Integer> ticks = new ArrayList<>();
        for (String text : ticked) {
            if (text.matches("[0-9]{1,6}") && Numbers.whole(text) < under) {
                ticks.add(Numbers.whole(text));
            }
        }
        return ticks;
    }
}
