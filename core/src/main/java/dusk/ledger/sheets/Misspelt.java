package dusk.ledger.sheets;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Length;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.text.similarity.JaroWinklerSimilarity;
import org.jspecify.annotations.Nullable;

/**
 * Which of a club's words another may be a slip of the pen for: by how it is written, as {@link WordGuess} tells; and,
 * less alike, where both stand on set-ups of the same rig with a plastic of the same length.
 */
public final class Misspelt {
    /** So alike by Jaro and Winkler that two words of one kind of set-up are worth asking about. */
    private static final double WORTH_ASKING = 0.78;

    private static final JaroWinklerSimilarity ALIKE = new JaroWinklerSimilarity();

    private final List<SetUp> setUps;

    public Misspelt(List<SetUp> setUps) {
        this.setUps = List.copyOf(setUps);
    }

    /**
     * The word that another is likeliest meant for; nothing where it is like none.
     *
     * @param column of the ledger format
     * @param known words that are right
     */
    public Optional<String> meant(String column, String word, Collection<String> known) {
        List<String> others = known.stream().filter(k -> !k.equals(word)).toList();
        Optional<String> written = new WordGuess(others).of(word).map(WordGuess.Guess::word);
        return written.isPresent()
                ? written
                : beside(column, word).stream()
                        .filter(others::contains)
                        .filter(other -> ALIKE.apply(word, other) >= WORTH_ASKING)
                        .max(Comparator.comparingDouble((String other) -> ALIKE.apply(word, other))
                                .thenComparing(other -> other));
    }

    /** Words of the column on set-ups like those that have this word. */
    private Set<String> beside(String column, String word) {
        FileColumn<SetUp> asked = LedgerFormat.SETUPS.columns().stream()
                .filter(c -> c.name().equals(column))
                .findFirst()
                .orElse(null);
        if (asked == null) {
            return Set.of();
        }
        Set<Like> likes = new HashSet<>();
        setUps.stream().filter(s -> word.equals(asked.value().apply(s))).forEach(s -> likes.add(Like.of(s)));
        Set<String> words = new HashSet<>();
        setUps.stream()
                .filter(s -> likes.contains(Like.of(s)))
                .map(s -> asked.value().apply(s))
                .filter(Objects::nonNull)
                .forEach(other -> words.add(other.toString()));
        return words;
    }

    private record Like(String rig, @Nullable Length length) {
        static Like of(SetUp setUp) {
            return new Like(setUp.rig(), setUp.plasticLength());
        }
    }
}
