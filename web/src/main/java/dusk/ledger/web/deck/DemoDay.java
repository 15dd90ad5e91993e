package dusk.ledger.web.deck;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Length;
import dusk.ledger.water.Calibration;
import dusk.ledger.water.Calibrations;
import dusk.ledger.water.Cast;
import dusk.ledger.web.column.FanAsk;
import dusk.ledger.web.security.People;
import dusk.ledger.web.security.Person;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.tackle.CountForm;
import dusk.ledger.web.tackle.Fall;
import dusk.ledger.web.trips.TripRecords;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Puts a guide of the demo club on the water with two guests, by the same acts as a day on the deck, so that there is one to look at. */
@Component
@ConditionalOnProperty("dusk.demo")
@Order(Ordered.LOWEST_PRECEDENCE)
class DemoDay implements ApplicationRunner {
    private static final String GUIDE = "harl";
    private static final Duration BEGAN = Duration.ofMinutes(104);
    private static final int CASTS_MADE = 5;
    private static final Duration LEFT = Duration.ofMinutes(150);

    private final People people;
    private final TripRecords trips;
    private final DeckRecords records;
    private final DeckActs deckActs;
    private final Conditions conditions;
    private final Swap swap;
    private final DeckFan fans;
    private final Acts acts;
    private final NewId newId;
    private final Clock clock;

    DemoDay(
            People people,
            TripRecords trips,
            DeckRecords records,
            DeckActs deckActs,
            Conditions conditions,
            Swap swap,
            DeckFan fans,
            Acts acts,
            NewId newId,
            Clock clock) {
        this.people = people;
        this.trips = trips;
        this.records = records;
        this.deckActs = deckActs;
        this.conditions = conditions;
        this.swap = swap;
        this.fans = fans;
        this.acts = acts;
        this.newId = newId;
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        Optional<Person> guide = people.bySignIn(GUIDE);
        if (guide.isPresent() && !acts.any(guide.get().viewer())) {
            fish(guide.get());
        }
    }

    private void fish(Person guide) {
        Instant now = clock.instant();
        Instant began = now.minus(BEGAN);
        Water water = trips.waters(guide.viewer()).stream()
                .filter(w -> w.name().equals("Orrin Reservoir"))
                .findFirst()
                .orElseThrow();
        Trip trip = new Trip(newId.next(), water.id(), began, null, null);
        Deck start = new Deck(trip, water, now.plus(LEFT), Map.of(), Set.of(), List.of());
        List<Spot> spots = records.rows()
                .all(guide.viewer(), Tables.SPOTS, LedgerRows.holds(Tables.SPOTS, "water_id", water.id()), List.of());
        List<RodOut> rods = new ArrayList<>();
        DeckActs.By by = new DeckActs.By(guide, start, newId.next(), began);
        deckActs.begin(by, w -> {
            rods.add(rod(
                    w, by, 1, guest(w, "Wim Tarn"), setUp(guide, "drop shot", "violet"), spots.get(0), "dead-stick"));
            rods.add(rod(
                    w,
                    by,
                    2,
                    guest(w, "Pella Rusk"),
                    setUp(guide, "open jig head", "pearl"),
                    spots.get(0),
                    "steady retrieve"));
            rods.add(rod(
                    w,
                    by,
                    3,
                    String.valueOf(guide.anglerId()),
                    setUp(guide, "texas rig", "green pumpkin"),
                    spots.get(0),
                    "drag and pause"));
        });
        day(guide, trip.id(), began, rods, spots);
    }

    private String guest(Acts.Writing w, String name) {
        Angler guest = new Angler(newId.next(), name);
        w.insert(Tables.ANGLERS, guest);
        return guest.id();
    }

    private SetUp setUp(Person guide, String rig, String colour) {
        List<SetUp> all = trips.setUps(guide.viewer());
        return all.stream()
                .filter(s -> s.rig().equals(rig) && colour.equals(s.colour()))
                .findFirst()
                .orElse(all.get(0));
    }

    private RodOut rod(Acts.Writing w, DeckActs.By by, int number, String angler, SetUp setUp, Spot spot, String how) {
        RodOut rod = new RodOut(
                newId.next(), number, angler, null, setUp.id(), spot.id(), Length.ofMetres(4), how, null, by.at());
        deckActs.put(w, by, rod, true);
        return rod;
    }

