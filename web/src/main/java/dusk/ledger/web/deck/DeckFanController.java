package dusk.ledger.web.deck;

import dusk.ledger.journal.Reading;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.LaidFan;
import dusk.ledger.web.afloat.Acting;
import dusk.ledger.web.afloat.By;
import dusk.ledger.web.afloat.FanActs;
import dusk.ledger.web.afloat.Refusal;
import dusk.ledger.web.fan.FanAsk;
import dusk.ledger.web.fan.FanView;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.Drops;
import dusk.ledger.web.records.Fans;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.store.NewId;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The fan of casts at the place where a deck lies: laid out here, marked here or by the deck's own button. */
@Controller
@RequestMapping("/deck/{tripId:[^.]+}/fan")
class DeckFanController {
    /** A fan is laid for the depth of the place only in what is thrown; nothing is thrown in this one. */
    private static final double NO_DEPTH_M = 1;

    private final Decks decks;
    private final FanActs acts;
    private final Fans fans;
    private final TripRows rows;
    private final Drops drops;
    private final Acting acting;
    private final NewId newId;
    private final Clock clock;

    DeckFanController(
            Decks decks, FanActs acts, Fans fans, TripRows rows, Drops drops, Acting acting, NewId newId, Clock clock) {
        this.decks = decks;
        this.acts = acts;
        this.fans = fans;
        this.rows = rows;
        this.drops = drops;
        this.acting = acting;
        this.newId = newId;
        this.clock = clock;
    }

    @GetMapping
    String page(Person person, @PathVariable String tripId, Model model) {
        return show(person, tripId, Map.of(), Map.of(), "", model);
    }

    private String show(
            Person person,
            String tripId,
            Map<String, String> typed,
            Map<String, String> errors,
            String fault,
            Model model) {
        Deck deck = decks.deck(person.viewer(), tripId);
        UnitSystem units = person.units();
        Fans.Laid here = fans.from(person.viewer(), tripId, deck.spotId());
        if (here != null) {
            FanAsk ask = new FanAsk(here.laid(), wind(person, deck), null, null, NO_DEPTH_M);
            model.addAttribute("fan", FanView.of(ask, here.made(), drops.calibrations(person.viewer()), units));
        }
        Map<String, String> shown = FanAsk.typed(here == null ? null : here.laid(), units);
        shown.putAll(typed);
        model.addAttribute("typed", shown);
        model.addAttribute("errors", errors);
        model.addAttribute("fault", fault);
        model.addAttribute("page", deck.page());
        model.addAttribute("live", deck.live());
        model.addAttribute("water", deck.water().name());
        model.addAttribute("ids", newId);
        return "deck/fan";
    }

    private LaidFan.@Nullable Stream wind(Person person, Deck deck) {
        Reading last = rows.lastReading(person.viewer(), deck.trip().id(), clock.instant());
        return last == null || last.wind() == null || last.windFrom() == null
                ? null
                : new LaidFan.Stream(
                        last.wind().metresPerSecond(), (last.windFrom().degrees() + 180) % 360);
    }

    @PostMapping
    String lay(
            Person person,
            @PathVariable String tripId,
            @RequestParam Map<String, String> typed,
            Model model,
            HttpServletResponse response) {
        Map<String, String> errors = new HashMap<>();
        LaidFan laid = FanAsk.laid(typed, person.units(), errors);
        if (laid == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(person, tripId, typed, errors, "", model);
        }
        return done(person, tripId, typed, by -> acts.lay(by, laid), model, response);
    }

    @PostMapping("/{number:[0-9]{1,3}}")
    String turn(
            Person person,
            @PathVariable String tripId,
            @PathVariable int number,
            @RequestParam Map<String, String> typed,
            Model model,
            HttpServletResponse response) {
        return done(person, tripId, typed, by -> acts.turn(by, number), model, response);
    }

    /** What is done to a fan. */
    private interface Act {
        void by(By by);
    }

    private String done(
            Person person,
            String tripId,
            Map<String, String> typed,
            Act act,
            Model model,
            HttpServletResponse response) {
        try {
            act.by(acting.by(person, tripId, typed));
        } catch (Refusal e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(person, tripId, Map.of(), Map.of(), e.words(), model);
        }
        return "redirect:/deck/" + tripId + "/fan";
    }
}
