package dusk.ledger.sheets;

import dusk.ledger.units.Force;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import dusk.ledger.vocabulary.Judged;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A measured value as a cell has it: a number with a point or a comma, a fraction, a span, with a unit of its own or the
 * column's.
 *
 * @param value in the unit that the column of the record is named with
 * @param about whether the cell says that it is a guess
 */
record Figure(double value, boolean about) {
    private static final Pattern ABOUT = Pattern.compile(
            "^(?:~|≈|ca\\.?|c\\.|approx\\.?|about|around|est\\.?|roughly)\\s*|\\s*(?:\\?|\\(est\\.?\\)|(?<![a-z])est\\.?|ish|\\+/-)$");
    private static final Pattern SPAN = Pattern.compile(
            "(\\d+(?:\\.\\d+)?)\\s*\\D{0,3}?\\s*(?:-|–|—|\\bto\\b)\\s*(\\d+(?:\\.\\d+)?)\\s*([^\\d/]*)");
    private static final Pattern POUNDS_AND_OUNCES = Pattern.compile(
            "(\\d+)\\s*(?:lbs?\\.?|pounds?|#|-)\\s*(?:,|and)?\\s*(\\d+(?:\\.\\d+)?)\\s*(?:ozs?\\.?|ounces?)?");
    private static final Pattern POUND_SIGN = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*#");
    private static final Pattern THOUSANDS_BY_COMMA = Pattern.compile("\\d{1,3}(?:,\\d{3})+(?:\\.\\d+)?(?!\\d).*");
    private static final Pattern THOUSANDS_BY_POINT = Pattern.compile("\\d{1,3}(?:\\.\\d{3})+(?:,\\d+)?(?!\\d).*");

    private static final Map<Character, String> FRACTIONS = Map.ofEntries(
            Map.entry('¼', "1/4"),
            Map.entry('½', "1/2"),
            Map.entry('¾', "3/4"),
            Map.entry('⅛', "1/8"),
            Map.entry('⅜', "3/8"),
            Map.entry('⅝', "5/8"),
            Map.entry('⅞', "7/8"),
            Map.entry('⅓', "1/3"),
            Map.entry('⅔', "2/3"));

    private static final List<String> WINDS =
            List.of("n", "nne", "ne", "ene", "e", "ese", "se", "sse", "s", "ssw", "sw", "wsw", "w", "wnw", "nw", "nnw");
    private static final double DEGREES_A_WIND = 22.5;

    /** A fish is a lure's weight no more than this. */
    private static final double OUNCES_A_POUND = 16;

    /** Units that a column of a kind may be in, the likeliest first; none where it has only one. */
    static List<String> units(String column) {
        if (column.endsWith("_mm")) {
            return List.of("cm", "mm", "in", "ft", "m");
        } else if (column.endsWith("_m")) {
            return List.of("m", "ft", "cm");
        } else if (column.endsWith("_g")) {
            return List.of("g", "oz", "kg", "lb");
        } else if (column.endsWith("_c")) {
            return List.of("C", "F");
        } else if (column.endsWith("_mps")) {
            return List.of("m/s", "km/h", "mph", "kn");
        } else if (column.endsWith("_n")) {
            return List.of("kg", "lb");
        } else if (column.equals("hours")) {
            return List.of("h", "min");
        }
        return List.of();
    }

    /** A number with a point, however it was written: a comma for a point, points or commas between thousands. */
    static String pointed(String text, boolean commas) {
        String typed = text;
        for (Map.Entry<Character, String> one : FRACTIONS.entrySet()) {
            typed = typed.replace(one.getKey().toString(), " " + one.getValue());
        }
        typed = typed.strip().replaceAll("\\s+", " ");
        if (commas && THOUSANDS_BY_POINT.matcher(typed).matches()) {
            return typed.replace(".", "").replace(',', '.');
        } else if (!commas && THOUSANDS_BY_COMMA.matcher(typed).matches()) {
            return typed.replace(",", "");
        }
        return typed.replaceAll("(?<=\\d),(?=\\d)", ".");
    }

