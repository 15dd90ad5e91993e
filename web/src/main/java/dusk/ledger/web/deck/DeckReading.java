package dusk.ledger.web.deck;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.web.instruments.Aboard;
import dusk.ledger.web.records.Anglers;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Drops;
import dusk.ledger.web.records.Fans;
import dusk.ledger.web.records.FishFacts;
import dusk.ledger.web.records.HeardColumns;
import dusk.ledger.web.records.Offers;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.Rods;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.records.WaterRules;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.Viewer;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reads what a deck shows: all of it for the page, and for a touch no more than the card of the rod that was touched. */
@Component
class DeckReading {
    private final TripRows rows;
    private final Anglers anglers;
    private final Places places;
    private final SetUps setUps;
    private final Rods rods;
    private final WaterRules rules;
    private final Drops drops;
    private final Acts acts;
    private final FishFacts facts;
    private final Offers offers;
    private final Fans fans;
    private final HeardColumns heard;
    private final Aboard aboard;
    private final Clock clock;

    DeckReading(
            TripRows rows,
            Anglers anglers,
            Places places,
            SetUps setUps,
            Rods rods,
            WaterRules rules,
            Drops drops,
            Acts acts,
            FishFacts facts,
            Offers offers,
            Fans fans,
            HeardColumns heard,
            Aboard aboard,
            Clock clock) {
        this.fans = fans;
        this.heard = heard;
        this.aboard = aboard;
        this.offers = offers;
        this.rows = rows;
        this.anglers = anglers;
        this.places = places;
        this.setUps = setUps;
        this.rods = rods;
        this.rules = rules;
        this.drops = drops;
        this.acts = acts;
        this.facts = facts;
        this.clock = clock;
    }

    Seen page(Person person, Deck deck) {
        Viewer viewer = person.viewer();
        String trip = deck.trip().id();
        Instant now = clock.instant();
        List<Stint> stints = rows.stints(viewer, trip);
        Set<String> used = stints.stream().map(Stint::setUpId).collect(Collectors.toSet());
        deck.rods().forEach(rod -> used.add(rod.setUpId()));
        return new Seen(
                person,
                deck,
                now,
                byId(anglers.all(viewer), Angler::id),
                byId(places.of(viewer, deck.water().id()), Spot::id),
                byId(setUps.of(viewer, used), SetUp::id),
                byId(rods.all(viewer), Rod::id),
                stints,
                rows.catches(viewer, stints),
                rows.losses(viewer, stints),
                acts.latest(viewer, trip),
                rules.leadForbidden(viewer, deck.water().id()),
                facts.toothed(viewer, deck.water().id()),
                drops.calibrations(viewer),
                rows.lastReading(viewer, trip, now),
                offers.of(viewer, trip),
                told(person, deck, heard.of(viewer, trip)));
    }

    private Told told(Person person, Deck deck, Map<String, HeardColumns.Note> noted) {
        Aboard.Boat boat = aboard.boat(person, deck);
        Fans.Laid fan =
                boat == null ? null : fans.from(person.viewer(), deck.trip().id(), deck.spotId());
        return new Told(
                aboard.now(person, deck),
                noted,
                boat,
                aboard.states(person, deck),
                fan == null ? null : fan.laid().towardDeg(),
                aboard.length(person, deck));
    }

    Seen card(Person person, Deck deck, RodOut rod) {
        Viewer viewer = person.viewer();
        String trip = deck.trip().id();
        Instant now = clock.instant();
        List<Stint> stints = rows.stintsLike(viewer, trip, rod);
        SetUp setUp = setUps.one(viewer, rod.setUpId());
        Set<String> from = new HashSet<>();
        if (setUp.fromSetUpId() != null) {
            from.add(setUp.fromSetUpId());
        }
        Map<String, SetUp> both = byId(from.isEmpty() ? List.of() : setUps.of(viewer, from), SetUp::id);
        both.put(setUp.id(), setUp);
        return new Seen(
                person,
                deck,
                now,
                byId(anglers.all(viewer), Angler::id),
                byId(
                        rod.spotId() == null
                                ? List.of()
                                : places.on(viewer, deck.water().id(), rod.spotId()).stream()
                                        .toList(),
                        Spot::id),
                both,
                byId(rod.rodId() == null ? List.of() : List.of(rods.one(viewer, rod.rodId())), Rod::id),
                stints,
                rows.catches(viewer, trip),
                rows.losses(viewer, stints),
                acts.latest(viewer, trip),
                rules.leadForbidden(viewer, deck.water().id()),
                facts.toothed(viewer, deck.water().id()),
                drops.calibrations(viewer, setUp),
                rows.lastReading(viewer, trip, now),
                offers.of(viewer, trip),
                told(person, deck, Map.of()));
    }

    private static <T> Map<String, T> byId(Collection<T> list, Function<T, String> id) {
        return list.stream().collect(Collectors.toMap(id, Function.identity()));
    }
}
