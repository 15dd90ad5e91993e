package dusk.ledger.web.findings;

import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.RecentTables;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** What the search for patterns has to tell that was not so before, as it was found last. */
@Component
public class News {
    private static final int MOST = 3;

    private final PatternRuns runs;
    private final RecentTables tables;

    private final boolean searches;

    /** @param searches whether to begin a search where nothing was found yet, or enough is newer */
    News(PatternRuns runs, RecentTables tables, @Value("${dusk.news.searches}") boolean searches) {
        this.runs = runs;
        this.tables = tables;
        this.searches = searches;
    }

    /** A piece of news. @param mark of evidence @param words bands keep the format's names */
    public record Item(String mark, String kind, String words) {}

    /** The newly banked, the faded, then what waits for more trips; empty while nothing was searched yet. */
    public List<Item> of(Person person) {
        PatternsAsk ask = PatternsAsk.of(
                PatternsAsk.Typed.NOTHING, tables.shared(person.viewer()).table(), person);
        PatternRuns.Found found = searches ? runs.of(person.viewer(), ask).found() : runs.found(person.viewer(), ask);
        if (found == null) {
            return List.of();
        }
        Optional<Set<String>> before = runs.before(person.viewer(), ask)
                .map(known -> known.cards().stream()
                        .filter(PatternCard::banked)
                        .map(PatternCard::key)
                        .collect(Collectors.toSet()));
        List<Item> items = new ArrayList<>();
        found.cards().stream()
                .filter(card -> card.banked()
                        && before.map(known -> !known.contains(card.key())).orElse(true))
                .limit(MOST)
                .forEach(card -> items.add(
                        new Item(card.mark(), before.isPresent() ? "newly banked" : "banked", card.sentence())));
        found.cards().stream()
                .filter(PatternCard::faded)
                .limit(MOST)
                .forEach(card -> items.add(new Item(card.mark(), "faded", card.sentence())));
        found.cards().stream()
                .filter(card -> !card.banked() && !card.faded())
                .limit(1)
                .forEach(card -> items.add(new Item(card.mark(), "awaits more trips", card.sentence())));
        return items;
    }
}
