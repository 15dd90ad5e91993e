package dusk.ledger.sheets;

import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.vocabulary.Words;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A lure in free words, such as {@code 4" green pumpkin stick worm, 1/8 oz shaky head}: what of it is a rig, a plastic, a
 * colour, a length, a weight.
 */
final class LureText {
    private static final Pattern OUNCES = Pattern.compile("(\\d+ )?(\\d{1,2}/\\d{1,2})\\s*(?:oz)?(?![\\d\"”])");
    private static final Pattern GRAMS = Pattern.compile("(\\d+(?:[.,]\\d+)?)\\s*(?:g|gr|gram|grams)\\b");
    private static final Pattern INCHES = Pattern.compile("(\\d+(?:[.,]\\d+)?)\\s*(?:\"|”|″|''|in\\b|inch)");
    private static final Pattern CENTIMETRES = Pattern.compile("(\\d+(?:[.,]\\d+)?)\\s*cm\\b");
    /** By column its words, the longest first, as they are spelt without signs. */
    private static final Map<String, Map<String, String>> WORDS = new LinkedHashMap<>();

    static {
        for (String column : List.of("rig", "plastic", "colour")) {
            Map<String, String> plain = new LinkedHashMap<>();
            Words.of(column).stream()
                    .filter(w -> !w.equals("none"))
                    .sorted(Comparator.comparingInt(String::length).reversed())
                    .forEach(w -> plain.put(w, NameGuess.plain(w)));
            WORDS.put(column, plain);
        }
    }

    private LureText() {}

    /** Cells of a set-up by column, and {@code rest} for what was not understood, where anything was not. */
    static Map<String, Object> read(String text) {
        Map<String, Object> cells = new LinkedHashMap<>();
        String left = text.toLowerCase(java.util.Locale.ROOT);
        Matcher ounces = OUNCES.matcher(left);
        Matcher grams = GRAMS.matcher(left);
        if (ounces.find()) {
            cells.put(
                    "head_mass_g",
                    Mass.parse(ounces.group().strip(), Mass.Unit.OUNCE).grams());
            left = ounces.replaceFirst(" ");
        } else if (grams.find()) {
            cells.put("head_mass_g", Mass.parse(grams.group(1), Mass.Unit.GRAM).grams());
            left = grams.replaceFirst(" ");
        }
        left = length(left, cells);
        String words = " " + NameGuess.plain(left) + " ";
        for (Map.Entry<String, Map<String, String>> column : WORDS.entrySet()) {
            for (Map.Entry<String, String> word : column.getValue().entrySet()) {
                String plain = " " + word.getValue() + " ";
                if (!cells.containsKey(column.getKey()) && words.contains(plain)) {
                    cells.put(column.getKey(), word.getKey());
                    words = words.replace(plain, " ");
                }
            }
        }
        String rest = words.replaceAll("\\b(oz|lb|head|with|on|and|a|the|w)\\b", " ")
                .replaceAll("\\s+", " ")
                .strip();
        if (!rest.isEmpty()) {
            cells.put("rest", rest);
        }
        return cells;
    }

    private static String length(String text, Map<String, Object> cells) {
        Matcher inches = INCHES.matcher(text);
        Matcher centimetres = CENTIMETRES.matcher(text);
        if (inches.find()) {
            cells.put(
                    "plastic_length_mm",
                    Length.parse(inches.group(1), Length.Unit.INCH).millimetres());
            return inches.replaceFirst(" ");
        } else if (centimetres.find()) {
            cells.put(
                    "plastic_length_mm",
                    Length.parse(centimetres.group(1), Length.Unit.CENTIMETRE).millimetres());
            return centimetres.replaceFirst(" ");
        }
        return text;
    }
}
