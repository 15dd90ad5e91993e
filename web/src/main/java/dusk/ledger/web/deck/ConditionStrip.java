package dusk.ledger.web.deck;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.instruments.Feed;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Reading;
import dusk.ledger.safety.Danger;
import dusk.ledger.vocabulary.Judged;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.afloat.ConditionWords;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.instruments.Live;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.HeardColumns;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The conditions on the deck: what is known, how old it is, and the one that is worth asking for. */
@Component
class ConditionStrip {

    record Strip(List<DeckView.Chip> chips, DeckView.@Nullable Ask ask, List<String> dangers) {}

    Strip of(Seen seen, Just just) {
        Deck deck = seen.deck();
        Instant now = seen.now();
        UnitText text = new UnitText(seen.units(), deck.zone());
        RecordForm<Reading> form = new RecordForm<>(LedgerFormat.READINGS, text);
        Reading stands = stands(seen);
        Map<String, String> values = stands == null ? Map.of() : form.typed(stands);
        Map<String, String> live = live(seen.told(), form);
        List<DeckView.Chip> chips = new ArrayList<>();
        DeckView.Ask ask = null;
        for (ConditionWords.Condition condition : ConditionWords.all()) {
            String column = condition.column();
            String value = values.getOrDefault(column, "");
            boolean skipped = column.equals("tide") && !deck.water().kind().equals("estuary");
            if (skipped && value.isEmpty()) {
                continue;
            }
            HeardColumns.Note look = look(seen, column);
            Live said = seen.told().live().get(column);
            Duration age = Duration.between(look.at(), now);
            boolean doubtful = value.isEmpty() || age.compareTo(condition.good()) > 0;
            boolean refused = just.at().equals(column);
            chips.add(new DeckView.Chip(
                    column,
                    condition.name(),
                    value,
                    value.isEmpty() ? "not yet" : look.by().isEmpty() ? age(age) : look.by() + ", " + Feed.span(age),
                    said != null && look.by().isEmpty() ? said.by() + ": " + live.getOrDefault(column, "") : "",
                    doubtful,
                    words(column),
                    Judged.words(column),
                    column.endsWith("_mps") ? UnitText.speedHint(column, seen.units()) : condition.hint(),
                    refused ? just.typed().getOrDefault(column, "") : value,
                    refused
                            ? just.problems().stream()
                                    .map(Invalid.Problem::message)
                                    .findFirst()
                                    .orElse(just.fault())
                            : ""));
            if (ask == null && doubtful && deck.live() && !deck.waved().contains(column)) {
                ask = new DeckView.Ask(
                        column,
                        value.isEmpty()
                                ? "What is the " + condition.name() + "?"
                                : "Is the " + condition.name() + " still " + value + "? Last looked at " + age(age)
                                        + " ago.",
                        !value.isEmpty());
            }
        }
        return new Strip(
                chips, ask, Danger.of(stands).stream().map(Danger::words).toList());
    }

    private static boolean handHolds(Seen seen, String column) {
        return ConditionWords.good(seen.deck().seen().get(column), column, seen.now());
    }

    /** The last reading with what instruments say now in its place; null where there is neither. */
    private static @Nullable Reading stands(Seen seen) {
        Map<String, Object> said = new TreeMap<>();
        seen.told().live().forEach((column, live) -> {
            if (!handHolds(seen, column)) {
                said.put(column, live.cell());
            }
        });
        return said.isEmpty() ? seen.last() : with(said, seen.last());
    }

    private static Reading with(Map<String, Object> said, @Nullable Reading before) {
        Map<String, Object> cells = new TreeMap<>(said);
        cells.put("reading_id", "now");
        if (before == null) {
            cells.put("trip_id", "now");
            cells.put("at", Instant.EPOCH);
        }
        return LedgerFormat.READINGS.changed(before, cells);
    }

    /** When a column was looked at last, and by which instrument; by nobody's name where it was by hand. */
    private static HeardColumns.Note look(Seen seen, String column) {
        Instant hand = seen.deck().seen().get(column);
        Live said = seen.told().live().get(column);
        HeardColumns.Note noted = seen.told().noted().get(column);
        boolean holds = handHolds(seen, column);
        if (said != null && !holds) {
            return new HeardColumns.Note(said.at(), said.by());
        }
        if (noted != null && !holds && (hand == null || noted.at().isAfter(hand))) {
            return noted;
        }
        Reading last = seen.last();
        return new HeardColumns.Note(hand != null ? hand : last == null ? Instant.EPOCH : last.at(), "");
    }

    /** What instruments say, as the reader reads it. */
    private static Map<String, String> live(Told told, RecordForm<Reading> form) {
        Map<String, Object> cells = new TreeMap<>();
        told.live().forEach((column, said) -> cells.put(column, said.cell()));
        return cells.isEmpty() ? Map.of() : form.typed(with(cells, null));
    }

    private static List<String> words(String column) {
        FileColumn<Reading> known = LedgerFormat.READINGS.columns().stream()
                .filter(c -> c.name().equals(column))
                .findFirst()
                .orElseThrow();
        return known.kind() == FileColumn.Kind.TEXT ? Words.of(column) : List.of();
    }

    private static String age(Duration age) {
        long minutes = Math.max(0, age.toMinutes());
        return minutes < 100 ? minutes + " min" : Math.round(minutes / 60.0) + " h";
    }
}
