package dusk.ledger.web.deck;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Length;
import dusk.ledger.web.security.Person;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.trips.TripRecords;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Starts a trip on the deck, and puts another rod on it. */
@Controller
class StartController {
    private static final int USUAL_RODS = 3;

    private final DeckRecords records;
    private final TripRecords trips;
    private final DeckActs deckActs;
    private final NewId newId;
    private final Clock clock;

    StartController(DeckRecords records, TripRecords trips, DeckActs deckActs, NewId newId, Clock clock) {
        this.records = records;
        this.trips = trips;
        this.deckActs = deckActs;
        this.newId = newId;
        this.clock = clock;
    }

    /** The trip being fished; where there are several, the newest; where there is none, the form that starts one. */
    @GetMapping("/deck")
    String deck(Person person) {
        return records.live(person.viewer()).stream()
                .findFirst()
                .map(trip -> "redirect:/deck/" + trip)
                .orElse("redirect:/deck/new");
    }

    @GetMapping("/deck/new")
    String fresh(
            Person person,
            @RequestParam(defaultValue = "" + USUAL_RODS) int rods,
            @RequestParam(defaultValue = "") String water,
            Model model) {
        int count = Math.max(1, Math.min(RodOut.MOST, rods));
        StartForm form = new StartForm(person, trips);
        Map<String, String> typed = form.fresh(count);
        List<Water> waters = trips.waters(person.viewer());
        String home = trips.lastWater(person.viewer())
                .orElse(waters.isEmpty() ? "" : waters.get(0).id());
        typed.put("water_id", water.isEmpty() ? home : water);
        return show(form, waters, count, typed, model);
    }

    private static String show(StartForm form, List<Water> waters, int count, Map<String, String> typed, Model model) {
        model.addAttribute("waters", waters);
        model.addAttribute("water", typed.getOrDefault("water_id", ""));
        model.addAttribute("head", form.head(waters, typed));
        model.addAttribute("rows", form.rows(1, count, typed));
        model.addAttribute("count", count);
        model.addAttribute("most", RodOut.MOST);
        model.addAttribute("wrong", !form.errors().isEmpty());
        return "deck/start";
    }

    @PostMapping("/deck")
    String start(
            Person person,
            @RequestParam int rods,
            @RequestParam(defaultValue = "in") String lines,
            @RequestParam Map<String, String> typed,
            Model model,
            HttpServletResponse response) {
        int count = Math.max(1, Math.min(RodOut.MOST, rods));
        List<Water> waters = trips.waters(person.viewer());
        Water water = waters.stream()
                .filter(w -> w.id().equals(typed.getOrDefault("water_id", "")))
                .findFirst()
                .orElseThrow(NotYours::new);
        Instant now = clock.instant();
        StartForm form = new StartForm(person, trips);
        List<StartForm.Wanted> wanted = form.wanted(1, count, typed);
        Length depth = form.depth(typed);
        String spot = form.spot(water, typed);
        Instant until = form.until(water, now, typed);
        if (!form.errors().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(form, waters, count, typed, model);
        }
        Trip trip = new Trip(newId.next(), water.id(), now, null, null);
        Deck deck = new Deck(trip, water, until, Map.of(), Set.of(), List.of());
        DeckActs.By by = new DeckActs.By(person, deck, newId.next(), now);
        deckActs.begin(by, w -> {
            Map<String, String> guests = new HashMap<>();
            for (StartForm.Wanted one : wanted) {
                RodOut rod = rod(w, guests, one, new DeckActs.Place(spot, depth), now);
                deckActs.put(w, by, rod, lines.equals("in"));
            }
        });
        return "redirect:" + deck.page();
    }

    /** A rod as wanted; a guest who is new in the records becomes an angler, once however many rods they fish. */
    private RodOut rod(
            Acts.Writing w, Map<String, String> guests, StartForm.Wanted one, DeckActs.Place place, Instant now) {
        String angler = one.anglerId();
        String guest = one.guest();
        if (guest != null) {
            angler = guests.computeIfAbsent(guest, name -> {
                Angler made = new Angler(newId.next(), name);
                w.insert(Tables.ANGLERS, made);
                return made.id();
            });
        }
        return new RodOut(
                newId.next(),
                one.number(),
                String.valueOf(angler),
                one.rodId(),
                one.setUpId(),
                place.spotId(),
                place.depth(),
                one.presentation(),
                null,
                now);
    }

    @GetMapping("/deck/{tripId}/rods/new")
    String another(Person person, @PathVariable String tripId, Model model) {
        Deck deck = records.deck(person.viewer(), tripId);
        StartForm form = new StartForm(person, trips);
        int number = nextNumber(deck);
        Map<String, String> typed = new HashMap<>();
        form.fresh(1).forEach((k, v) -> typed.put(k.replace("_1", "_" + number), v));
        return showAnother(form, deck, number, typed, model);
    }

    private static int nextNumber(Deck deck) {
        return deck.rods().stream().mapToInt(RodOut::number).max().orElse(0) + 1;
    }

    private static String showAnother(StartForm form, Deck deck, int number, Map<String, String> typed, Model model) {
        if (number > RodOut.MOST) {
            throw new NotYours();
        }
        model.addAttribute("page", deck.page());
        model.addAttribute("rows", form.rows(number, 1, typed));
        model.addAttribute("wrong", !form.errors().isEmpty());
        return "deck/another";
    }

    @PostMapping("/deck/{tripId}/rods")
    String add(
            Person person,
            @PathVariable String tripId,
            @RequestParam Map<String, String> typed,
            Model model,
            HttpServletResponse response) {
        Deck deck = records.deck(person.viewer(), tripId);
        if (!deck.live()) {
            // its page says that it has ended, and how to take that back
            return "redirect:" + deck.page();
        }
        int number = nextNumber(deck);
        StartForm form = new StartForm(person, trips);
        List<StartForm.Wanted> wanted = form.wanted(number, 1, typed);
        if (!form.errors().isEmpty() || number > RodOut.MOST) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return showAnother(form, deck, number, typed, model);
        }
        DeckActs.By by = new DeckActs.By(person, deck, newId.next(), clock.instant());
        DeckActs.Place place = deck.rods().stream()
                .findFirst()
                .map(r -> new DeckActs.Place(r.spotId(), r.depth()))
                .orElse(new DeckActs.Place(null, null));
        deckActs.add(
                by, number, w -> deckActs.put(w, by, rod(w, new HashMap<>(), wanted.get(0), place, by.at()), true));
        return "redirect:" + deck.page();
    }
}
