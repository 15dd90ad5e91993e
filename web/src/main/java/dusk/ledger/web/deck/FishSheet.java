package dusk.ledger.web.deck;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.instruments.Feed;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.SetUp;
import dusk.ledger.safety.Handling;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.instruments.Lengths;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.FishCurves;
import dusk.ledger.web.records.FishFacts;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.words.FishWords;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The sheet of a landed fish: stored with its species at once, the rest when there is a hand free. */
@Component
class FishSheet {
    private final FishFacts facts;
    private final FishCurves curves;

    FishSheet(FishFacts facts, FishCurves curves) {
        this.facts = facts;
        this.curves = curves;
    }

    /** @param setUp it was landed on; null where it is not known here */
    DeckView.Fish of(Seen seen, Catch fish, Just just, @Nullable SetUp setUp) {
        Person person = seen.person();
        Deck deck = seen.deck();
        return of(
                seen,
                fish,
                just,
                Stream.concat(
                                curves
                                        .cautions(
                                                person.viewer(),
                                                person.units(),
                                                deck.trip(),
                                                deck.water(),
                                                fish,
                                                seen.catches())
                                        .stream(),
                                handled(setUp))
                        .toList(),
                FishWords.of(fish, person.units()) + curves.condition(person.viewer(), fish));
    }

    private DeckView.Fish of(Seen seen, Catch fish, Just just, List<String> cautions, String words) {
        Person person = seen.person();
        Deck deck = seen.deck();
        List<Catch> trip = seen.catches();
        boolean refused = just.fish().equals(fish.id()) && just.refused();
        UnitSystem units = person.units();
        RecordForm<Catch> form = form(person, deck);
        Map<String, String> typed = new HashMap<>(form.typed(fish));
        Lengths.Measured board = fish.length() == null ? offered(seen) : null;
        if (board != null) {
            typed.put("length_mm", board.length().show(person.units().lure()));
            typed.put("length_how", "measured");
        } else if (typed.getOrDefault("length_how", "").isEmpty()) {
            typed.put("length_how", usualHow(trip));
        }
        FishFacts.Lengths span = facts.lengths(person.viewer(), deck.water().id(), fish.species());
        Length length = board == null ? fish.length() : board.length();
        double at = length == null ? (span.from() + span.to()) / 2 : length.millimetres();
        boolean inches = units.lure() == Length.Unit.INCH;
        double unit = inches ? 25.4 : 10;
        return new DeckView.Fish(
                fish.id(),
                fish.species(),
                words,
                cautions,
                refused,
                new DeckView.Slider(
                        Figures.trimmed(Math.floor(span.from() / unit), 0),
                        Figures.trimmed(Math.ceil(span.to() / unit), 0),
                        inches ? "0.25" : "0.5",
                        Figures.trimmed(Math.round(at / unit * 2) / 2.0, 1),
                        units.lure().symbol()),
                TypedFields.of(form, fish, typed, just, refused),
                board == null ? "" : board.by() + ", " + Feed.span(Duration.between(board.at(), seen.now())) + " ago");
    }

    /** A length off the board that no fish of the trip has got since, by hand either. */
    private static Lengths.@Nullable Measured offered(Seen seen) {
        Lengths.Measured board = seen.told().length();
        boolean got = board != null
                && seen.catches().stream()
                        .anyMatch(one -> board.length().equals(one.length()) && "measured".equals(one.lengthHow()));
        return got ? null : board;
    }

    /** The sheet of a fish that a device lands without a signal: it puts the id in. */
    DeckView.Fish blank(Seen seen) {
        String likely =
                facts.likely(seen.person().viewer(), seen.deck().water().id()).get(0);
        Catch fish = CatchBuilder.builder()
                .id("landed")
                .stintId("running")
                .at(seen.now())
                .species(likely)
                .count(1)
                .build();
        return of(seen, fish, Just.NOTHING, List.of(), "");
    }

    /** What a hand near the fish must know of its tackle. */
    private static Stream<String> handled(@Nullable SetUp setUp) {
        return setUp == null
                ? Stream.of()
                : Handling.of(setUp).stream()
                        .filter(h -> h == Handling.TRAILING_HOOKS)
                        .map(Handling::words);
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
        return new RecordForm<>(LedgerFormat.CATCHES, new UnitText(person.units(), deck.zone()))
                .ask("length_mm", "Length", "")
                .ask("length_how", "Length had by", "")
                .ask("bite_on", "Taken on", "")
                .ask("hooked_in", "Hooked in", "")
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
        boolean weightless = cells.getOrDefault("mass_g", "").isBlank();
        if (weightless && !"from_length".equals(cells.get("mass_how"))) {
            cells.put("mass_how", "");
        }
        return curves.weighed(person.viewer(), form(person, deck).read(cells, Map.of(), before));
    }
}
