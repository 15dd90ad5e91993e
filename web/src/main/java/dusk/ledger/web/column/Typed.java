package dusk.ledger.web.column;

import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Speed;
import dusk.ledger.units.UnitSystem;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** What was typed into a form, read field by field in a person's units; what is wrong is kept by field. */
final class Typed {
    private final Map<String, String> values;
    private final UnitSystem units;
    private final Map<String, String> errors = new LinkedHashMap<>();

    Typed(Map<String, String> values, UnitSystem units) {
        this.values = values;
        this.units = units;
    }

    Map<String, String> errors() {
        return errors;
    }

    UnitSystem units() {
        return units;
    }

    String text(String name) {
        return values.getOrDefault(name, "").strip();
    }

    boolean ticked(String name) {
        return values.containsKey(name);
    }

    void wrong(String name, String message) {
        errors.putIfAbsent(name, message);
    }

    /** What was typed, or nothing where the field is empty or wrong. */
    <T> @Nullable T read(String name, Function<String, T> reading) {
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

    /** The thing that an id names, or nothing where the field is empty or names none. */
    <T> @Nullable T known(String name, Function<String, @Nullable T> byId, String otherwise) {
        String id = text(name);
        T found = id.isEmpty() ? null : byId.apply(id);
        if (found == null && !id.isEmpty()) {
            wrong(name, otherwise);
        }
        return found;
    }

    /** Metres of depth or distance between two ends, both allowed. */
    @Nullable
    Double metres(String name, double least, double most) {
        Length.Unit unit = units.depth();
        return within(
                name,
                text -> Length.parse(text, unit).metres(),
                least,
                most,
                metres -> Length.ofMetres(metres).show(unit));
    }

    @Nullable
    Double speed(String name, double least, double most) {
        return within(
                name,
                text -> Speed.parse(text).metresPerSecond(),
                least,
                most,
                mps -> Speed.ofMetresPerSecond(mps).show());
    }

    @Nullable
    Double number(String name, double least, double most, String unit) {
        return within(name, text -> plain(text, unit), least, most, value -> Figures.trimmed(value, 2) + unit);
    }

    private static double plain(String text, String unit) {
        String number = text.endsWith(unit.strip())
                ? text.substring(0, text.length() - unit.strip().length()).strip()
                : text;
        try {
            return Double.parseDouble(number);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("“" + text + "” is not a number. Write it like 12.", e);
        }
    }

    @Nullable
    Mass headMass(String name) {
        return read(name, text -> {
            Mass mass = Mass.parse(text, units.headMass());
            if (!(mass.grams() > 0) || mass.grams() > 500) {
                throw new IllegalArgumentException("A head weighs more than 0 and at most "
                        + Mass.ofGrams(500).show(units.headMass()) + ".");
            }
            return mass;
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

    /** A value, or what stands for it where there is none. */
    static <T> T or(@Nullable T value, Supplier<T> other) {
        return value == null ? other.get() : value;
    }
}