    /**
     * Reads a cell.
     *
     * @param column of the record; its name ends with its unit
     * @param unit of a bare number
     * @param commas whether the sheet writes a comma for a point
     * @throws IllegalArgumentException with what is wrong and what would be right
     */
    static Figure read(String column, String cell, String unit, boolean commas) {
        String typed = pointed(cell, commas)
                .toLowerCase(Locale.ROOT)
                .replace('″', '"')
                .replace('′', '\'')
                .replace("''", "\"");
        Matcher about = ABOUT.matcher(typed);
        boolean guessed = about.find();
        String text = guessed ? ABOUT.matcher(typed).replaceAll("").strip() : typed;
        Optional<String> judged = Judged.of(column, text);
        if (judged.isPresent()) {
            return new Figure(value(column, judged.get(), unit), true);
        }
        if (column.endsWith("_deg")) {
            return new Figure(bearing(text, cell), guessed);
        }
        Matcher span = SPAN.matcher(text);
        boolean heavy = column.equals("mass_g") && unit.equals("lb");
        if (span.matches() && !heavy && !text.contains("'")) {
            String of = span.group(3).strip();
            double middle = (Double.parseDouble(span.group(1)) + Double.parseDouble(span.group(2))) / 2;
            return new Figure(value(column, middle + " " + of, unit), true);
        }
        return new Figure(value(column, text, unit), guessed);
    }

    private static double bearing(String text, String cell) {
        String letters = text.replaceAll("north", "n")
                .replaceAll("south", "s")
                .replaceAll("east", "e")
                .replaceAll("west", "w")
                .replaceAll("[^a-z]", "");
        if (!letters.isEmpty() && WINDS.contains(letters)) {
            return WINDS.indexOf(letters) * DEGREES_A_WIND;
        }
        String number = text.replaceAll("[°\\s]|deg(rees)?", "");
        if (!number.matches("\\d{1,3}(\\.\\d+)?") || Double.parseDouble(number) > 360) {
            throw new IllegalArgumentException("“" + cell + "” is no direction, expected one like SW or 225");
        }
        return Double.parseDouble(number) % 360;
    }

    private static double value(String column, String text, String unit) {
        if (column.endsWith("_mm")) {
            return Length.parse(text, lengthUnit(unit)).millimetres();
        } else if (column.endsWith("_m")) {
            return Length.parse(text, lengthUnit(unit)).metres();
        } else if (column.endsWith("_g")) {
            return mass(text, unit);
        } else if (column.endsWith("_c")) {
            return Temperature.parse(
                            text.replaceAll("deg(rees?|\\.)?\\s*", "°")
                                    .replace("°°", "°")
                                    .replaceAll("°\\s+", "°"),
                            unit.equals("F") ? Temperature.Unit.FAHRENHEIT : Temperature.Unit.CELSIUS)
                    .celsius();
        } else if (column.endsWith("_mps")) {
            boolean bare = text.matches("[\\d.]+");
            return Speed.parse(bare ? text + " " + unit : text).metresPerSecond();
        } else if (column.endsWith("_n")) {
            return Force.parse(text, unit.equals("lb") ? Force.Unit.POUND_TEST : Force.Unit.KILOGRAM_TEST)
                    .newtons();
        }
        String bare = text.replaceAll("\\s*(s|sec|secs|seconds|hpa|mb|mbar)\\.?$", "");
        if (!bare.matches("[+-]?\\d+(\\.\\d+)?")) {
            throw new IllegalArgumentException("“" + text + "” is not a number, expected one like 12.5");
        }
        return Double.parseDouble(bare);
    }

    private static double mass(String text, String unit) {
        Matcher both = POUNDS_AND_OUNCES.matcher(text);
        boolean spoken = text.contains("lb") || text.contains("pound") || text.contains("#");
        if (both.matches() && (spoken || unit.equals("lb"))) {
            double pounds = Integer.parseInt(both.group(1)) + Double.parseDouble(both.group(2)) / OUNCES_A_POUND;
            return pounds * OUNCES_A_POUND * Mass.GRAMS_PER_OUNCE;
        }
        Matcher sign = POUND_SIGN.matcher(text);
        String plain = sign.matches() ? sign.group(1) + " lb" : text;
        Mass.Unit own = switch (unit) {
            case "oz" -> Mass.Unit.OUNCE;
            case "kg" -> Mass.Unit.KILOGRAM;
            case "lb" -> Mass.Unit.POUND;
            default -> Mass.Unit.GRAM;
        };
        return Mass.parse(plain, own).grams();
    }

    private static Length.Unit lengthUnit(String unit) {
        return switch (unit) {
            case "mm" -> Length.Unit.MILLIMETRE;
            case "in" -> Length.Unit.INCH;
            case "ft" -> Length.Unit.FOOT;
            case "m" -> Length.Unit.METRE;
            default -> Length.Unit.CENTIMETRE;
        };
    }
}
