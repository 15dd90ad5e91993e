package dusk.ledger.web.deck;

import dusk.ledger.journal.Invalid;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.afloat.Acting;
import dusk.ledger.web.afloat.By;
import dusk.ledger.web.afloat.Refusal;
import dusk.ledger.web.afloat.RodActs;
import dusk.ledger.web.choose.Choices;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.form.TimeOfDay;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.words.SetUpWords;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * The touches of one rod. Every touch carries the id of its act, made by whoever touches, and how long it has waited
 * on a device without a signal, so that it is stored once and at its time.
 */
@Controller
@RequestMapping("/deck/{tripId:[^.]+}/rods/{rodId}")
class RodController {
    private static final int MOST_FISH = 99;
    private static final List<String> FELT = Words.closed("felt", "touches");

    private final Answer answer;
    private final Acting acting;
    private final RodActs acts;
    private final FishSheet sheet;
    private final HowSheet how;
    private final Decks decks;
    private final Choices choices;
    private final NewId newId;

    RodController(
            Answer answer,
            Acting acting,
            RodActs acts,
            FishSheet sheet,
            HowSheet how,
            Decks decks,
            Choices choices,
            NewId newId) {
        this.answer = answer;
        this.acting = acting;
        this.acts = acts;
        this.sheet = sheet;
        this.how = how;
        this.decks = decks;
        this.choices = choices;
        this.newId = newId;
    }

    /** @param catchId the fish that is completed; null for any other touch */
    @PostMapping({"/{touch}", "/fish/{catchId}"})
    String touch(
            Person person,
            @PathVariable String tripId,
            @PathVariable String rodId,
            @PathVariable(required = false) @Nullable String touch,
            @PathVariable(required = false) @Nullable String catchId,
            @RequestParam Map<String, String> typed,
            @RequestHeader(name = "X-Deck", defaultValue = "") String script,
            Model model,
            HttpServletResponse response) {
        Just just;
        try {
            By by = acting.by(person, tripId, typed);
            just = catchId == null
                    ? touch(by, rodId, String.valueOf(touch), new Typed(typed, person.units()))
                    : complete(by, rodId, catchId, typed);
        } catch (Refusal e) {
            just = Just.refused(rodId, String.valueOf(touch), e, typed);
        } catch (Invalid e) {
            just = Just.invalid(
                    rodId, catchId == null ? String.valueOf(touch) : "fish", e, typed, catchId == null ? "" : catchId);
        }
        return answer.card(person, tripId, rodId, just, !script.isEmpty(), model, response);
    }

    private Just touch(By by, String rodId, String touch, Typed typed) {
        switch (touch) {
            case "landed" -> {
                acts.landed(by, rodId, Said.of("species", typed), fish(typed));
                return Just.landed(rodId, by.id());
            }
            case "follow" -> acts.touch(by, rodId, touch);
            case "bite" -> acts.touch(by, rodId, touch, typed.textOrNull("bite_on"), felt(typed));
            case "said" -> {
                String on = typed.textOrNull("bite_on");
                acts.said(by, rodId, on, on == null ? Said.among(FELT, "felt", typed) : felt(typed));
            }
            case "lost" -> acts.lost(by, rodId, Said.among(Words.of("cause"), "cause", typed));
            case "swap" -> acts.swap(by, rodId, typed.values());
            case "fished" -> {
                Deck deck = decks.deck(by.viewer(), by.tripId());
                acts.fished(by, rodId, stint -> how.read(by.person(), deck, stint, typed.values()));
            }
            case "counted" -> acts.counted(by, rodId, typed);
            case "take" -> acts.offered(by, rodId, true);
            case "decline" -> acts.offered(by, rodId, false);
            case "down" -> acts.down(by, rodId);
            case "up" -> acts.up(by, rodId);
            case "still" -> acts.still(by, rodId);
            case "back" -> acts.setBack(by, rodId, end(typed));
            default -> throw new NotYours();
        }
        return Just.done(rodId, touch);
    }

    private static @Nullable String felt(Typed typed) {
        return typed.textOrNull("felt") == null ? null : Said.among(FELT, "felt", typed);
    }

    private Just complete(By by, String rodId, String catchId, Map<String, String> typed) {
        Deck deck = decks.deck(by.viewer(), by.tripId());
        acts.complete(by, rodId, catchId, "completed", fish -> sheet.read(by.person(), deck, fish, typed));
        return Just.NOTHING;
    }

    private static int fish(Typed typed) {
        Integer fish = typed.whole("count", 1, MOST_FISH);
        if (!typed.errors().isEmpty()) {
            throw Refusal.of(typed);
        }
        return fish == null ? 1 : fish;
    }

    private static TimeOfDay end(Typed typed) {
        typed.required("end", "Say when it was put down. Write it like 17:05.");
        TimeOfDay time = typed.time("end");
        if (time == null) {
            throw Refusal.of(typed);
        }
        return time;
    }

    /** A set-up to choose. */
    record Choice(String id, String words, String portrait) {}

    /** The set-ups to choose from, drawn. */
    @GetMapping("/set-up")
    String setUps(
            Person person,
            @PathVariable String tripId,
            @PathVariable String rodId,
            @RequestParam(name = FormField.FIND + "setup_id", defaultValue = "") String find,
            Model model) {
        Deck deck = decks.deck(person.viewer(), tripId);
        model.addAttribute("page", deck.page());
        model.addAttribute("rod", decks.rod(person.viewer(), tripId, rodId));
        Choices.Offers offers = choices.offers(person);
        model.addAttribute("act", newId.next());
        model.addAttribute(
                "setUps",
                offers.setUps("setup_id", Map.of(FormField.FIND + "setup_id", find), Set.of()).stream()
                        .map(s -> {
                            String words = SetUpWords.of(s, person.units());
                            return new Choice(s.id(), words, Portrait.svg(s, words));
                        })
                        .toList());
        model.addAttribute("many", offers.manySetUps());
        model.addAttribute("find", find);
        return "deck/set-up";
    }
}
