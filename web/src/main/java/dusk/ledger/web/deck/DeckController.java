package dusk.ledger.web.deck;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.units.Length;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.water.Calibration;
import dusk.ledger.web.form.TimeOfDay;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.security.Person;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.tackle.CountForm;
import dusk.ledger.web.trips.TripRecords;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.SetUpWords;
import dusk.ledger.web.words.TimeText;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * The deck's page and its touches. Every touch carries the id of its act, made by whoever touches, and how long it has waited on a device without a
 * signal, so that it is stored once and at its time.
 */
@Controller
@RequestMapping("/deck/{tripId:[^.]+}")
class DeckController {
    private static final int MOST_FISH = 99;

    private final DeckRecords records;
    private final DeckPages pages;
    private final DeckActs acts;
    private final Conditions conditions;
    private final FishSheet sheet;
    private final Swap swap;
    private final TripRecords trips;
    private final Acting acting;
    private final DeckFan fans;
    private final NewId newId;

    DeckController(
            DeckRecords records,
            DeckPages pages,
            DeckActs acts,
            Conditions conditions,
            FishSheet sheet,
            Swap swap,
            TripRecords trips,
            Acting acting,
            DeckFan fans,
            NewId newId) {
        this.records = records;
        this.pages = pages;
        this.acts = acts;
        this.conditions = conditions;
        this.sheet = sheet;
        this.swap = swap;
        this.trips = trips;
        this.acting = acting;
        this.fans = fans;
        this.newId = newId;
    }

    @GetMapping
    String page(
            Person person,
            @PathVariable String tripId,
            @RequestParam(defaultValue = "") String fish,
            @RequestHeader(name = "X-Deck", defaultValue = "") String script,
            Model model) {
        DeckPages.Just just = new DeckPages.Just("", "", List.of(), Map.of(), fish);
        return show(person, tripId, just, script, model);
    }

    /** With script the deck alone is answered, else its page. */
    private String show(Person person, String tripId, DeckPages.Just just, String script, Model model) {
        model.addAttribute("deck", pages.view(person, records.deck(person.viewer(), tripId), just));
        model.addAttribute("ids", newId);
        return script.isEmpty() ? "deck/deck" : "deck/deck :: deck";
    }

    @PostMapping("/rods/{rodId}/{touch}")
    String touch(
            Person person,
            @PathVariable String tripId,
            @PathVariable String rodId,
            @PathVariable String touch,
            @RequestParam Map<String, String> typed,
            @RequestHeader(name = "X-Deck", defaultValue = "") String script,
            Model model,
            HttpServletResponse response) {
        DeckActs.By by = acting.by(person, tripId, typed);
        DeckPages.Just just = DeckPages.Just.NOTHING;
        try {
            touch(by, rodId, touch, typed);
            if (touch.equals("landed")) {
                just = new DeckPages.Just(rodId, "", List.of(), Map.of(), lastFish(by, rodId));
            }
        } catch (Refusal e) {
            just = refused(rodId, e, typed, response);
        }
        return card(by, rodId, just, script, model);
    }

