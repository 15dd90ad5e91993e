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

    /** @throws Refusal where it waited so long that nobody can say any more what the day was like */
    public By by(Person person, String tripId, Map<String, String> typed) {
        String id = typed.getOrDefault("act", "");
        return new By(
                person,
                tripId,
                id.isBlank() || id.length() > LONGEST_ID ? newId.next() : id,
                clock.instant().minus(waited(person, typed)));
    }

    /** What a device says of how long a touch waited; nothing where it says nothing that can be. */
    private static Duration waited(Person person, Map<String, String> typed) {
        Double waited = new Typed(typed, person.units()).number("waited_ms", 0, Double.MAX_VALUE, "");
        if (waited == null) {
            return Duration.ZERO;
        }
        if (waited > LONGEST_WAIT.toMillis()) {
            throw new Refusal("It waited on the device for more than " + LONGEST_WAIT.toDays()
                    + " days, so it was not stored. Add it on the trip's page.");
        }
        return Duration.ofMillis(Math.round(waited));
    }
}
