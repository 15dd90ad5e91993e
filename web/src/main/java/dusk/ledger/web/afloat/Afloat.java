package dusk.ledger.web.afloat;

import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Writing;
import java.time.Instant;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/**
 * How anything is done on a deck: in one transaction, on the deck as it is within it, so that two hands at once see
 * each other. The same act is done once however often it is sent.
 */
@Component
class Afloat {
    private final Decks decks;
    private final Acts acts;

    Afloat(Decks decks, Acts acts) {
        this.decks = decks;
        this.acts = acts;
    }

    /**
     * What is being done.
     *
     * @param at when, never before the trip began
     */
    record Doing(By by, Deck deck, Instant at, Writing w) {
        /** A rod of the deck as it is now. */
        RodOut rod(String rodId) {
            return deck.rods().stream()
                    .filter(rod -> rod.id().equals(rodId))
                    .findFirst()
                    .orElseThrow(NotYours::new);
        }

        /** Says what was done to a rod. */
        void say(RodOut rod, String what) {
            w.say("rod " + rod.number() + ": " + what);
        }

        /** @throws Refusal where the trip is fished no more */
        void live() {
            if (!deck.live()) {
                throw new Refusal(
                        "This trip has ended. Take its end back first, or add what is missing on the trip's page.");
            }
        }
    }

    /** Does it on a deck that may have ended; false where the same act was done before. */
    boolean once(By by, String what, Consumer<Doing> doing) {
        return acts.once(by.viewer(), by.act(what), w -> doing.accept(doing(by, w)));
    }

    /** Does it on a deck that is being fished; false where the same act was done before. */
    boolean live(By by, String what, Consumer<Doing> doing) {
        return once(by, what, on -> {
            on.live();
            doing.accept(on);
        });
    }

    /** Does what ends a deck that is being fished. */
    void last(By by, String what, Consumer<Doing> doing) {
        acts.last(by.viewer(), by.act(what), w -> {
            Doing on = doing(by, w);
            on.live();
            doing.accept(on);
        });
    }

    private Doing doing(By by, Writing w) {
        Deck deck = decks.deck(by.viewer(), by.tripId());
        return new Doing(by, deck, deck.notBefore(by.at()), w);
    }
}