    private void day(Person guide, String tripId, Instant began, List<RodOut> rods, List<Spot> spots) {
        String one = rods.get(0).id();
        String two = rods.get(1).id();
        String three = rods.get(2).id();
        conditions.read(
                at(guide, tripId, began, 2), Map.of("water_temp_c", "9.5 C", "clarity_m", "1.4 m", "sky", "overcast"));
        conditions.read(
                at(guide, tripId, began, 3),
                Map.of(
                        "wind_mps",
                        "3 m/s",
                        "wind_from_deg",
                        "250",
                        "level_trend",
                        "falling",
                        "weather",
                        "after a front"));
        deckActs.touch(at(guide, tripId, began, 9), two, "follow");
        deckActs.touch(at(guide, tripId, began, 14), one, "bite");
        deckActs.touch(at(guide, tripId, began, 17), two, "follow");
        deckActs.landed(at(guide, tripId, began, 22), one, "yellow perch", 1);
        complete(at(guide, tripId, began, 23), one, 262, "measured");
        DeckActs.By swapped = at(guide, tripId, began, 31);
        change(swapped, two, Map.of("colour", "silver shad"));
        deckActs.touch(at(guide, tripId, began, 40), two, "bite");
        conditions.sign(at(guide, tripId, began, 44), "fish on sonar");
        deckActs.move(
                at(guide, tripId, began, 52),
                "moved",
                new DeckActs.Place(spots.get(1).id(), Length.ofMetres(5.5)),
                null);
        deckActs.lost(at(guide, tripId, began, 61), three, "jumped off");
        change(at(guide, tripId, began, 66), three, Map.of("weight", "down"));
        deckActs.landed(at(guide, tripId, began, 74), two, "largemouth", 1);
        complete(at(guide, tripId, began, 75), two, 384, "measured");
        fans.lay(at(guide, tripId, began, 77), new FanAsk.Laid(220, 110, 22, 3.5, 70));
        for (int cast = 0; cast < CASTS_MADE; cast++) {
            fans.next(at(guide, tripId, began, 78 + cast));
        }
        deckActs.touch(at(guide, tripId, began, 83), one, "bite");
        count(at(guide, tripId, began, 84), two, 5.5, 1.12);
        count(at(guide, tripId, began, 85), two, 5.5, 1.16);
        count(at(guide, tripId, began, 86), two, 4, 1.1);
        count(at(guide, tripId, began, 87), two, 5.5, 1.95);
        count(at(guide, tripId, began, 88), two, 3, 1.15);
        count(at(guide, tripId, began, 89), three, 5.5, 1.05);
        deckActs.landed(at(guide, tripId, began, 91), two, "largemouth", 1);
        deckActs.landed(at(guide, tripId, began, 97), three, "yellow perch", 1);
    }

    private void change(DeckActs.By by, String rodId, Map<String, String> typed) {
        RodOut rod = records.rod(by.viewer(), by.deck().trip().id(), rodId);
        Swap.Asked asked = swap.of(by.viewer(), rod, typed, by.person().units());
        deckActs.change(by, rodId, asked.what(), asked.change());
    }

    /** A drop that took so many times what is reckoned, in half seconds; one of them a slip of the tongue. */
    private void count(DeckActs.By by, String rodId, double depthM, double times) {
        RodOut rod = records.rod(by.viewer(), by.deck().trip().id(), rodId);
        SetUp setUp =
                records.rows().one(by.viewer(), Tables.SETUPS, rod.setUpId()).orElseThrow();
        if (Fall.of(setUp, Calibrations.of(List.of())) instanceof Fall.Known fall) {
            double seconds = Math.round(2 * times * fall.seconds(depthM, Cast.FRESH)) / 2.0;
            Calibration.Drop drop = new Calibration.Drop(seconds, depthM);
            deckActs.counted(by, rodId, CountForm.words(drop, by.person().units()), drop, false);
        }
    }

    private void complete(DeckActs.By by, String rodId, double lengthMm, String how) {
        String stint = String.valueOf(
                records.rod(by.viewer(), by.deck().trip().id(), rodId).stintId());
        List<Catch> fish = trips.catchesOf(by.viewer(), stint);
        deckActs.complete(
                by,
                rodId,
                Tables.CATCHES.changed(
                        fish.get(fish.size() - 1),
                        Map.of("length_mm", lengthMm, "length_how", how, "bite_on", "fall")));
    }

    private DeckActs.By at(Person guide, String tripId, Instant began, long minutes) {
        return new DeckActs.By(
                guide, records.deck(guide.viewer(), tripId), newId.next(), began.plus(Duration.ofMinutes(minutes)));
    }
}
