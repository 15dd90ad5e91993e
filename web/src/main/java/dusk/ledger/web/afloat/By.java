package dusk.ledger.web.afloat;

import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.Viewer;
import java.time.Instant;

/**
 * Who does something on which trip's deck, and when. What the deck is like is read when it is done.
 *
 * @param id of the act, made by whoever acts
 */
public record By(Person person, String tripId, String id, Instant at) {
    public Viewer viewer() {
        return person.viewer();
    }

    Acts.Act act(String what) {
        return new Acts.Act(id, tripId, at, what);
    }
}
