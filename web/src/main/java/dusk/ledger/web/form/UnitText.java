package dusk.ledger.web.form;

import dusk.ledger.format.FileColumn;
import dusk.ledger.journal.Bounds;
import dusk.ledger.units.Bearing;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Force;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import dusk.ledger.units.UnitSystem;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The cells of the record as a person types and reads them: in their units and the water's time. Which unit a column
 * has is told by the end of its name, as the ledger format has it.
 */
public final class UnitText {
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm");
    private static final Set<String> THIN = Set.of("line_diameter_mm", "leader_diameter_mm");

    private static final Pattern RATIO =
            Pattern.compile("(\\d+(?:[.,]\\d+)?)\\s*:\\s*1(?:\\s*(?:x|×|\\*|at|with|,)?\\s*(\\d.*))?\\s*");

    static final String YES = "yes";
    static final String NO = "no";

    private static final double TINY = 0.001;

    private final UnitSystem units;
    private final ZoneId zone;

    public UnitText(UnitSystem units, ZoneId zone) {
        this.units = units;
        this.zone = zone;
    }

    /**
     * What was typed, as the cell of a table's column, within the ends that such a cell can have.
     *
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    Object read(FileColumn<?> column, String table, String typed) {
        Object cell = read(column, typed);
        if (cell instanceof Instant at && !Bounds.holds(at)) {
            throw new IllegalArgumentException(
                    "“" + typed.strip() + "” is not a year anyone logs. Write one from 1900 to 2099.");
        }
        if (cell instanceof Number number) {
            Bounds.of(column.name(), table)
                    .filter(range -> !range.holds(number.doubleValue()))
                    .ifPresent(range -> {
                        throw new IllegalArgumentException(
                                "Write " + span(column, range) + ", not “" + typed.strip() + "”.");
                    });
        }
        return cell;
    }

    /** Such as {@code 0 ft to 1640.4 ft}, or {@code more than 0 and at most 70.55 oz} where the least is too little to be shown. */
    private String span(FileColumn<?> column, Bounds.Range range) {
        String least = shown(column.name(), range.least());
        String most = shown(column.name(), range.most());
        boolean tiny = range.least() > 0 && range.least() < range.most() * TINY;
        return tiny ? "more than 0 and at most " + most : least + " to " + most;
    }

    /** What was typed, whatever its size. */
    Object read(FileColumn<?> column, String typed) {
        String text = typed.strip();
        String name = column.name();
        return switch (column.kind()) {
            case TEXT -> text;
            case YES_NO -> yesOrNo(text);
            case TIME -> time(text);
            case WHOLE -> (long) Numbers.whole(text);
            case NUMBER -> {
                if (name.equals("retrieve_mm") && RATIO.matcher(text).lookingAt()) {
                    yield ofRatio(text);
                } else if (name.endsWith("_mm")) {
                    yield Length.parse(text, millimetreUnit(name)).millimetres();
                } else if (name.endsWith("_m")) {
                    yield Length.parse(text, units.depth()).metres();
                } else if (name.endsWith("_mps")) {
                    yield Speed.parse(text, speedUnit(name, units)).metresPerSecond();
                } else if (name.endsWith("_g")) {
                    yield Mass.parse(text, massUnit(name)).grams();
                } else if (name.endsWith("_c")) {
                    yield Temperature.parse(text, units.temperature()).celsius();
                } else if (name.endsWith("_n")) {
                    yield Force.parse(text, units.line()).newtons();
                }
                yield Numbers.decimal(text);
            }
        };
    }

    /** A stored cell as the value of its input. */
    public String write(FileColumn<?> column, Object value) {
        String name = column.name();
        if (value instanceof Instant at) {
            return TIME.format(at.atZone(zone));
        }
        if (value instanceof Boolean said) {
            return said ? YES : NO;
        }
        if (value instanceof Double number) {
            return shown(name, number);
        }
        return value.toString();
    }

    private String shown(String name, double value) {
        if (name.endsWith("_mm")) {
            return Length.ofMillimetres(value).show(millimetreUnit(name));
        } else if (name.endsWith("_m")) {
            return Length.ofMetres(value).show(units.depth());
        } else if (name.endsWith("_mps")) {
            return Speed.ofMetresPerSecond(value).show(speedUnit(name, units));
        } else if (name.endsWith("_g")) {
            return Mass.ofGrams(value).show(massUnit(name));
        } else if (name.endsWith("_c")) {
            return Temperature.ofCelsius(value).show(units.temperature());
        } else if (name.endsWith("_n")) {
            return Force.ofNewtons(value).show(units.line());
        } else if (name.endsWith("_deg")) {
            return Figures.trimmed(Bearing.ofDegrees(value).degrees(), 0);
        }
        return Figures.trimmed(value, 3);
    }

    private Length.Unit millimetreUnit(String column) {
        return THIN.contains(column) ? Length.Unit.MILLIMETRE : units.lure();
    }

    /** What a field of a speed says of how it is written. */
    public static String speedHint(String column, UnitSystem units) {
        return "in " + speedUnit(column, units).symbol()
                + (column.equals("wind_mps") ? ", or 15 km/h, 10 mph, 8 kn" : ", or 1.5 km/h, 1 mph, 0.8 kn");
    }

    /** A wind is told in one unit, whatever flows or drifts in another. */
    static Speed.Unit speedUnit(String column, UnitSystem units) {
        return column.equals("wind_mps") ? units.wind() : units.current();
    }

    /** A reel's ratio times what one turn of its spool takes in. */
    private double ofRatio(String text) {
        Matcher both = RATIO.matcher(text);
        if (!both.matches() || both.group(2) == null) {
            throw new IllegalArgumentException("“" + text
                    + "” alone does not tell. Write what one turn of the spool takes in too, like 6.2:1 x 11 cm.");
        }
        double turns = Numbers.decimal(both.group(1));
        return turns * Length.parse(both.group(2), units.lure()).millimetres();
    }

    private Mass.Unit massUnit(String column) {
        return column.equals("mass_g") ? units.fishMass() : units.headMass();
    }

    private static boolean yesOrNo(String text) {
        return switch (text) {
            case YES, "true" -> true;
            case NO, "false" -> false;
            default -> throw new IllegalArgumentException("Write yes or no, not “" + text + "”.");
        };
    }

    private Instant time(String text) {
        return moment(text, zone);
    }

    /** A moment as it is typed: the water's date and time, or with an offset of its own. */
    static Instant moment(String text, ZoneId zone) {
        try {
            if (text.endsWith("Z") || text.indexOf('+') > 0) {
                return Instant.from(DateTimeFormatter.ISO_OFFSET_DATE_TIME
                        .withZone(ZoneOffset.UTC)
                        .parse(text));
            }
            return LocalDateTime.parse(text).atZone(zone).toInstant();
        } catch (DateTimeException e) {
            throw new IllegalArgumentException(
                    "“" + text + "” is not a date and time. Write it like 2026-05-01T18:30.");
        }
    }
}
