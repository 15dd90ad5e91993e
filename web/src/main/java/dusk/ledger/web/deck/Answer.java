package dusk.ledger.web.deck;

import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** How a touch is answered: with script by the part of the page that changed, else by the page. */
@Component
class Answer {
    private final Store store;
    private final Decks decks;
    private final DeckPages pages;
    private final NewId newId;

    Answer(Store store, Decks decks, DeckPages pages, NewId newId) {
        this.store = store;
        this.decks = decks;
        this.pages = pages;
        this.newId = newId;
    }

    /** The deck, as it is now. */
    String deck(Person person, String tripId, Just just, boolean script, Model model) {
        model.addAttribute("deck", store.snapshot(() -> pages.view(person, decks.deck(person.viewer(), tripId), just)));
        model.addAttribute("ids", newId);
        return script ? "deck/deck :: deck" : "deck/deck";
    }

    /** What was done to the deck as a whole. */
    String whole(Person person, String tripId, Just just, boolean script, Model model, HttpServletResponse response) {
        refuse(just, response);
        return just.refused() || script
                ? deck(person, tripId, just, script, model)
                : "redirect:/deck/" + tripId + just.place();
    }

    /** What was done to a rod. */
    String card(
            Person person,
            String tripId,
            String rodId,
            Just just,
            boolean script,
            Model model,
            HttpServletResponse response) {
        refuse(just, response);
        if (script) {
            store.snapshot(() -> {
                Deck now = decks.deck(person.viewer(), tripId);
                model.addAttribute("page", now.page());
                model.addAttribute("live", now.live());
                return model.addAttribute("card", pages.card(person, now, rodId, just));
            });
            model.addAttribute("ids", newId);
            return "deck/card :: card";
        }
        if (just.refused()) {
            return deck(person, tripId, just, false, model);
        }
        String bite = just.asksOfBite() ? "?bite=" + rodId : "";
        String asked = just.fish().isEmpty() ? bite : "?fish=" + just.fish();
        return "redirect:/deck/" + tripId + asked + "#rod-" + rodId;
    }

    private static void refuse(Just just, HttpServletResponse response) {
        if (just.refused()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
    }
}
