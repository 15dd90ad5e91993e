package dusk.ledger.web.deck;

import dusk.ledger.interchange.Column;
import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Reading;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.security.Person;
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
    private static final double COLD_WATER_C = 15;
    private static final double SHORT_FIGHTS_C = 24;
    private static final double TOO_WARM_C = 27;
    private static final double SMALL_BOAT_WIND_MPS = 8;

    private final Conditions conditions;

    ConditionStrip(Conditions conditions) {
        this.conditions = conditions;
    }

    record Strip(List<DeckView.Chip> chips, DeckView.@Nullable Ask ask, List<String> dangers) {}

    Strip of(Person person, Deck deck, Instant now, DeckPages.Just just) {
        Reading last = conditions.last(person.viewer(), deck.trip().id(), now);
        UnitText text = new UnitText(person.units(), deck.zone());
        Map<String, String> values = last == null ? Map.of() : new RecordForm<>(Tables.READINGS, text).typed(last);
        List<DeckView.Chip> chips = new ArrayList<>();
        DeckView.Ask ask = null;
        for (ConditionWords.Condition condition : ConditionWords.all()) {
            String column = condition.column();
            String value = values.getOrDefault(column, "");
            boolean skipped = column.equals("tide") && !deck.water().kind().equals("estuary");
            if (skipped && value.isEmpty()) {
                continue;
            }
            Instant seen = deck.seen().getOrDefault(column, last == null ? Instant.EPOCH : last.at());
            Duration age = Duration.between(seen, now);
            boolean doubtful = value.isEmpty() || age.compareTo(condition.good()) > 0;
            boolean refused = just.at().equals(column);
            chips.add(new DeckView.Chip(
                    column,
                    condition.name(),
                    value,
                    value.isEmpty() ? "not yet" : age(age),
                    doubtful,
                    words(column),
                    condition.hint(),
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
        return new Strip(chips, ask, dangers(last));
    }

    private static List<String> words(String column) {
        Column<Reading> known = Tables.READINGS.columns().stream()
                .filter(c -> c.name().equals(column))
                .findFirst()
                .orElseThrow();
        return known.kind() == Column.Kind.TEXT ? Words.of(column) : List.of();
    }

    private static String age(Duration age) {
        long minutes = Math.max(0, age.toMinutes());
        return minutes < 100 ? minutes + " min" : Math.round(minutes / 60.0) + " h";
    }

    private static List<String> dangers(@Nullable Reading last) {
        List<String> dangers = new ArrayList<>();
        if (last != null && last.waterTemp() != null) {
            double celsius = last.waterTemp().celsius();
            if (celsius < COLD_WATER_C) {
                dangers.add("Cold water: life-jacket on and done up. Whoever falls in has minutes.");
            } else if (celsius > TOO_WARM_C) {
                dangers.add("Very warm water: fish may not survive a fight. Consider stopping.");
            } else if (celsius > SHORT_FIGHTS_C) {
                dangers.add("Warm water: short fights, and let the fish go in the water.");
            }
        }
        if (last != null && last.wind() != null && last.wind().metresPerSecond() >= SMALL_BOAT_WIND_MPS) {
            dangers.add("Strong wind for a small boat. Off the water at the first thunder.");
        }
        return dangers;
    }
}
