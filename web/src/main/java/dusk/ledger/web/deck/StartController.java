package dusk.ledger.web.deck;

import dusk.ledger.journal.Water;
import dusk.ledger.teach.Lot;
import dusk.ledger.units.Length;
import dusk.ledger.web.afloat.Acting;
import dusk.ledger.web.afloat.Place;
import dusk.ledger.web.afloat.Refusal;
import dusk.ledger.web.afloat.TripActs;
import dusk.ledger.web.choose.Choices;
import dusk.ledger.web.records.Anglers;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.Rods;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.NotYours;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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

    private final Decks decks;
    private final Waters waters;
    private final Choices choices;
    private final Anglers anglers;
    private final SetUps setUps;
    private final Rods rods;
    private final Places places;
    private final TripActs acts;
    private final Acting acting;
    private final Clock clock;

    StartController(
            Decks decks,
            Waters waters,
            Choices choices,
            Anglers anglers,
            SetUps setUps,
            Rods rods,
            Places places,
            TripActs acts,
            Acting acting,
            Clock clock) {
        this.decks = decks;
        this.waters = waters;
        this.choices = choices;
        this.anglers = anglers;
        this.setUps = setUps;
        this.rods = rods;
        this.places = places;
        this.acts = acts;
        this.acting = acting;
        this.clock = clock;
    }

    private StartForm form(Person person) {
        return new StartForm(person, choices, anglers, setUps, rods, places);
    }

    /** The trip being fished; where there are several, the newest; where there is none, the form that starts one. */
    @GetMapping("/deck")
    String deck(Person person) {
        return decks.live(person.viewer()).stream()
                .findFirst()
                .map(trip -> "redirect:/deck/" + trip)
                .orElse("redirect:/deck/new");
    }

    @GetMapping("/deck/new")
    String fresh(
            Person person,
            @RequestParam(name = "rods", defaultValue = "" + USUAL_RODS) int wanted,
            @RequestParam(defaultValue = "") String water,
            @RequestParam Map<String, String> given,
            Model model) {
        int count = Math.max(1, Math.min(RodOut.MOST, wanted));
        StartForm form = form(person);
        Map<String, String> typed = form.fresh(count);
        String home = waters.home(person.viewer()).map(Water::id).orElse("");
        typed.put("water_id", water.isEmpty() ? home : water);
        given.forEach((field, value) -> {
            boolean carried = field.equals("call") || field.equals("lot");
            if (carried || field.startsWith("setup_id_") || field.startsWith("presentation_")) {
                typed.put(field, value);
            }
        });
        return show(form, waters.all(person.viewer()), count, typed, model);
    }

    private static String show(StartForm form, List<Water> waters, int count, Map<String, String> typed, Model model) {
        model.addAttribute("waters", waters);
        model.addAttribute("nothingToTie", form.nothingToTie());
        model.addAttribute("water", typed.getOrDefault("water_id", ""));
        model.addAttribute("call", typed.getOrDefault("call", ""));
        model.addAttribute("lot", typed.getOrDefault("lot", "0"));
        model.addAttribute("lots", Lot.HOW_OFTEN);
        model.addAttribute("head", form.head(typed));
        model.addAttribute("rows", form.rows(1, count, typed));
        model.addAttribute("count", count);
        model.addAttribute("most", RodOut.MOST);
        model.addAttribute("wrong", !form.errors().isEmpty());
        return "deck/start";
    }

    @PostMapping("/deck")
    String start(
            Person person,
            @RequestParam(name = "rods") int wanted,
            @RequestParam(defaultValue = "in") String lines,
            @RequestParam Map<String, String> asked,
            Model model,
            HttpServletResponse response) {
        int count = Math.max(1, Math.min(RodOut.MOST, wanted));
        List<Water> all = waters.all(person.viewer());
        Water water = all.stream()
                .filter(w -> w.id().equals(asked.getOrDefault("water_id", "")))
                .findFirst()
                .orElseThrow(NotYours::new);
        Instant now = clock.instant();
        StartForm form = form(person);
        Map<String, String> typed = form.found(asked);
        List<TripActs.Wanted> each = form.wanted(1, count, typed);
        Length depth = form.depth(typed);
        String spot = form.spot(water, typed);
        Instant until = form.until(water, now, typed);
        if (!form.errors().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(form, all, count, typed, model);
        }
        return "redirect:/deck/"
                + acts.begin(
                        person, water, now, until, each, new Place(spot, depth), lines.equals("in"), form.plan(typed));
    }

    @GetMapping("/deck/{tripId}/rods/new")
    String another(Person person, @PathVariable String tripId, Model model) {
        Deck deck = decks.deck(person.viewer(), tripId);
        StartForm form = form(person);
        int number = deck.nextNumber();
        Map<String, String> typed = new HashMap<>();
        form.fresh(1).forEach((k, v) -> typed.put(k.replace("_1", "_" + number), v));
        return showAnother(form, deck, number, typed, "", model);
    }

    private static String showAnother(
            StartForm form, Deck deck, int number, Map<String, String> typed, String fault, Model model) {
        if (number > RodOut.MOST) {
            throw new NotYours();
        }
        model.addAttribute("page", deck.page());
        model.addAttribute("rows", form.rows(number, 1, typed));
        model.addAttribute("wrong", !form.errors().isEmpty());
        model.addAttribute("fault", fault);
        return "deck/another";
    }

    @PostMapping("/deck/{tripId}/rods")
    String add(
            Person person,
            @PathVariable String tripId,
            @RequestParam Map<String, String> asked,
            Model model,
            HttpServletResponse response) {
        Deck deck = decks.deck(person.viewer(), tripId);
        if (!deck.live()) {
            // its page says that it has ended, and how to take that back
            return "redirect:" + deck.page();
        }
        StartForm form = form(person);
        Map<String, String> typed = form.found(asked);
        int number = StartForm.numberOf(typed, deck.nextNumber());
        List<TripActs.Wanted> wanted = form.wanted(number, 1, typed);
        String fault = "";
        if (form.errors().isEmpty()) {
            try {
                acts.add(acting.by(person, tripId, typed), wanted.get(0));
                return "redirect:" + deck.page();
            } catch (Refusal e) {
                fault = e.words();
            }
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return showAnother(form, deck, number, typed, fault, model);
    }
}
