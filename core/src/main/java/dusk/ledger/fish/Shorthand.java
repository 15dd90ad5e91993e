package dusk.ledger.fish;

import dusk.ledger.units.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What came of a stint, in one line as a notebook has it: {@code 2 bites, largemouth 41, 3 yellow perch, 1 lost}. A
 * species needs no more letters than tell it from the others, the most likely first: {@code l41} is a largemouth of
 * 41.
 *
 * @param bites beside those of the fish landed and lost
 */
public record Shorthand(int follows, int bites, int lost, List<Fish> fish) {
    private static final Pattern PART = Pattern.compile(
            "(?:(\\d{1,3})\\s*x?\\s*)?([\\p{L}][\\p{L} -]*?|[\"“”][\\p{L}][\\p{L} '-]*[\"“”])\\s*((?:\\d+(?:[.,]\\d+)?|\\d+\\s+\\d+/\\d+)\\s*(?:cm|mm|in|\"|ft|m)?)?");
    private static final Pattern QUOTES = Pattern.compile("[\"“”]");
    private static final int MOST = 200;

    /** Fish of a kind; a length is of each. */
    public record Fish(int count, String species, @Nullable Length length) {}

    /**
     * Reads a line.
     *
     * @param species in the order of how likely they are
     * @param own unit of a bare length
     * @throws IllegalArgumentException with a message that can stand at the field
     */
    public static Shorthand read(String line, List<String> species, Length.Unit own) {
        int follows = 0;
        int bites = 0;
        int lost = 0;
        List<Fish> fish = new ArrayList<>();
        for (String part : line.strip().toLowerCase(Locale.ROOT).split("\\s*[,;]\\s*")) {
            if (part.isEmpty() || part.equals("0") || part.equals("blank") || part.equals("-")) {
                continue;
            }
            Matcher form = PART.matcher(part);
            if (!form.matches()) {
                throw refused(part);
            }
            int count = form.group(1) == null ? 1 : Integer.parseInt(form.group(1));
            String word = form.group(2).strip();
            String length = form.group(3);
            if (count < 1 || count > MOST) {
                throw new IllegalArgumentException("“" + part + "”: write a number from 1 to " + MOST + ".");
            }
            if (length == null && word.matches("bites?")) {
                bites += count;
            } else if (length == null && word.matches("follow(s|ed)?")) {
                follows += count;
            } else if (length == null && word.equals("lost")) {
                lost += count;
            } else {
                fish.add(
                        new Fish(count, named(word, species, part), length == null ? null : Length.parse(length, own)));
            }
        }
        return new Shorthand(follows, bites, lost, fish);
    }

    private static String named(String word, List<String> species, String part) {
        if (QUOTES.matcher(word).find()) {
            return QUOTES.matcher(word).replaceAll("").strip();
        }
        return species.stream()
                .filter(word::equals)
                .findFirst()
                .or(() -> species.stream().filter(s -> s.startsWith(word)).findFirst())
                .orElseThrow(() -> new IllegalArgumentException("“" + word + "” in “" + part
                        + "” is no species of the list. Mend it, or write a new one in quotes: \"" + word + "\"."));
    }

    private static IllegalArgumentException refused(String part) {
        return new IllegalArgumentException(
                "“" + part + "” is not understood. Write it like: 2 bites, largemouth 41, 3 yellow perch, 1 lost.");
    }

    /** Fish landed. */
    public int landed() {
        return fish.stream().mapToInt(Fish::count).sum();
    }
}
