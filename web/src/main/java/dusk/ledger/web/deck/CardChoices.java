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
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the sheets of a rod's card offer. */
@Component
class CardChoices {
    private static final int LIKELY_SPECIES = 4;

    private final FishFacts facts;

    CardChoices(FishFacts facts) {
        this.facts = facts;
    }

    /** @param typed what was typed and refused, else empty */
    DeckView.Choices of(Seen seen, RodOut rod, SetUp setUp, Map<String, String> typed) {
        UnitSystem units = seen.units();
        List<String> likely =
                facts.likely(seen.person().viewer(), seen.deck().water().id());
        WeightLadder ladder = WeightLadder.of(units.headMass());
        Mass head = setUp.headMass();
        Catch last = seen.lastFish(rod);
        return new DeckView.Choices(
                likely.stream().limit(LIKELY_SPECIES).toList(),
                likely.stream().skip(LIKELY_SPECIES).toList(),
                last == null ? "" : last.species(),
                Words.of("cause"),
                Words.of("bite_on"),
                Words.closed("felt", "touches"),
                head == null ? "" : shown(ladder.down(head), units),
                head == null ? "" : shown(ladder.up(head), units),
                Words.of("colour").stream()
                        .filter(c -> !c.equals(setUp.colour()))
                        .map(c -> new DeckView.Swatch(c, Portrait.swatch(c)))
                        .toList(),
                Words.of("presentation").stream()
                        .filter(p -> !p.equals(rod.way().presentation()))
                        .toList(),
                Words.of("plastic"),
                typed.getOrDefault("plastic", orEmpty(setUp.plastic())),
                typed.getOrDefault(
                        "plastic_length_mm",
                        setUp.plasticLength() == null
                                ? ""
                                : setUp.plasticLength().show(units.lure())),
                seen.anglers().values().stream()
                        .filter(a -> !a.id().equals(rod.anglerId()))
                        .map(a -> new FormField.Option(a.id(), a.called()))
                        .sorted(Comparator.comparing(FormField.Option::label))
                        .toList());
    }

    private static String orEmpty(@Nullable String word) {
        return word == null ? "" : word;
    }

    private static String shown(Optional<Mass> step, UnitSystem units) {
        return step.map(m -> m.show(units.headMass())).orElse("");
    }
}
