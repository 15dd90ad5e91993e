package dusk.ledger.web.debrief;

import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.security.ForReaders;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.TimeText;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.util.UriComponentsBuilder;

/** Where a person finds the cards of the days they fished. */
@Controller
@ForReaders
class CardsController {
    private final Trips trips;
    private final Waters waters;

    CardsController(Trips trips, Waters waters) {
        this.trips = trips;
        this.waters = waters;
    }

    /** A day's card of theirs. */
    record Line(String address, String water, String date) {}

    /** The cards of the days that somebody fished themselves. */
    @GetMapping("/cards")
    String cards(Person person, Model model) {
        Viewer viewer = person.viewer();
        Map<String, Water> byId = waters.all(viewer).stream().collect(Collectors.toMap(Water::id, w -> w));
        model.addAttribute(
                "cards",
                trips.fishedBy(viewer).stream()
                        .map(trip -> line(trip, byId.get(trip.waterId()), String.valueOf(viewer.anglerId())))
                        .toList());
        return "debrief/cards";
    }

    private static Line line(Trip trip, @Nullable Water water, String angler) {
        return new Line(
                UriComponentsBuilder.fromPath("/trips/" + trip.id() + "/client")
                        .queryParam("angler", angler)
                        .encode()
                        .toUriString(),
                water == null ? "" : water.name(),
                TimeText.date(trip.startedAt(), water == null ? ZoneOffset.UTC : water.zone()));
    }
}
