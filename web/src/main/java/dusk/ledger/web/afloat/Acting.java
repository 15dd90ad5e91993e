package dusk.ledger.web.afloat;

import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.NewId;
import java.time.Clock;
import java.time.Duration;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * Who touches which deck and when, from what a touch carries: the id of its act, made by whoever touches, and how
 * long it has waited on a device without a signal.
 */
@Component
public class Acting {
    private static final Duration LONGEST_WAIT = Duration.ofDays(7);
    private static final int LONGEST_ID = 64;

    private final NewId newId;
    private final Clock clock;

    Acting(NewId newId, Clock clock) {
        this.newId = newId;
        this.clock = clock;
    }

    public By by(Person person, String tripId, Map<String, String> typed) {
        String id = typed.getOrDefault("act", "");
        return new By(
                person,
                tripId,
                id.isBlank() || id.length() > LONGEST_ID ? newId.next() : id,
                clock.instant().minus(waited(person, typed)));
    }

    /** What a device says of how long a touch waited; nothing where that cannot be. */
    private static Duration waited(Person person, Map<String, String> typed) {
        Double waited = new Typed(typed, person.units()).number("waited_ms", 0, LONGEST_WAIT.toMillis(), "");
        return waited == null ? Duration.ZERO : Duration.ofMillis(Math.round(waited));
    }
}
