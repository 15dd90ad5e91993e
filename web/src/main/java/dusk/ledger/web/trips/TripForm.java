package dusk.ledger.web.trips;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Bounds;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.Person;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The form of a trip. Its times are those at the water that was chosen. */
record TripForm(Person person, List<Water> waters) {
    static final String TO_COME = "This is still to come. A trip is logged once it has begun.";

    RecordForm<Trip> record(Map<String, String> typed) {
        List<FormField.Option> options =
                waters.stream().map(w -> new FormField.Option(w.id(), w.name())).toList();
        return new RecordForm<>(
                        LedgerFormat.TRIPS, new UnitText(person.units(), zone(typed.getOrDefault("water_id", ""))))
                .choose("water_id", "Water", List.of(new FormField.Group("", options)))
                .ask("started_at", "From", "")
                .ask("ended_at", "To", "")
                .write("note", "Note", "everyone in the club reads this: leave private places out");
    }

    /** What is wrong with a trip beside what it holds; nothing where nothing is. */
    Optional<Invalid.Problem> problem(Trip trip, Instant now, List<Stint> stints) {
        if (waters.stream().noneMatch(w -> w.id().equals(trip.waterId()))) {
            return Optional.of(new Invalid.Problem("water_id", "Choose a water of the list."));
        }
        if (stints.stream().anyMatch(s -> !Bounds.ofTrip(s.startedAt(), trip.startedAt()))) {
            return Optional.of(new Invalid.Problem("started_at", "Its stints were fished days away from that."));
        }
        return Bounds.toCome(trip.startedAt(), now)
                ? Optional.of(new Invalid.Problem("started_at", TO_COME))
                : Optional.empty();
    }

    private ZoneId zone(String waterId) {
        return waters.stream()
                .filter(w -> w.id().equals(waterId))
                .findFirst()
                .map(Water::zone)
                .orElse(ZoneOffset.UTC);
    }

    static Form head(@Nullable String id) {
        return new Form(
                "trip-form",
                id == null ? "New trip" : "Change the trip",
                id == null ? "/trips" : "/trips/" + id,
                "Save the trip",
                id == null ? "/trips" : "/trips/" + id,
                List.of(),
                List.of());
    }
}
