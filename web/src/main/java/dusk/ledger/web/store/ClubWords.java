package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.WORDS;

import dusk.ledger.journal.Invalid;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * A club's own words: those it took up, those that stand for others, and how it says some. Records keep what was written;
 * findings count a word as what it stands for.
 */
@Component
public final class ClubWords {
    private final Store store;
    private final NewId newId;
    private final Clock clock;

    /** By club; taken anew after it was written to. */
    private final Map<String, List<Word>> known = new ConcurrentHashMap<>();

    ClubWords(Store store, NewId newId, Clock clock) {
        this.store = store;
        this.newId = newId;
        this.clock = clock;
    }

    /**
     * A word that something was settled of.
     *
     * @param column of the ledger format
     * @param standsFor null for a word of its own
     * @param saidAs null where it is said as it is written
     */
    public record Word(
            String id,
            String column,
            String word,
            @Nullable String standsFor,
            @Nullable String saidAs) {}

    /** All of a club, by column and word. */
    public List<Word> all(Viewer viewer) {
        return all(viewer.clubId());
    }

    private List<Word> all(String clubId) {
        // what is being written may come to nothing: it is read and not kept
        return store.writing() ? read(clubId) : known.computeIfAbsent(clubId, this::read);
    }

    private List<Word> read(String clubId) {
        return store.read()
                .selectFrom(WORDS)
                .where(WORDS.CLUB_ID.eq(clubId))
                .orderBy(WORDS.COLUMN_NAME, WORDS.WORD)
                .fetch(r -> new Word(r.getWordId(), r.getColumnName(), r.getWord(), r.getStandsFor(), r.getSaidAs()));
    }

    /** By column, what each word of a club stands for in the end. */
    public Map<String, Map<String, String>> meant(String clubId) {
        return meant(all(clubId));
    }

    /** The same as if one more word stood for another. */
    public Map<String, Map<String, String>> meantIf(String clubId, String column, String word, String standsFor) {
        List<Word> with = new ArrayList<>(all(clubId));
        with.removeIf(w -> w.column().equals(column) && w.word().equals(word));
        with.add(new Word("", column, word, standsFor, null));
        return meant(with);
    }

    private static Map<String, Map<String, String>> meant(List<Word> words) {
        Map<String, Map<String, String>> direct = new HashMap<>();
        for (Word word : words) {
            if (word.standsFor() != null) {
                direct.computeIfAbsent(word.column(), c -> new HashMap<>()).put(word.word(), word.standsFor());
            }
        }
        Map<String, Map<String, String>> all = new HashMap<>();
        direct.forEach((column, of) -> {
            Map<String, String> last = new HashMap<>();
            of.keySet().forEach(word -> last.put(word, last(of, word)));
            all.put(column, Map.copyOf(last));
        });
        return Map.copyOf(all);
    }

    private static String last(Map<String, String> of, String word) {
        Set<String> seen = new HashSet<>();
        String at = word;
        while (of.containsKey(at) && seen.add(at)) {
            at = of.getOrDefault(at, at);
        }
        return at;
    }

    /** How a club says some words, by the word. */
    public Map<String, String> said(String clubId) {
        Map<String, String> said = new HashMap<>();
        for (Word word : all(clubId)) {
            if (word.saidAs() != null) {
                said.put(word.word(), word.saidAs());
            }
        }
        return said;
    }

    /**
     * Settles a word, over what was settled of it before.
     *
     * @throws Invalid where it would stand for itself in the end
     */
    public void settle(Viewer viewer, String column, String word, @Nullable String standsFor, @Nullable String saidAs) {
        write(viewer, column, word, tx -> {
            // asked of what stands now: another officer may have settled the other word a moment ago
            if (standsFor != null
                    && meantIf(viewer.clubId(), column, word, standsFor)
                            .getOrDefault(column, Map.of())
                            .getOrDefault(word, "")
                            .equals(word)) {
                throw new Invalid(List.of(new Invalid.Problem(
                        "into", "“" + standsFor + "” stands for “" + word + "” already. Undo that first.")));
            }
            tx.insertInto(WORDS)
                    .set(WORDS.CLUB_ID, viewer.clubId())
                    .set(WORDS.WORD_ID, newId.next())
                    .set(WORDS.COLUMN_NAME, column)
                    .set(WORDS.WORD, word)
                    .set(WORDS.STANDS_FOR, standsFor)
                    .set(WORDS.SAID_AS, saidAs)
                    .set(WORDS.PERSON_ID, viewer.personId())
                    .set(WORDS.SETTLED_AT, clock.instant())
                    .execute();
        });
    }

    /** Takes back what was settled of a word: it is as if nobody had looked at it. */
    public Optional<Word> undo(Viewer viewer, String wordId) {
        Optional<Word> word =
                all(viewer).stream().filter(w -> w.id().equals(wordId)).findFirst();
        word.ifPresent(w -> write(viewer, w.column(), w.word(), tx -> {}));
        return word;
    }

    private void write(Viewer viewer, String column, String word, Consumer<DSLContext> then) {
        store.write(viewer.clubId(), tx -> {
            tx.deleteFrom(WORDS)
                    .where(WORDS.CLUB_ID.eq(viewer.clubId()))
                    .and(WORDS.COLUMN_NAME.eq(column))
                    .and(WORDS.WORD.eq(word))
                    .execute();
            then.accept(tx);
            Written.everything(tx, viewer.clubId());
            return word;
        });
        known.remove(viewer.clubId());
    }
}
