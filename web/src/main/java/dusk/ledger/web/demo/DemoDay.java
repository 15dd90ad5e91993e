package dusk.ledger.web.demo;

import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.water.Calibrations;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Fall;
import dusk.ledger.water.LaidFan;
import dusk.ledger.web.afloat.By;
import dusk.ledger.web.afloat.Conditions;
import dusk.ledger.web.afloat.FanActs;
import dusk.ledger.web.afloat.Place;
import dusk.ledger.web.afloat.RodActs;
import dusk.ledger.web.afloat.TripActs;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.NewId;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Puts a guide of the demo club on the water with two guests, by the same acts as a day on the deck, so that there is one to look at. */
@Component
@ConditionalOnProperty("dusk.demo")
@Order(Ordered.LOWEST_PRECEDENCE - 1)
class DemoDay implements ApplicationRunner {
    private static final String GUIDE = "harl";
    private static final Duration BEGAN = Duration.ofMinutes(104);
    private static final Duration LEFT = Duration.ofMinutes(150);
    private static final int CASTS_MADE = 5;

    private final People people;
    private final Waters waters;
    private final Places places;
    private final SetUps setUps;
    private final TripRows rows;
    private final Decks decks;
    private final TripActs tripActs;
    private final RodActs rodActs;
    private final Conditions conditions;
    private final FanActs fans;
    private final Acts acts;
    private final NewId newId;
    private final Clock clock;

    DemoDay(
            People people,
            Waters waters,
            Places places,
            SetUps setUps,
            TripRows rows,
            Decks decks,
            TripActs tripActs,
            RodActs rodActs,
            Conditions conditions,
            FanActs fans,
            Acts acts,
            NewId newId,
            Clock clock) {
        this.people = people;
        this.waters = waters;
        this.places = places;
        this.setUps = setUps;
        this.rows = rows;
        this.decks = decks;
        this.tripActs = tripActs;
        this.rodActs = rodActs;
        this.conditions = conditions;
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
        Water water = waters.all(guide.viewer()).stream()
                .filter(w -> w.name().equals("Orrin Reservoir"))
                .findFirst()
                .orElseThrow();
        List<Spot> spots = places.of(guide.viewer(), water.id()).stream()
                .filter(spot -> spot.label() != null)
                .toList();
        String trip = tripActs.begin(
                guide,
                water,
                began,
                now.plus(LEFT),
                List.of(
                        rod(guide, null, "Wim Tarn", "drop shot", "violet", "dead-stick"),
                        rod(guide, null, "Pella Rusk", "open jig head", "pearl", "steady retrieve"),
                        rod(guide, guide.anglerId(), null, "texas rig", "green pumpkin", "drag and pause")),
                new Place(spots.get(0).id(), Length.ofMetres(4)),
                true);
        new Day(guide, trip, began, decks.deck(guide.viewer(), trip).rods()).fish(spots.get(1));
    }

    private TripActs.Wanted rod(
            Person guide, @Nullable String angler, @Nullable String guest, String rig, String colour, String how) {
        List<SetUp> all = setUps.lastFishedFirst(guide.viewer());
        String setUp = all.stream()
                .filter(s -> s.rig().equals(rig) && colour.equals(s.colour()))
                .findFirst()
                .orElse(all.get(0))
                .id();
        return new TripActs.Wanted(angler, guest, setUp, null, how);
    }

    /** What came of it, minute by minute. */
    private final class Day {
        private final Person guide;
        private final String trip;
        private final Instant began;
        private final String one;
        private final String two;
        private final String three;

        Day(Person guide, String trip, Instant began, List<RodOut> rods) {
            this.guide = guide;
            this.trip = trip;
            this.began = began;
            one = rods.get(0).id();
            two = rods.get(1).id();
            three = rods.get(2).id();
        }

        void fish(Spot next) {
            conditions.read(at(2), Map.of("water_temp_c", "9.5 C", "clarity_m", "1.4 m", "sky", "overcast"));
            conditions.read(
                    at(3),
                    Map.of(
                            "wind_mps",
                            "3 m/s",
                            "wind_from_deg",
                            "250",
                            "level_trend",
                            "falling",
                            "weather",
                            "after a front"));
            rodActs.touch(at(9), two, "follow");
            rodActs.touch(at(14), one, "bite");
            rodActs.touch(at(17), two, "follow");
            rodActs.landed(at(22), one, "yellow perch", 1);
            complete(23, one, 262);
            rodActs.swap(at(31), two, Map.of("colour", "silver shad"));
            rodActs.touch(at(40), two, "bite");
            conditions.sign(at(44), "fish on sonar");
            tripActs.move(at(52), typed(Map.of("spot_id", next.id(), "depth_m", "5.5 m")), null);
            rodActs.lost(at(61), three, "jumped off");
            rodActs.swap(at(66), three, Map.of("weight", "down"));
            rodActs.landed(at(74), two, "largemouth", 1);
            complete(75, two, 384);
            fans.lay(at(77), new LaidFan(220, 110, 22, 3.5, 70));
            for (int cast = 0; cast < CASTS_MADE; cast++) {
                fans.next(at(78 + cast));
            }
            rodActs.touch(at(83), one, "bite");
            count(84, two, 5.5, 1.12);
            count(85, two, 5.5, 1.16);
            count(86, two, 4, 1.1);
            count(87, two, 5.5, 1.95);
            count(88, two, 3, 1.15);
            count(89, three, 5.5, 1.05);
            rodActs.landed(at(91), two, "largemouth", 1);
            rodActs.landed(at(97), three, "yellow perch", 1);
        }

        private By at(long minutes) {
            return new By(guide, trip, newId.next(), began.plus(Duration.ofMinutes(minutes)));
        }

        private Typed typed(Map<String, String> values) {
            return new Typed(values, guide.units());
        }

        private RodOut rod(String rodId) {
            return decks.rod(guide.viewer(), trip, rodId);
        }

        /** A drop that took so many times what is reckoned, in half seconds; one of them a slip of the tongue. */
        private void count(long minutes, String rodId, double depthM, double times) {
            SetUp setUp = setUps.one(guide.viewer(), rod(rodId).setUpId());
            if (Fall.of(setUp, Calibrations.of(List.of())) instanceof Fall.Known fall) {
                double seconds = Math.round(2 * times * fall.seconds(depthM, Cast.FRESH)) / 2.0;
                rodActs.counted(
                        at(minutes),
                        rodId,
                        typed(Map.of("seconds", Figures.trimmed(seconds, 1), "depth_m", depthM + " m")));
            }
        }

        /** The rod's last fish, measured. */
        private void complete(long minutes, String rodId, double lengthMm) {
            List<Catch> fish =
                    rows.catchesOf(guide.viewer(), String.valueOf(rod(rodId).stintId()));
            rodActs.complete(
                    at(minutes),
                    rodId,
                    fish.get(fish.size() - 1).id(),
                    "completed",
                    landed -> CatchBuilder.builder(landed)
                            .length(Length.ofMillimetres(lengthMm))
                            .lengthHow("measured")
                            .biteOn("fall")
                            .build());
        }
    }
}
