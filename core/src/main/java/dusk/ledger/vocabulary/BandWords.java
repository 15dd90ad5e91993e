package dusk.ledger.vocabulary;

import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import dusk.ledger.units.UnitSystem;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.DoubleFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The bands of the ledger format as a person says them: the format names them in metric units, and those names are what
 * is stored, compared and asked for; whoever thinks in feet, ounces and miles an hour reads them so, rounded as people
 * round. A band's name is found anywhere in a text, so that sentences made for everyone can be read by each.
 */
public final class BandWords {
    private static final double HEAVY_OUNCES = 0.9;

    private static final Map<UnitSystem, BandWords> MADE = new ConcurrentHashMap<>();

    private final Map<String, String> said;
    private final Pattern names;

    private BandWords(Map<String, String> said) {
        this.said = said;
        // the longest first: “slow under 0.6 m a turn” holds “under 0.6 m”
        String any = said.keySet().stream()
                .sorted(Comparator.comparing(String::length).reversed())
                .map(Pattern::quote)
                .collect(Collectors.joining("|"));
        names = Pattern.compile("(?<![\\w.-])(?:" + any + ")(?![\\w-])");
    }

    /** For a person's units; in metric ones every band keeps the format's name. */
    public static BandWords of(UnitSystem units) {
        return MADE.computeIfAbsent(units, BandWords::made);
    }

    private static BandWords made(UnitSystem units) {
        Map<String, String> said = new HashMap<>();
        if (units.depth() == Length.Unit.FOOT) {
            DoubleFunction<String> feet =
                    metres -> whole(Length.ofMetres(metres).in(Length.Unit.FOOT));
            put(said, Bands.DEPTH, feet, "ft");
            put(said, Bands.CLARITY, feet, "ft");
            put(said, Bands.LEADER, mm -> feet.apply(mm / 1000), "ft");
        }
        if (units.lure() == Length.Unit.INCH) {
            DoubleFunction<String> inches = mm -> whole(Length.ofMillimetres(mm).in(Length.Unit.INCH));
            put(said, Bands.PLASTIC_LENGTH, inches, "in");
            put(said, Bands.HOOK_HEIGHT, inches, "in");
            put(said, Bands.REEL, inches, "in a turn");
        }
        if (units.temperature() == Temperature.Unit.FAHRENHEIT) {
            put(
                    said,
                    Bands.WATER_TEMP,
                    celsius -> whole(Temperature.ofCelsius(celsius).in(Temperature.Unit.FAHRENHEIT)),
                    Temperature.Unit.FAHRENHEIT.symbol());
        }
        if (units.wind() != Speed.Unit.METRE_A_SECOND) {
            put(
                    said,
                    Bands.WIND,
                    mps -> speed(mps, units.wind(), 0),
                    units.wind().symbol());
        }
        if (units.current() != Speed.Unit.METRE_A_SECOND) {
            put(
                    said,
                    Bands.CURRENT,
                    mps -> speed(mps, units.current(), 1),
                    units.current().symbol());
        }
        if (units.headMass() == Mass.Unit.OUNCE) {
            for (String step : Bands.HEAD_MASS) {
                said.put(step, ounces(Mass.parse(step, Mass.Unit.GRAM)));
            }
        }
        return new BandWords(said);
    }

    /** From an ounce on heads are spoken of by the quarter. */
    private static String ounces(Mass step) {
        double ounces = step.in(Mass.Unit.OUNCE);
        return ounces < HEAVY_OUNCES
                ? step.show(Mass.Unit.OUNCE)
                : Figures.trimmed(Math.rint(4 * ounces) / 4, 2) + " oz";
    }

    private static String speed(double mps, Speed.Unit unit, int decimals) {
        return Figures.trimmed(Speed.ofMetresPerSecond(mps).in(unit), decimals);
    }

    private static String whole(double value) {
        return Figures.trimmed(value, 0);
    }

    /** A band that its bounds name: “1.5-3 m” is “5 to 10 ft”, “fresh 5-9” is “fresh, 11 to 20 mph”. */
    private static void put(Map<String, String> said, Band band, DoubleFunction<String> bound, String unit) {
        List<String> bounds = new ArrayList<>();
        band.bounds().forEach(b -> bounds.add(bound.apply(b)));
        int last = bounds.size();
        for (int i = 0; i <= last; i++) {
            String label = band.labels().get(i);
            if (label.equals("none")) {
                continue;
            }
            boolean open = i == 0 || band.bounds().get(i - 1) == Double.MIN_VALUE;
            String range = open
                    ? "under " + bounds.get(i)
                    : i == last ? bounds.get(i - 1) : bounds.get(i - 1) + " to " + bounds.get(i);
            String name = label.replaceFirst("\\s*(?:under )?[\\d.].*", "");
            said.put(
                    label,
                    (name.isEmpty() || name.equals("under") ? "" : name + ", ") + range + " " + unit
                            + (i == last ? " and over" : ""));
        }
    }

    /** The same with some words of the vocabulary said as a club says them. */
    public BandWords and(Map<String, String> words) {
        if (words.isEmpty()) {
            return this;
        }
        Map<String, String> all = new HashMap<>(words);
        all.putAll(said);
        return new BandWords(all);
    }

    /** A text with every band in it said in these units. */
    public String of(String text) {
        if (said.isEmpty()) {
            return text;
        }
        return names.matcher(text).replaceAll(m -> Matcher.quoteReplacement(said.getOrDefault(m.group(), m.group())));
    }
}
