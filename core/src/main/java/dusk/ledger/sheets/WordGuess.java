package dusk.ledger.sheets;

import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.text.similarity.JaroWinklerSimilarity;

/**
 * Which word of a list another is a spelling of: the same but for case, signs and spaces; the same words in another
 * order or cut short ({@code grn pumpkin}, {@code gp}); or misspelt, by the similarity of Jaro and Winkler.
 */
public final class WordGuess {
    private static final JaroWinklerSimilarity ALIKE = new JaroWinklerSimilarity();
    private static final double SAME = 1;
    private static final double CUT_SHORT = 0.96;
    private static final double INITIALS = 0.92;
    private static final double MISSPELT = 0.9;
    private static final double SURE_OF_MISSPELT = 0.935;
    private static final double NEXT_BEST = 0.02;
    private static final int SHORTEST = 3;

    /** What people say behind a word that tells all. */
    private static final List<String> GENERIC = List.of("rig", "rigged", "bass", "fish", "lure", "bait");

    /** Letters that stand for a word. */
    private static final Map<String, String> SHORT =
            Map.of("lmb", "largemouth", "smb", "smallmouth", "spot", "spotted bass", "blk", "black", "wht", "white");

    /** The words by how they are spelt without case or signs, which is what is compared. */
    private final Map<String, String> plain = new LinkedHashMap<>();

    /** @param words that a text may be a spelling of */
    public WordGuess(Collection<String> words) {
        words.forEach(word -> plain.put(word, NameGuess.plain(word)));
    }

    /**
     * A guess.
     *
     * @param sure whether it may be taken without being asked about
     */
    public record Guess(String word, boolean sure) {}

    private record Scored(String word, double score) {}

    /** The word that a text is likeliest a spelling of; nothing where it is like none. */
    public Optional<Guess> of(String text) {
        String written = NameGuess.plain(text);
        List<Scored> scored = plain.entrySet().stream()
                .map(w -> new Scored(w.getKey(), score(written, w.getValue())))
                .filter(s -> s.score() >= MISSPELT)
                .sorted(Comparator.comparingDouble(Scored::score).reversed())
                .toList();
        if (scored.isEmpty()) {
            return Optional.empty();
        }
        Scored best = scored.get(0);
        boolean alone = scored.size() == 1
                || best.score() == SAME
                || best.score() - scored.get(1).score() >= NEXT_BEST;
        boolean sure =
                alone && best.score() >= INITIALS && (best.score() >= SURE_OF_MISSPELT || best.score() == INITIALS);
        return Optional.of(new Guess(best.word(), sure));
    }

    private static double score(String text, String word) {
        if (word.equals(SHORT.get(text)) || GENERIC.stream().anyMatch(g -> text.equals(word + " " + g))) {
            return SAME;
        }
        String solid = text.replace(" ", "");
        String wanted = word.replace(" ", "");
        if (solid.isEmpty() || wanted.isEmpty()) {
            return 0;
        } else if (solid.equals(wanted) || solid.equals(wanted + "s") || wanted.equals(solid + "s")) {
            return SAME;
        }
        String[] written = text.split(" ");
        String[] meant = word.split(" ");
        if (written.length == meant.length) {
            if (aligned(written, meant)) {
                return CUT_SHORT;
            }
            String[] turned = written.clone();
            Arrays.sort(turned);
            String[] sorted = meant.clone();
            Arrays.sort(sorted);
            if (Arrays.equals(turned, sorted)) {
                return CUT_SHORT;
            }
        }
        if (written.length == 1 && meant.length > 1 && solid.equals(initials(meant))) {
            return INITIALS;
        }
        if ((" " + word + " ").contains(" " + text + " ")) {
            return MISSPELT;
        }
        if (solid.length() <= SHORTEST
                || written.length != meant.length && Math.abs(solid.length() - wanted.length()) > 2) {
            return 0;
        }
        // alike in all but a letter or two: what is longer by a whole word is another colour
        return ALIKE.apply(solid, wanted);
    }

    private static String initials(String[] words) {
        StringBuilder initials = new StringBuilder();
        for (String word : words) {
            initials.append(word.charAt(0));
        }
        return initials.toString();
    }

    /** Whether each word is written out or cut short, and one at least in three letters or more. */
    private static boolean aligned(String[] written, String[] meant) {
        boolean told = false;
        for (int i = 0; i < written.length; i++) {
            if (!cutShort(written[i], meant[i])) {
                return false;
            }
            told |= written[i].length() >= SHORTEST;
        }
        return told;
    }

    /** The first letter, and of the others some in their order; a whole word of its own is never a cut one. */
    private static boolean cutShort(String written, String meant) {
        if (written.isEmpty() || written.charAt(0) != meant.charAt(0) || written.length() > meant.length()) {
            return false;
        }
        int at = 0;
        for (int i = 0; i < meant.length() && at < written.length(); i++) {
            if (meant.charAt(i) == written.charAt(at)) {
                at++;
            }
        }
        return at == written.length();
    }
}
