package dusk.ledger.web.afloat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Bounds;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.teach.Lot;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Calls;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.Offers;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.Trials;
import dusk.ledger.web.records.Way;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.TimeText;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is done with a deck as a whole: it begins, takes another rod, moves, ends. */
@Component
public class TripActs {
    private final Afloat afloat;
    private final Acts acts;
    private final RodActs rodActs;
    private final Running running;
    private final Decks decks;
    private final Places places;
    private final Offers offers;
    private final Calls calls;
    private final Trials trials;
    private final LotQuestions questions;
    private final NewId newId;

    TripActs(
            Afloat afloat,
            Acts acts,
            RodActs rodActs,
            Running running,
            Decks decks,
            Places places,
            Offers offers,
            Calls calls,
            Trials trials,
            LotQuestions questions,
            NewId newId) {
        this.offers = offers;
        this.calls = calls;
        this.trials = trials;
        this.questions = questions;
        this.afloat = afloat;
        this.acts = acts;
        this.rodActs = rodActs;
        this.running = running;
        this.decks = decks;
        this.places = places;
        this.newId = newId;
    }

    /**
     * A rod as it is to come on a deck.
     *
     * @param anglerId null for a guest who is new in the records
     * @param guest their name; null for an angler of the club
     */
    public record Wanted(
            @Nullable String anglerId,
            @Nullable String guest,
            String setUpId,
            @Nullable String rodId,
            @Nullable String presentation) {}

    /**
     * What a trip is begun with beside its rods.
     *
     * @param lot one swap in so many; 0 for none
     * @param callId of the call that is taken to it; null for none
     */
    public record Plan(int lot, @Nullable String callId) {
        public static final Plan NONE = new Plan(0, null);
    }

    /** Begins a trip with its first rods and no plan, up or down; the trip's id. */
    public String begin(
            Person person,
            Water water,
            Instant now,
            @Nullable Instant until,
            List<Wanted> rods,
            Place place,
            boolean up) {
        return begin(person, water, now, until, rods, place, up, Plan.NONE);
    }

    /** Begins a trip with its first rods, up or down; the trip's id. */
    public String begin(
            Person person,
            Water water,
            Instant now,
            @Nullable Instant until,
            List<Wanted> rods,
            Place place,
            boolean up,
            Plan plan) {
        List<Lot.Pair> asked = plan.lot() == 0 ? List.of() : questions.asked(person.viewer());
        Trip trip = new Trip(newId.next(), water.id(), now, null, null);
        By by = new By(person, trip.id(), newId.next(), now);
        Deck start = new Deck(trip, water, until, Map.of(), Set.of(), List.of());
        acts.once(by.viewer(), by.act("the trip started"), w -> {
            decks.begin(w, by.viewer(), trip, until);
            offers.lot(w, trip.id(), plan.lot(), asked);
            if (plan.callId() != null) {
                calls.fished(w, by.viewer(), plan.callId(), trip.id());
                offers.pack(
                        w,
                        trip.id(),
                        calls.one(by.viewer(), plan.callId()).rods().stream()
                                .map(Calls.Rod::setUpId)
                                .toList());
            }
            Afloat.Doing on = new Afloat.Doing(by, start, now, w);
            Map<String, String> guests = new HashMap<>();
            for (int i = 0; i < rods.size(); i++) {
                put(on, i + 1, rods.get(i), place, guests, up);
            }
        });
        return trip.id();
    }

    /**
     * Another rod on the deck, where the others are.
     *
     * @throws Refusal where the trip has ended, or the boat is full
     */
    public void add(By by, Wanted wanted) {
        afloat.live(by, "", on -> {
            int number = on.deck().nextNumber();
            if (number > RodOut.MOST) {
                throw new Refusal("There are " + RodOut.MOST + " rods out already: more nobody can keep an eye on.");
            }
            Place place = on.deck().rods().stream()
                    .findFirst()
                    .map(r -> new Place(r.spotId(), r.depth()))
                    .orElse(Place.UNKNOWN);
            on.w().say("rod " + number + ": on deck");
            put(on, number, wanted, place, new HashMap<>(), true);
        });
    }

    /** A guest who is new in the records becomes an angler, once however many rods they fish. */
    private void put(Afloat.Doing on, int number, Wanted wanted, Place place, Map<String, String> guests, boolean up) {
        String guest = wanted.guest();
        String angler = guest == null
                ? String.valueOf(wanted.anglerId())
                : guests.computeIfAbsent(guest, name -> {
                    Angler made = new Angler(newId.next(), name);
                    decks.guest(on.w(), on.by().viewer(), made);
                    return made.id();
                });
        RodOut rod = new RodOut(
                newId.next(),
                number,
                angler,
                wanted.rodId(),
                wanted.setUpId(),
                place.spotId(),
                place.depth(),
                Way.of(wanted.presentation()),
                null,
                on.at());
        decks.put(on.w(), on.by().tripId(), up ? running.open(on, rod, on.at()) : rod);
    }

