package dusk.ledger.web.records;

import static dusk.ledger.web.schema.Tables.SETUPS;
import static dusk.ledger.web.schema.Tables.STINTS;
import static org.jooq.impl.DSL.and;
import static org.jooq.impl.DSL.count;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.store.Settled;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jooq.Field;
import org.springframework.stereotype.Component;

/** The words of a column by how often a club fishes with them, so that the likely ones stand first where they are chosen. */
@Component
public class UsualWords {
    private final Store store;
    private final Settled<List<String>> usual;

    UsualWords(Store store) {
        this.store = store;
        usual = new Settled<>(store);
    }

    /** Words of a column of set-ups, those of most stints first, then the rest of the vocabulary. */
    public List<String> ofSetUps(Viewer viewer, String column) {
        return of(viewer, LedgerFormat.SETUPS.name(), Objects.requireNonNull(SETUPS.field(column, String.class)));
    }

    /** Words of a column of stints, those of most stints first, then the rest of the vocabulary. */
    public List<String> ofStints(Viewer viewer, String column) {
        return of(viewer, LedgerFormat.STINTS.name(), Objects.requireNonNull(STINTS.field(column, String.class)));
    }

    private List<String> of(Viewer viewer, String file, Field<String> column) {
        return usual.of(viewer, file + "." + column.getName(), () -> {
            List<String> closed = Words.closed(column.getName(), file);
            List<String> all = closed.isEmpty() ? Words.of(column.getName()) : closed;
            List<String> words = new ArrayList<>(fished(viewer, column));
            words.retainAll(all);
            all.stream().filter(word -> !words.contains(word)).forEach(words::add);
            return List.copyOf(words);
        });
    }

    private List<String> fished(Viewer viewer, Field<String> column) {
        return store.read()
                .select(column, count())
                .from(STINTS)
                .join(SETUPS)
                .on(and(SETUPS.CLUB_ID.eq(STINTS.CLUB_ID), SETUPS.SETUP_ID.eq(STINTS.SETUP_ID)))
                .where(Visibility.of(viewer, STINTS))
                .and(column.isNotNull())
                .groupBy(column)
                .orderBy(count().desc(), column)
                .fetch(column);
    }
}
