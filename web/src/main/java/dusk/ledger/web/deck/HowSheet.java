package dusk.ledger.web.deck;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Stint;
import dusk.ledger.vocabulary.Meanings;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.UsualWords;
import dusk.ledger.web.words.StintWords;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * The sheet that says how a rod is fished and where its fish are; what is said holds for its stints to come. A word is
 * one touch, what is measured is typed.
 */
@Component
class HowSheet {
    /** What is said by a word: what changes with every bite first. */
    private static final Map<String, String> BY_WORD = new LinkedHashMap<>();

    static {
        BY_WORD.put("speed", "Speed");
        BY_WORD.put("fish_position", "Where the fish are");
        BY_WORD.put("presentation", "How it is fished");
        BY_WORD.put("line_method", "Line on the fall");
        BY_WORD.put("hook_set", "Hook set");
        BY_WORD.put("purpose", "Why");
    }

    private final UsualWords usual;

    HowSheet(UsualWords usual) {
        this.usual = usual;
    }

    DeckView.How of(Seen seen, RodOut rod, Just just) {
        Stint stint = rod.stint(rod.id(), seen.deck().trip().id(), seen.now());
        RecordForm<Stint> form = typed(seen.person(), seen.deck());
        boolean refused = just.wrong(rod.id(), "fished");
        return new DeckView.How(
                refused,
                words(seen, stint, form.typed(stint)),
                TypedFields.of(form, stint, form.typed(stint), just, refused));
    }

    private List<DeckView.ByWord> words(Seen seen, Stint stint, Map<String, String> held) {
        List<DeckView.ByWord> said = new ArrayList<>();
        BY_WORD.forEach((column, label) -> {
            String now = held.getOrDefault(column, "");
            List<DeckView.Word> words =
                    new ArrayList<>(usual.ofStints(seen.person().viewer(), column).stream()
                            .map(word -> new DeckView.Word(word, shows(column, word, stint, seen)))
                            .toList());
            if (!now.isEmpty()) {
                words.add(new DeckView.Word("", ""));
            }
            said.add(new DeckView.ByWord(
                    column, label, words, now, !Meanings.of(column).isEmpty()));
        });
        return said;
    }

    /** What the card would say of it. */
    private static String shows(String column, String word, Stint stint, Seen seen) {
        Stint said = LedgerFormat.STINTS.changed(stint, Map.of(column, word));
        return StintWords.parts(said, seen.units()).getOrDefault(column, "");
    }

    /** What is typed. */
    private static RecordForm<Stint> typed(Person person, Deck deck) {
        return new RecordForm<>(LedgerFormat.STINTS, new UnitText(person.units(), deck.zone()))
                .ask("depth_m", "Depth fished", "this rod's own")
                .ask("fish_depth_m", "Depth of the fish", "apart from the bottom's")
                .ask("pause_s", "Soak, or pause", "in seconds");
    }

    /**
     * The stint to come with what was said or typed; what was not asked for stays.
     *
     * @throws Invalid with every problem
     */
    Stint read(Person person, Deck deck, Stint before, Map<String, String> said) {
        RecordForm<Stint> form = typed(person, deck);
        BY_WORD.forEach((column, label) -> form.ask(column, label, ""));
        return form.read(said, Map.of(), before);
    }
}