    /**
     * Moves all rods to a place of the list, or to a new one of a name or a kind.
     *
     * @param here where the boat is, which a new place gets; null where nobody knows
     * @throws Refusal where nothing says where to
     */
    public void move(By by, Typed typed, @Nullable Position here) {
        afloat.live(by, "", on -> {
            String label = typed.textOrNull("label");
            String structure = typed.textOrNull("structure");
            String chosen = typed.textOrNull("spot_id");
            var depth = typed.depth("depth_m");
            if (!typed.errors().isEmpty()) {
                throw Refusal.of(typed);
            }
            Spot to;
            if (label != null || structure != null) {
                // a place is told from others by its name; its hour there does until its owner gives it one
                String name = label == null
                        ? structure + " " + TimeText.hour(on.at(), on.deck().zone())
                        : label;
                to = SpotBuilder.builder()
                        .id(newId.next())
                        .waterId(on.deck().water().id())
                        .label(name)
                        .structure(structure)
                        .position(here)
                        .build();
                decks.newPlace(on.w(), by.viewer(), to);
            } else if (chosen != null) {
                to = places.on(by.viewer(), on.deck().water().id(), chosen).orElseThrow(NotYours::new);
            } else {
                throw new Refusal("Say where to: a place of the list, or what kind of place it is.");
            }
            move(on, to, rod -> depth);
        });
    }

    /**
     * Moves all rods to a new place of the kind that the first of them is at, fished as deep; its hour is its name.
     *
     * @param position of the boat; null where nobody knows
     */
    public void next(By by, @Nullable Position position) {
        afloat.live(by, "", on -> {
            String waterId = on.deck().water().id();
            Spot here = on.deck().rods().stream()
                    .map(RodOut::spotId)
                    .filter(Objects::nonNull)
                    .findFirst()
                    .flatMap(spot -> places.on(by.viewer(), waterId, spot))
                    .orElse(null);
            Spot to = likeThis(
                    waterId,
                    here,
                    newId.next(),
                    TimeText.hour(on.at(), on.deck().zone()));
            decks.newPlace(
                    on.w(),
                    by.viewer(),
                    SpotBuilder.builder(to).position(position).build());
            move(on, to, RodOut::depth);
        });
    }

    /** A new place of the kind of one, named by its hour. */
    public static Spot likeThis(String waterId, @Nullable Spot here, String id, String hour) {
        String structure = here == null ? null : here.structure();
        return SpotBuilder.builder()
                .id(id)
                .waterId(waterId)
                .label((structure == null ? "place" : structure) + " " + hour)
                .structure(structure)
                .bottom(here == null ? null : here.bottom())
                .cover(here == null ? null : here.cover())
                .build();
    }

    private void move(Afloat.Doing on, Spot to, Function<RodOut, @Nullable Length> depth) {
        on.w().say("moved to " + PlaceWords.mark(to));
        for (RodOut rod : on.deck().rods()) {
            rodActs.change(on, rod, Change.of(new Place(to.id(), depth.apply(rod))));
        }
    }

    /**
     * All lines up, which stops every clock at once, such as while looking for fish by sonar; or all in again.
     *
     * @throws Refusal where they are so already
     */
    public void lines(By by, boolean up) {
        afloat.live(by, "", on -> {
            List<RodOut> rods =
                    on.deck().rods().stream().filter(rod -> rod.down() != up).toList();
            if (rods.isEmpty()) {
                throw new Refusal(up ? "All lines are up already." : "All lines are in already.");
            }
            on.w().say(up ? "lines up" : "lines in");
            for (RodOut rod : rods) {
                if (up) {
                    running.down(on, rod, running.of(on, rod));
                } else {
                    running.up(on, rod);
                }
                decks.touch(on.w(), rod, on.at());
            }
        });
    }

    /** Takes the lot up, one swap in so many, or lays it down with 0. */
    public void lot(By by, int oneIn) {
        List<Lot.Pair> asked = oneIn == 0 ? List.of() : questions.asked(by.viewer());
        afloat.live(by, "", on -> {
            on.w().say(oneIn == 0 ? "no lot any more" : "one swap in " + oneIn + " by lot");
            offers.lot(on.w(), by.tripId(), oneIn, asked);
        });
    }

    /**
     * Takes a trial up on the deck; null lays it down.
     *
     * @throws Refusal where it has ended
     */
    public void trial(By by, @Nullable String trialId) {
        afloat.live(by, "", on -> {
            if (trialId != null && trials.one(by.viewer(), trialId).ended() != null) {
                throw new Refusal("That trial has ended. Its page can take the end back.");
            }
            on.w().say(trialId == null ? "the trial laid down" : "a trial taken up");
            offers.trial(on.w(), by.tripId(), trialId);
        });
    }

    /** Ends the trip: every rod is down. */
    public void end(By by) {
        afloat.last(by, "the trip ended", on -> {
            for (RodOut rod : on.deck().rods()) {
                if (!rod.down()) {
                    running.down(on, rod, running.of(on, rod));
                }
            }
            Trip trip = on.deck().trip();
            Instant latest = trip.startedAt().plus(Bounds.LONGEST_TRIP);
            Instant end = on.at().isAfter(latest) ? latest : on.at();
            on.w().update(LedgerFormat.TRIPS, LedgerFormat.TRIPS.changed(trip, Map.of("ended_at", end)));
        });
    }
}
