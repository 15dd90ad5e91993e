package dusk.ledger.format;

import dusk.ledger.journal.Invalid;
import dusk.ledger.units.Bearing;
import dusk.ledger.units.Force;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Position;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleFunction;
import org.jspecify.annotations.Nullable;

/** The cells of one row by column name, read into the journal's types; collects what cannot be read. */
public final class Cells {
    private final Map<String, Object> values = new HashMap<>();
    private final List<Invalid.Problem> problems = new ArrayList<>();

    /** Puts a cell of its column's type; null is not recorded. */
    public Cells with(String column, @Nullable Object value) {
        if (value != null) {
            values.put(column, value);
        }
        return this;
    }

    /** Notes a problem of a cell. */
    public void wrong(String column, String message) {
        problems.add(new Invalid.Problem(column, message));
    }

    /** A cell as it was put here; null where it is not recorded. */
    public @Nullable Object value(String column) {
        return values.get(column);
    }

    List<Invalid.Problem> problems() {
        return problems;
    }

    /** A text; null where it is not recorded. */
    public @Nullable String text(String column) {
        return (String) values.get(column);
    }

    /** A required text; a missing one was reported already, so the record's own check may repeat it unseen. */
    String id(String column) {
        String value = text(column);
        return value == null ? "" : value;
    }

    @Nullable
    Double number(String column) {
        return (Double) values.get(column);
    }

    @Nullable
    Integer whole(String column) {
        Long value = (Long) values.get(column);
        return value == null ? null : Math.toIntExact(value);
    }

    int whole(String column, int otherwise) {
        Integer value = whole(column);
        return value == null ? otherwise : value;
    }

    @Nullable
    Instant time(String column) {
        return (Instant) values.get(column);
    }

    @Nullable
    Boolean yesNo(String column) {
        return (Boolean) values.get(column);
    }

    @Nullable
    Mass mass(String column) {
        return quantity(column, Mass::ofGrams);
    }

    @Nullable
    Length millimetres(String column) {
        return quantity(column, Length::ofMillimetres);
    }

    @Nullable
    Length metres(String column) {
        return quantity(column, Length::ofMetres);
    }

    @Nullable
    Temperature celsius(String column) {
        return quantity(column, Temperature::ofCelsius);
    }

    @Nullable
    Speed speed(String column) {
        return quantity(column, Speed::ofMetresPerSecond);
    }

    @Nullable
    Bearing bearing(String column) {
        return quantity(column, Bearing::ofDegrees);
    }

    @Nullable
    Force newtons(String column) {
        return quantity(column, Force::ofNewtons);
    }

    @Nullable
    Position position() {
        Double latitude = number("latitude");
        Double longitude = number("longitude");
        if (latitude == null && longitude == null) {
            return null;
        }
        if (latitude == null || longitude == null) {
            wrong(
                    latitude == null ? "latitude" : "longitude",
                    "empty, expected both latitude and longitude or neither");
            return null;
        }
        try {
            return new Position(latitude, longitude);
        } catch (IllegalArgumentException e) {
            boolean south = !(latitude >= -90 && latitude <= 90);
            wrong(south ? "latitude" : "longitude", said(e));
            return null;
        }
    }

    @Nullable
    ZoneId zone(String column) {
        String name = text(column);
        if (name == null) {
            return null;
        }
        try {
            return ZoneId.of(name);
        } catch (DateTimeException e) {
            wrong(column, "\"" + name + "\" is not a time zone, expected one like Europe/Dublin or UTC");
            return null;
        }
    }

    private <T> @Nullable T quantity(String column, DoubleFunction<T> make) {
        Double value = number(column);
        if (value == null) {
            return null;
        }
        try {
            return make.apply(value);
        } catch (IllegalArgumentException e) {
            wrong(column, said(e));
            return null;
        }
    }

    private static String said(IllegalArgumentException e) {
        return String.valueOf(e.getMessage());
    }
}
