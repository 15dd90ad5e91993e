package dusk.ledger.web.deck;

import dusk.ledger.journal.Invalid;
import dusk.ledger.teach.Lot;
import dusk.ledger.units.Position;
import dusk.ledger.web.afloat.Acting;
import dusk.ledger.web.afloat.By;
import dusk.ledger.web.afloat.ConditionWords;
import dusk.ledger.web.afloat.Conditions;
import dusk.ledger.web.afloat.FanActs;
import dusk.ledger.web.afloat.Refusal;
import dusk.ledger.web.afloat.TakingBack;
import dusk.ledger.web.afloat.TripActs;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.instruments.Aboard;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.NotYours;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The deck's page, and what is done to the deck as a whole. */
@Controller
@RequestMapping("/deck/{tripId:[^.]+}")
class DeckController {
    private final Answer answer;
    private final Acting acting;
    private final TripActs acts;
    private final Conditions conditions;
    private final FanActs fans;
    private final TakingBack back;
    private final Decks decks;
    private final Aboard aboard;

    DeckController(
            Answer answer,
            Acting acting,
            TripActs acts,
            Conditions conditions,
            FanActs fans,
            TakingBack back,
            Decks decks,
            Aboard aboard) {
        this.back = back;
        this.decks = decks;
        this.aboard = aboard;
        this.answer = answer;
        this.acting = acting;
        this.acts = acts;
        this.conditions = conditions;
        this.fans = fans;
    }

    @GetMapping
    String page(
            Person person,
            @PathVariable String tripId,
            @RequestParam(defaultValue = "") String fish,
            @RequestParam(defaultValue = "") String bite,
            @RequestHeader(name = "X-Deck", defaultValue = "") String script,
            Model model) {
        return answer.deck(
                person,
                tripId,
                bite.isEmpty() ? Just.landed("", fish) : Just.done(bite, "bite"),
                !script.isEmpty(),
                model);
    }

    @PostMapping("/{what:move|next|lines|end|sign|reading|still|wave|undo|cast|lot|trial}")
    String act(
            Person person,
            @PathVariable String tripId,
            @PathVariable String what,
            @RequestParam Map<String, String> typed,
            @RequestHeader(name = "X-Deck", defaultValue = "") String script,
            Model model,
            HttpServletResponse response) {
        Typed fields = new Typed(typed, person.units());
        String column = fields.text("column");
        Just just = Just.done("", what);
        try {
            act(acting.by(person, tripId, typed), what, column, fields);
        } catch (Refusal e) {
            just = Just.refused(what.equals("reading") ? column : "", what, e, typed);
        } catch (Invalid e) {
            just = Just.invalid(column, what, e, typed, "");
        }
        return answer.whole(person, tripId, just, !script.isEmpty(), model, response);
    }

    /** Where the boat is, which a new place gets; a place of the list stays where it is. */
    private @Nullable Position here(By by) {
        return aboard.position(by.person(), decks.deck(by.viewer(), by.tripId()), by.at());
    }

    private void act(By by, String what, String column, Typed typed) {
        switch (what) {
            case "move" -> acts.move(by, typed, here(by));
            case "next" -> acts.next(by, here(by));
            case "lines" ->
                acts.lines(by, Said.among(List.of("up", "in"), "lines", typed).equals("up"));
            case "end" -> acts.end(by);
            case "cast" -> fans.next(by);
            case "lot" -> {
                String oneIn = typed.text("lot");
                acts.lot(
                        by,
                        Lot.HOW_OFTEN.stream()
                                .filter(n -> String.valueOf(n).equals(oneIn))
                                .findFirst()
                                .orElseThrow(NotYours::new));
            }
            case "trial" -> acts.trial(by, typed.textOrNull("trial_id"));
            case "sign" -> conditions.sign(by, Said.of("kind", typed));
            case "undo" -> back.undo(by, typed.text("undo"));
            default -> {
                if (!ConditionWords.knows(column)) {
                    throw new NotYours();
                }
                switch (what) {
                    case "reading" -> conditions.read(by, Map.of(column, typed.text(column)));
                    case "still" -> conditions.still(by, column);
                    default -> conditions.wave(by, column);
                }
            }
        }
    }
}