    private static DeckPages.Just refused(
            String at, Refusal refusal, Map<String, String> typed, HttpServletResponse response) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return new DeckPages.Just(at, refusal.words(), List.of(), typed, "");
    }

    private void touch(DeckActs.By by, String rodId, String touch, Map<String, String> typed) {
        switch (touch) {
            case "follow", "bite" -> acts.touch(by, rodId, touch);
            case "lost" -> acts.lost(by, rodId, known("cause", typed));
            case "landed" -> acts.landed(by, rodId, said("species", typed), fish(by, typed));
            case "swap" -> {
                RodOut rod = records.rod(by.viewer(), by.deck().trip().id(), rodId);
                Swap.Asked asked = swap.of(by.viewer(), rod, typed, by.person().units());
                acts.change(by, rodId, asked.what(), asked.change());
            }
            case "counted" -> counted(by, rodId, typed);
            case "down" -> acts.down(by, rodId);
            case "up" -> acts.up(by, rodId);
            case "still" -> acts.still(by, rodId);
            case "back" -> acts.setBack(by, rodId, end(by, typed));
            default -> throw new NotYours();
        }
    }

    /** Seconds counted until it lay on the bottom. */
    private void counted(DeckActs.By by, String rodId, Map<String, String> typed) {
        RodOut rod = records.rod(by.viewer(), by.deck().trip().id(), rodId);
        SetUp setUp =
                records.rows().one(by.viewer(), Tables.SETUPS, rod.setUpId()).orElseThrow(NotYours::new);
        boolean salt = by.deck().water().kind().equals("estuary");
        Typed fields = new Typed(typed, by.person().units());
        Calibration.Drop drop = CountForm.read(setUp, fields, salt);
        if (drop == null) {
            throw Refusal.of(fields);
        }
        acts.counted(by, rodId, CountForm.words(drop, by.person().units()), drop, salt);
    }

    private static String known(String column, Map<String, String> typed) {
        String word = said(column, typed);
        if (!Words.of(column).contains(word)) {
            throw new Refusal("“" + word + "” is not one of: " + String.join(", ", Words.of(column)) + ".");
        }
        return word;
    }

    private static String said(String column, Map<String, String> typed) {
        String word = typed.getOrDefault(column, "").strip();
        if (word.isEmpty()) {
            throw new Refusal("Say the " + column + ".");
        }
        return word;
    }

    private static int fish(DeckActs.By by, Map<String, String> typed) {
        Typed fields = new Typed(typed, by.person().units());
        Integer fish = fields.whole("count", 1, MOST_FISH);
        if (!fields.errors().isEmpty()) {
            throw Refusal.of(fields);
        }
        return fish == null ? 1 : fish;
    }

    private static Instant end(DeckActs.By by, Map<String, String> typed) {
        Typed fields = new Typed(typed, by.person().units());
        fields.required("end", "Say when it was put down. Write it like 17:05.");
        TimeOfDay time = fields.time("end");
        if (time == null) {
            throw Refusal.of(fields);
        }
        return time.upTo(by.at(), by.deck().zone());
    }

    private String lastFish(DeckActs.By by, String rodId) {
        String stint = records.rod(by.viewer(), by.deck().trip().id(), rodId).stintId();
        List<Catch> fish = stint == null ? List.of() : trips.catchesOf(by.viewer(), stint);
        return fish.isEmpty() ? "" : fish.get(fish.size() - 1).id();
    }

    private String card(DeckActs.By by, String rodId, DeckPages.Just just, String script, Model model) {
        String tripId = by.deck().trip().id();
        if (!script.isEmpty()) {
            Deck now = records.deck(by.viewer(), tripId);
            model.addAttribute("page", now.page());
            model.addAttribute("live", now.live());
            model.addAttribute("card", pages.card(by.person(), now, rodId, just));
            model.addAttribute("ids", newId);
            return "deck/card :: card";
        }
        if (!just.fault().isEmpty() || !just.problems().isEmpty()) {
            return show(by.person(), tripId, just, script, model);
        }
        String fish = just.landed().isEmpty() ? "" : "?fish=" + just.landed();
        return "redirect:" + by.deck().page() + fish + "#rod-" + rodId;
    }

    @PostMapping("/rods/{rodId}/fish/{catchId}")
    String complete(
            Person person,
            @PathVariable String tripId,
            @PathVariable String rodId,
            @PathVariable String catchId,
            @RequestParam Map<String, String> typed,
            @RequestHeader(name = "X-Deck", defaultValue = "") String script,
            Model model,
            HttpServletResponse response) {
        DeckActs.By by = acting.by(person, tripId, typed);
        DeckPages.Just just = DeckPages.Just.NOTHING;
        try {
            acts.complete(by, rodId, sheet.read(person, by.deck(), acts.fish(by, catchId), typed));
        } catch (Invalid e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            just = new DeckPages.Just(rodId, "", e.problems(), typed, catchId);
        }
        return card(by, rodId, just, script, model);
    }

    /** The set-ups to choose from for a rod, drawn. */
    @GetMapping("/rods/{rodId}/set-up")
    String setUps(Person person, @PathVariable String tripId, @PathVariable String rodId, Model model) {
        Deck deck = records.deck(person.viewer(), tripId);
        RodOut rod = records.rod(person.viewer(), tripId, rodId);
        List<SetUp> all = trips.setUps(person.viewer());
        model.addAttribute("page", deck.page());
        model.addAttribute("rod", rod);
        model.addAttribute("act", newId.next());
        model.addAttribute(
                "setUps",
                all.stream()
                        .map(s -> {
                            String words = SetUpWords.of(s, person.units());
                            return new Choice(s.id(), words, Portrait.svg(s, words));
                        })
                        .toList());
        return "deck/set-up";
    }

    /** A set-up to choose. */
    record Choice(String id, String words, String portrait) {}

    @PostMapping("/{what:move|end|sign|reading|still|wave|undo|cast}")
    String deck(
            Person person,
            @PathVariable String tripId,
            @PathVariable String what,
            @RequestParam Map<String, String> typed,
            @RequestHeader(name = "X-Deck", defaultValue = "") String script,
            Model model,
            HttpServletResponse response) {
        DeckActs.By by = acting.by(person, tripId, typed);
        String at = typed.getOrDefault("column", "");
        DeckPages.Just just = DeckPages.Just.NOTHING;
        try {
            deck(by, what, at, typed);
        } catch (Refusal e) {
            just = refused(what.equals("reading") ? at : "", e, typed, response);
        } catch (Invalid e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            just = new DeckPages.Just(at, "", e.problems(), typed, "");
        }
        boolean refused = !just.fault().isEmpty() || !just.problems().isEmpty();
        return refused || !script.isEmpty()
                ? show(person, tripId, just, script, model)
                : "redirect:" + by.deck().page();
    }

    private void deck(DeckActs.By by, String what, String column, Map<String, String> typed) {
        switch (what) {
            case "move" -> move(by, typed);
            case "end" -> acts.end(by);
            case "cast" -> fans.next(by);
            case "sign" -> conditions.sign(by, said("kind", typed));
            case "undo" -> acts.undo(by, typed.getOrDefault("undo", ""));
            default -> {
                if (!ConditionWords.knows(column)) {
                    throw new NotYours();
                }
                if (what.equals("reading")) {
                    conditions.read(by, Map.of(column, typed.getOrDefault(column, "")));
                } else if (what.equals("still")) {
                    conditions.still(by, column);
                } else {
                    conditions.wave(by, column);
                }
            }
        }
    }

    private void move(DeckActs.By by, Map<String, String> typed) {
        Typed fields = new Typed(typed, by.person().units());
        String label = fields.textOrNull("label");
        String structure = fields.textOrNull("structure");
        String spotId = fields.textOrNull("spot_id");
        Length depth = fields.depth("depth_m");
        if (!fields.errors().isEmpty()) {
            throw Refusal.of(fields);
        }
        Spot fresh = null;
        if (label != null || structure != null) {
            // a place is told from others by its name; its hour there does until its owner gives it one
            String name = label == null
                    ? structure + " " + TimeText.hour(by.at(), by.deck().zone())
                    : label;
            fresh = new Spot(newId.next(), by.deck().water().id(), name, structure, null, null, null);
            spotId = fresh.id();
        } else if (spotId == null) {
            throw new Refusal("Say where to: a place of the list, or what kind of place it is.");
        }
        String chosen = spotId;
        Spot to = fresh != null
                ? fresh
                : records.rows()
                        .one(by.viewer(), Tables.SPOTS, String.valueOf(chosen))
                        .filter(s -> s.waterId().equals(by.deck().water().id()))
                        .orElseThrow(NotYours::new);
        acts.move(by, "moved to " + PlaceWords.of(to), new DeckActs.Place(spotId, depth), fresh);
    }
}
