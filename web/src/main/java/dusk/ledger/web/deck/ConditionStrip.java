package dusk.ledger.web.deck;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Reading;
import dusk.ledger.safety.Danger;
import dusk.ledger.vocabulary.Judged;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.afloat.ConditionWords;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.Deck;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The conditions on the deck: what is known, how old it is, and the one that is worth asking for. */
@Component
class ConditionStrip {

    record Strip(List<DeckView.Chip> chips, DeckView.@Nullable Ask ask, List<String> dangers) {}

    Strip of(Seen seen, Just just) {
        Reading last = seen.last();
        Deck deck = seen.deck();
        Instant now = seen.now();
        UnitText text = new UnitText(seen.units(), deck.zone());
        Map<String, String> values =
                last == null ? Map.of() : new RecordForm<>(LedgerFormat.READINGS, text).typed(last);
        List<DeckView.Chip> chips = new ArrayList<>();
        DeckView.Ask ask = null;
        for (ConditionWords.Condition condition : ConditionWords.all()) {
            String column = condition.column();
            String value = values.getOrDefault(column, "");
            boolean skipped = column.equals("tide") && !deck.water().kind().equals("estuary");
            if (skipped && value.isEmpty()) {
                continue;
            }
            Instant looked = deck.seen().getOrDefault(column, last == null ? Instant.EPOCH : last.at());
            Duration age = Duration.between(looked, now);
            boolean doubtful = value.isEmpty() || age.compareTo(condition.good()) > 0;
            boolean refused = just.at().equals(column);
            chips.add(new DeckView.Chip(
                    column,
                    condition.name(),
                    value,
                    value.isEmpty() ? "not yet" : age(age),
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
        return new Strip(chips, ask, Danger.of(last).stream().map(Danger::words).toList());
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
