package dusk.ledger.web.deck;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Stint;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.RodOut;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** The sheet that says how a rod is fished and where its fish are; what is said holds for its stints to come. */
@Component
class HowSheet {
    DeckView.How of(Seen seen, RodOut rod, Just just) {
        Stint stint = rod.stint(rod.id(), seen.deck().trip().id(), seen.now());
        RecordForm<Stint> form = form(seen.person(), seen.deck());
        Map<String, String> typed = new HashMap<>(form.typed(stint));
        boolean refused = !just.problems().isEmpty() && just.landed().isEmpty();
        if (refused) {
            typed.putAll(just.typed());
        }
        Form laid = form.form(
                new Form("", "", "", "", "", List.of(), List.of()),
                typed,
                refused ? just.problems() : List.of(),
                stint);
        return new DeckView.How(refused, laid.main());
    }

    private static RecordForm<Stint> form(Person person, Deck deck) {
        return new RecordForm<>(LedgerFormat.STINTS, new UnitText(person.units(), deck.zone()))
                .ask("fish_position", "Where the fish are", "")
                .ask("fish_depth_m", "Depth of the fish", "apart from the bottom's")
                .ask("depth_m", "Depth fished", "")
                .ask("speed", "Speed", "")
                .ask("pause_s", "Pause", "in seconds")
                .ask("line_method", "Line on the fall", "")
                .ask("hook_set", "Hook set", "")
                .ask("purpose", "Why", "");
    }

    /**
     * The stint to come with what was typed.
     *
     * @throws Invalid with every problem
     */
    Stint read(Person person, Deck deck, Stint before, Map<String, String> typed) {
        return form(person, deck).read(typed, Map.of(), before);
    }
}
