package dusk.ledger.web.trips;

import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.Viewer;
import java.time.ZoneId;
import java.util.Map;

/**
 * Who does what on which trip.
 *
 * @param asked what the address and the form carry, such as the stint a fish belongs to
 */
record TripContext(Person person, Trip trip, Water water, Map<String, String> asked) {
    Viewer viewer() {
        return person.viewer();
    }

    ZoneId zone() {
        return water.zone();
    }

    UnitText text() {
        return new UnitText(person.units(), zone());
    }

    /** The trip's page. */
    String page() {
        return "/trips/" + trip.id();
    }
}
