package dusk.ledger.web.deck;

import dusk.ledger.journal.Catch;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.WeightLadder;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.FishFacts;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.UsualWords;
import dusk.ledger.web.words.SetUpWords;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What the sheets of a rod's card offer. */
@Component
class CardChoices {
    private static final int LIKELY_SPECIES = 4;

    private static final int LIKELY_COLOURS = 9;

    private final FishFacts facts;
    private final UsualWords usual;

    CardChoices(FishFacts facts, UsualWords usual) {
        this.facts = facts;
        this.usual = usual;
    }

    DeckView.Choices of(Seen seen, RodOut rod, SetUp setUp) {
        UnitSystem units = seen.units();
        List<String> likely =
                facts.likely(seen.person().viewer(), seen.deck().water().id());
        WeightLadder ladder = WeightLadder.of(units.headMass());
        Optional<Mass> head = Optional.ofNullable(setUp.headMass());
        List<String> colours = usual.ofSetUps(seen.person().viewer(), "colour").stream()
                .filter(c -> !c.equals(setUp.colour()))
                .toList();
        Catch last = seen.lastFish(rod);
        return new DeckView.Choices(
                likely.stream().limit(LIKELY_SPECIES).toList(),
                likely.stream().skip(LIKELY_SPECIES).toList(),
                last == null ? "" : last.species(),
                Words.of("cause"),
                Words.of("bite_on"),
                Words.closed("felt", "touches"),
                step(head.flatMap(ladder::down), setUp, units),
                step(head.flatMap(ladder::up), setUp, units),
                swatches(colours.stream().limit(LIKELY_COLOURS)),
                swatches(colours.stream().skip(LIKELY_COLOURS)),
                seen.anglers().values().stream()
                        .filter(a -> !a.id().equals(rod.anglerId()))
                        .map(a -> new FormField.Option(a.id(), a.called()))
                        .sorted(Comparator.comparing(FormField.Option::label))
                        .toList());
    }

    private static List<DeckView.Swatch> swatches(Stream<String> colours) {
        return colours.map(c -> new DeckView.Swatch(c, Portrait.swatch(c))).toList();
    }

    /** A step of weight; nothing where there is none, or no weight to step from. */
    private static DeckView.Step step(Optional<Mass> mass, SetUp setUp, UnitSystem units) {
        return new DeckView.Step(
                mass.map(m -> m.show(units.headMass())).orElse(""),
                mass.map(m -> SetUpWords.head(setUp, m, units)).orElse(""));
    }
}
