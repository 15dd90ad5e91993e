package dusk.ledger.web.deck;

import dusk.ledger.web.form.Typed;
import dusk.ledger.web.security.Person;
import dusk.ledger.web.store.NewId;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Who touches which deck and when, from what a touch carries: the id of its act, made by whoever touches, and how long it has waited on a device without a signal. */
@Component
class Acting {
    private static final Duration LONGEST_WAIT = Duration.ofDays(7);
    private static final int LONGEST_ID = 64;

    private final DeckRecords records;
    private final NewId newId;
    private final Clock clock;

    Acting(DeckRecords records, NewId newId, Clock clock) {
        this.records = records;
        this.newId = newId;
        this.clock = clock;
    }

    /** Nothing was done on a deck before its trip began, whatever a device's clock says of how long it waited. */
    DeckActs.By by(Person person, String tripId, Map<String, String> typed) {
        String id = typed.getOrDefault("act", "");
        Deck deck = records.deck(person.viewer(), tripId);
        Instant at = clock.instant().minus(waited(person, typed));
        Instant began = deck.trip().startedAt();
        return new DeckActs.By(
                person,
                deck,
                id.isBlank() || id.length() > LONGEST_ID ? newId.next() : id,
                at.isBefore(began) ? began : at);
    }

    /** What a device says of how long a touch waited; nothing where that cannot be. */
    private static Duration waited(Person person, Map<String, String> typed) {
        Double waited = new Typed(typed, person.units()).number("waited_ms", 0, LONGEST_WAIT.toMillis(), "");
        return waited == null ? Duration.ZERO : Duration.ofMillis(Math.round(waited));
    }
}
