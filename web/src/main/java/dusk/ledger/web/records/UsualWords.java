package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.SETUPS;
import static dusk.ledger.web.schema.Tables.STINTS;
import static org.jooq.impl.DSL.and;
import static org.jooq.impl.DSL.count;
import static org.jooq.impl.DSL.inline;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.store.ClubWords;
import dusk.ledger.web.store.Settled;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jooq.Field;
import org.jooq.Record3;
import org.jooq.Select;
import org.springframework.stereotype.Component;

/** The words of a column by how often a club fishes with them, so that the likely ones stand first where they are chosen. */
@Component
public class UsualWords {
    private static final List<Field<String>> COLUMNS = List.of(
            SETUPS.COLOUR,
            SETUPS.PLASTIC,
            SETUPS.HOOK_PATTERN,
            SETUPS.HEAD_MATERIAL,
            STINTS.PRESENTATION,
            STINTS.SPEED,
            STINTS.FISH_POSITION,
            STINTS.LINE_METHOD,
            STINTS.HOOK_SET,
            STINTS.PURPOSE);

    private final Store store;
    private final ClubWords club;
    private final Settled<Map<String, List<String>>> usual;

    UsualWords(Store store, ClubWords club) {
        this.store = store;
        this.club = club;
        usual = new Settled<>(store);
    }

    /** Words of a column of set-ups, those of most stints first, then the rest of the vocabulary. */
    public List<String> ofSetUps(Viewer viewer, String column) {
        return of(viewer, column, LedgerFormat.SETUPS.name());
    }

    /** Words of a column of stints, those of most stints first, then the rest of the vocabulary. */
    public List<String> ofStints(Viewer viewer, String column) {
        return of(viewer, column, LedgerFormat.STINTS.name());
    }

    private List<String> of(Viewer viewer, String column, String file) {
        List<String> closed = Words.closed(column, file);
        List<String> all = closed.isEmpty() ? Words.of(column) : closed;
        List<String> words =
                new ArrayList<>(usual.of(viewer, "usual", this::fished).getOrDefault(column, List.of()));
        Set<String> own = own(viewer, column);
        words.removeIf(word -> !all.contains(word) && !own.contains(word));
        all.stream().filter(word -> !words.contains(word)).forEach(words::add);
        return words;
    }

    /** Words that the club took up as its own. */
    private Set<String> own(Viewer viewer, String column) {
        return club.all(viewer).stream()
                .filter(w -> w.column().equals(column) && w.standsFor() == null)
                .map(ClubWords.Word::word)
                .collect(Collectors.toSet());
    }

    /** All columns in one question. */
    private Map<String, List<String>> fished(Viewer viewer) {
        Stream<Select<Record3<String, String, Integer>>> each = COLUMNS.stream().map(column -> counted(viewer, column));
        Map<String, List<String>> fished = new HashMap<>();
        each.reduce(Select::unionAll).orElseThrow().fetch().stream()
                .sorted(Comparator.comparing((Record3<String, String, Integer> row) -> -row.value3())
                        .thenComparing(row -> row.value2()))
                .forEach(row -> fished.computeIfAbsent(row.value1(), c -> new ArrayList<>())
                        .add(row.value2()));
        return fished;
    }

    private Select<Record3<String, String, Integer>> counted(Viewer viewer, Field<String> column) {
        return store.read()
                .select(inline(column.getName()), column, count())
                .from(STINTS)
                .join(SETUPS)
                .on(and(SETUPS.CLUB_ID.eq(STINTS.CLUB_ID), SETUPS.SETUP_ID.eq(STINTS.SETUP_ID)))
                .where(Visibility.of(viewer, STINTS))
                .and(column.isNotNull())
                .groupBy(column);
    }
}
