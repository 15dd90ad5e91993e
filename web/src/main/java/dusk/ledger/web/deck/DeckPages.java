package dusk.ledger.web.deck;

import dusk.ledger.journal.Catch;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.teach.Trial;
import dusk.ledger.units.Bearing;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.Speed;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.instruments.Aboard;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Fans;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.Trials;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.SetUpWords;
import dusk.ledger.web.words.StintWords;
import dusk.ledger.web.words.TimeText;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Lays a deck out for whoever looks at it. */
@Component
class DeckPages {
    private final DeckReading reading;
    private final CardLayout cards;
    private final ConditionStrip strip;
    private final Fans fans;
    private final Trials trials;
    private final SetUps setUps;

    DeckPages(DeckReading reading, CardLayout cards, ConditionStrip strip, Fans fans, Trials trials, SetUps setUps) {
        this.trials = trials;
        this.setUps = setUps;
        this.reading = reading;
        this.cards = cards;
        this.strip = strip;
        this.fans = fans;
    }

    DeckView view(Person person, Deck deck, Just just) {
        Seen seen = reading.page(person, deck);
        ConditionStrip.Strip conditions = strip.of(seen, just);
        return new DeckView(
                deck.page(),
                deck.trip().id(),
                person.id(),
                deck.water().name(),
                deck.zone().getId(),
                TimeText.hour(deck.trip().startedAt(), deck.zone()),
                deck.until() == null ? "" : TimeText.hour(deck.until(), deck.zone()),
                deck.live(),
                totals(seen),
                deck.rods().stream().map(rod -> cards.of(seen, rod, just)).toList(),
                conditions.chips(),
                conditions.ask(),
                Words.closed("kind", "signs").stream()
                        .filter(w -> !w.equals("none"))
                        .toList(),
                places(seen),
                Words.of("structure"),
                conditions.dangers(),
                boat(seen),
                seen.acts().stream()
                        .findFirst()
                        .map(d -> new DeckView.Undo(
                                d.act().id(), PlaceWords.shown(d.act().what(), seen.spots())))
                        .orElse(null),
                deck.rods().size() < RodOut.MOST,
                casts(fans.from(person.viewer(), deck.trip().id(), deck.spotId())),
                seen.settings().lot(),
                deck.live() ? trials(person) : List.of(),
                Objects.requireNonNullElse(seen.settings().trialId(), ""),
                first(deck, just),
                just.at().isEmpty() ? just.fault() : "");
    }

    /** How the boat lies, as its feed says. */
    private static DeckView.Boat boat(Seen seen) {
        Aboard.Boat boat = seen.told().boat();
        List<Aboard.Listened> listened = seen.told().states();
        if (boat == null) {
            return new DeckView.Boat("", false, "", listened);
        }
        List<String> words = new ArrayList<>();
        String depth = boat.depthM() == null
                ? ""
                : Length.ofMetres(boat.depthM()).show(seen.units().depth());
        if (!depth.isEmpty()) {
            words.add(depth + " under it");
        }
        if (boat.drift() != null) {
            words.add("drifting "
                    + Speed.ofMetresPerSecond(boat.drift().mps())
                            .show(seen.units().current()) + " towards "
                    + Bearing.ofDegrees(Math.round(boat.drift().toDeg())).show());
        }
        if (boat.position() != null) {
            words.add("position known");
        }
        return new DeckView.Boat(
                boat.by() + ": " + String.join(", ", words) + ".", boat.position() != null, depth, listened);
    }

    /** What was just done to something stands first. */
    private static String first(Deck deck, Just just) {
        boolean condition = !just.at().isEmpty()
                && deck.rods().stream().noneMatch(rod -> rod.id().equals(just.at()));
        if (condition || deck.rods().isEmpty()) {
            return "boat";
        }
        return just.at().isEmpty() ? deck.rods().get(0).id() : just.at();
    }

    private List<DeckView.Trial> trials(Person person) {
        List<Trial> open = trials.open(person.viewer());
        Map<String, SetUp> of = setUps
                .of(
                        person.viewer(),
                        open.stream()
                                .flatMap(trial -> Stream.of(trial.setUpA(), trial.setUpB()))
                                .toList())
                .stream()
                .collect(Collectors.toMap(SetUp::id, one -> one));
        return open.stream()
                .map(trial -> new DeckView.Trial(
                        trial.id(),
                        SetUpWords.of(Objects.requireNonNull(of.get(trial.setUpA())), person.units()) + " or "
                                + SetUpWords.of(Objects.requireNonNull(of.get(trial.setUpB())), person.units())))
                .toList();
    }

    private static List<FormField.Option> places(Seen seen) {
        return seen.spots().values().stream()
                .map(s -> new FormField.Option(s.id(), PlaceWords.of(s)))
                .sorted(Comparator.comparing(FormField.Option::label))
                .toList();
    }

    /** One rod's card. */
    DeckView.Card card(Person person, Deck deck, String rodId, Just just) {
        RodOut rod = deck.rods().stream()
                .filter(r -> r.id().equals(rodId))
                .findFirst()
                .orElseThrow(NotYours::new);
        return cards.of(reading.card(person, deck, rod), rod, just);
    }

    private static DeckView.Casts casts(Fans.@Nullable Laid here) {
        if (here == null) {
            return new DeckView.Casts("Fan of casts", "");
        }
        Integer next = here.next();
        return new DeckView.Casts(
                "Fan: " + here.made().size() + " of " + here.fan().casts() + " casts, "
                        + Math.round(100 * here.fan().covered(here.made())) + " % covered",
                next == null ? "" : "Cast " + (next + 1) + " made");
    }

    private static String totals(Seen seen) {
        int fish = seen.catches().stream().mapToInt(Catch::count).sum();
        int bites = seen.stints().stream().mapToInt(Stint::bites).sum();
        return fish + " fish, " + StintWords.count(bites, "bite", "bites") + " in "
                + Figures.fixed(seen.hours(seen.stints()), 1) + " rod-hours";
    }
}
