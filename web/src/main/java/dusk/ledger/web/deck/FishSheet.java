package dusk.ledger.web.deck;

import dusk.ledger.fish.LengthMass;
import dusk.ledger.fish.WaterRule;
import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Invalid;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.club.WaterRules;
import dusk.ledger.web.frame.Form;
import dusk.ledger.web.frame.RecordForm;
import dusk.ledger.web.frame.UnitText;
import dusk.ledger.web.security.Person;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The sheet of a landed fish: stored with its species at once, the rest when there is a hand free. */
@Component
class FishSheet {
    private final FishFacts facts;
    private final WaterRules rules;

    FishSheet(FishFacts facts, WaterRules rules) {
        this.facts = facts;
        this.rules = rules;
    }

    /** @param open whether the sheet stands open */
    DeckView.Fish of(Person person, Deck deck, Catch fish, List<Catch> trip, DeckPages.Just just, boolean open) {
        UnitSystem units = person.units();
        RecordForm<Catch> form = form(person, deck);
        Map<String, String> typed = new HashMap<>(form.typed(fish));
        if (typed.getOrDefault("length_how", "").isEmpty()) {
            typed.put("length_how", usualHow(trip));
        }
        boolean refused = open && !just.problems().isEmpty();
        if (refused) {
            typed.putAll(just.typed());
        }
        Form laid = form.form(
                new Form("", "", "", "", "", List.of(), List.of()), typed, refused ? just.problems() : List.of());
        FishFacts.Lengths span = facts.lengths(person.viewer(), deck.water().id(), fish.species());
        double at = fish.length() == null
                ? (span.from() + span.to()) / 2
                : fish.length().millimetres();
        boolean inches = units.lure() == Length.Unit.INCH;
        double unit = inches ? 25.4 : 10;
        return new DeckView.Fish(
                fish.id(),
                fish.species(),
                words(person, fish),
                cautions(person, deck, fish, trip),
                open,
                new DeckView.Slider(
                        Figures.trimmed(Math.floor(span.from() / unit), 0),
                        Figures.trimmed(Math.ceil(span.to() / unit), 0),
                        inches ? "0.25" : "0.5",
                        Figures.trimmed(Math.round(at / unit * 2) / 2.0, 1),
                        units.lure().symbol()),
                laid.main());
    }

    /** As the trip's last fish had its length, else estimated: a guess must not pass for a measure. */
    private static String usualHow(List<Catch> trip) {
        String how = "estimated";
        for (Catch fish : trip) {
            how = fish.lengthHow() == null ? how : fish.lengthHow();
        }
        return how;
    }

    private static RecordForm<Catch> form(Person person, Deck deck) {
        return new RecordForm<>(Tables.CATCHES, new UnitText(person.units(), deck.zone()))
                .ask("length_mm", "Length", "")
                .ask("length_how", "Length had by", "")
                .ask("bite_on", "Taken on", "")
                .ask("mass_g", "Weight", "")
                .ask("mass_how", "Weight had by", "")
                .ask("kept", "Kept", "");
    }

    /**
     * The fish with what was typed.
     *
     * @throws Invalid with every problem
     */
    Catch read(Person person, Deck deck, Catch before, Map<String, String> typed) {
        Map<String, String> cells = new HashMap<>(typed);
        if (cells.getOrDefault("length_mm", "").isBlank()) {
            cells.put("length_how", "");
        }
        if (cells.getOrDefault("mass_g", "").isBlank() && "from_length".equals(cells.get("mass_how"))) {
            fromLength(person, deck, before, cells);
        } else if (cells.getOrDefault("mass_g", "").isBlank()) {
            cells.put("mass_how", "");
        }
        Catch fish = form(person, deck).read(cells, Map.of(), before);
        if (fish.mass() != null && fish.massHow() == null) {
            throw new Invalid(
                    List.of(new Invalid.Problem("mass_how", "Say whether the weight was measured or estimated.")));
        }
        return fish;
    }

    private void fromLength(Person person, Deck deck, Catch before, Map<String, String> cells) {
        Map<String, String> withoutMass = new HashMap<>(cells);
        withoutMass.put("mass_how", "");
        Length length = form(person, deck).read(withoutMass, Map.of(), before).length();
        Optional<LengthMass> curve = facts.mass(person.viewer(), before.species());
        if (length == null) {
            throw new Invalid(List.of(new Invalid.Problem("mass_how", "A weight from length needs the length.")));
        }
        if (curve.isEmpty()) {
            throw new Invalid(List.of(new Invalid.Problem(
                    "mass_how",
                    "There is no curve for " + before.species() + " yet: it takes " + LengthMass.LEAST_FISH
                            + " of the club's fish with length and weight both measured.")));
        }
        cells.put("mass_g", Figures.trimmed(curve.get().mass(length).grams(), 0) + " g");
    }

    private String words(Person person, Catch fish) {
        UnitSystem units = person.units();
        StringBuilder words = new StringBuilder(fish.count() > 1 ? fish.count() + " " : "").append(fish.species());
        if (fish.length() != null) {
            words.append(' ').append(fish.length().show(units.lure()));
            words.append("estimated".equals(fish.lengthHow()) ? " (estimated)" : "");
        }
        if (fish.mass() != null) {
            words.append(", ").append(fish.mass().show(units.fishMass()));
            words.append("from_length".equals(fish.massHow()) ? " (from length)" : "");
        }
        Length length = fish.length();
        Mass mass = fish.mass();
        boolean measured = "measured".equals(fish.lengthHow()) && "measured".equals(fish.massHow());
        if (measured && length != null && mass != null) {
            facts.mass(person.viewer(), fish.species())
                    .ifPresent(curve -> words.append(", condition ").append(Math.round(curve.condition(length, mass))));
        }
        return words.toString();
    }

    private List<String> cautions(Person person, Deck deck, Catch fish, List<Catch> trip) {
        WaterRule rule =
                rules.of(person.viewer(), deck.water().id(), fish.species()).orElse(null);
        if (rule == null) {
            return List.of();
        }
        var at = fish.at() == null ? deck.trip().startedAt() : fish.at();
        int kept = trip.stream()
                .filter(f -> Boolean.TRUE.equals(f.kept()) && f.species().equals(fish.species()))
                .mapToInt(Catch::count)
                .sum();
        List<String> said = new ArrayList<>();
        for (WaterRule.About about : rule.cautions(fish.length(), MonthDay.from(at.atZone(deck.zone())), kept)) {
            said.add(WaterRules.words(about, rule, person.units()));
        }
        if (!said.isEmpty()) {
            said.add(WaterRules.PREVAIL);
        }
        return said;
    }
}
