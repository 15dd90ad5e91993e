package dusk.ledger.web.deck;

import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.units.Figures;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.afloat.Drawing;
import dusk.ledger.web.afloat.TripActs;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.SetUpWords;
import dusk.ledger.web.words.StintWords;
import dusk.ledger.web.words.TimeText;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Lays a rod's card out. */
@Component
class CardLayout {
    private static final Duration FORGOTTEN = Duration.ofMinutes(45);
    private static final int ACTS = 3;

    private final StayWords stay;
    private final CardChoices choices;
    private final FishSheet sheet;
    private final TackleSheet tackle;
    private final HowSheet how;
    private final Drawing drawing;

    CardLayout(
            StayWords stay, CardChoices choices, FishSheet sheet, TackleSheet tackle, HowSheet how, Drawing drawing) {
        this.drawing = drawing;
        this.stay = stay;
        this.choices = choices;
        this.sheet = sheet;
        this.tackle = tackle;
        this.how = how;
    }

    DeckView.Card of(Seen seen, RodOut rod, Just just) {
        UnitSystem units = seen.units();
        Stint running = seen.running(rod);
        SetUp setUp = Objects.requireNonNull(seen.setUps().get(rod.setUpId()));
        String words = SetUpWords.of(setUp, units);
        SetUp from = setUp.fromSetUpId() == null ? null : seen.setUps().get(setUp.fromSetUpId());
        boolean here = just.at().equals(rod.id());
        DeckView.Stay weighed = running == null ? null : stay.of(seen, rod);
        DeckView.Fish fish = fish(seen, rod, just);
        DeckView.Forgotten forgotten = forgotten(seen, rod, running);
        DeckView.Offer offer = offer(seen, rod);
        List<Acts.Done> acts = seen.acts().stream()
                .filter(done -> done.rows().contains(rod.id()))
                .limit(ACTS)
                .toList();
        return new DeckView.Card(
                rod.id(),
                rod.number(),
                seen.name(rod.anglerId()),
                place(seen, rod, seen.spot(rod)),
                place(seen, rod, TripActs.likeThis(seen.deck().water().id(), seen.spot(rod), "next", "{hour}")),
                parts(seen, rod, setUp),
                from == null ? "" : SetUpWords.changed(from, setUp, units),
                Portrait.svg(setUp, words),
                RodFall.of(seen, rod, setUp),
                rod.depth() == null ? "" : rod.depth().show(units.depth()),
                running != null,
                running == null ? "" : running.startedAt().toString(),
                running == null
                        ? 0
                        : Duration.between(running.startedAt(), seen.now()).toMinutes(),
                counts(seen, running),
                seen.landed(theirs(seen, rod)),
                day(seen, rod),
                lead(just, rod, fish, forgotten, offer, weighed),
                weighed,
                forgotten,
                fish,
                sheet.blank(seen),
                tackle.of(seen, rod, setUp, just),
                how.of(seen, rod, just),
                acts.stream().map(done -> act(seen, done)).toList(),
                choices.of(seen, rod, setUp),
                cautions(seen, rod, setUp),
                offer,
                seen.deck().rods().stream().anyMatch(one -> !one.down()),
                here ? just.fault() : "");
    }

    /** What matters most of a rod now stands above its touches. */
    private static String lead(
            Just just,
            RodOut rod,
            DeckView.@Nullable Fish fish,
            DeckView.@Nullable Forgotten forgotten,
            DeckView.@Nullable Offer offer,
            DeckView.@Nullable Stay weighed) {
        if (fish != null && just.fish().equals(fish.id())) {
            return "fish";
        }
        if (just.at().equals(rod.id()) && just.asksOfBite()) {
            return "bitten";
        }
        if (forgotten != null) {
            return "forgotten";
        }
        if (offer != null) {
            return "offer";
        }
        return weighed == null ? "" : "stay";
    }

    private static List<DeckView.Part> parts(Seen seen, RodOut rod, SetUp setUp) {
        Map<String, String> said = new LinkedHashMap<>(SetUpWords.parts(setUp, seen.units()));
        // the depth stands with the place
        Stint stint = rod.stint(rod.id(), seen.deck().trip().id(), seen.now());
        said.putAll(StintWords.parts(StintBuilder.builder(stint).depth(null).build(), seen.units()));
        List<DeckView.Part> parts = new ArrayList<>();
        said.forEach((name, words) ->
                parts.add(new DeckView.Part(name, words.isEmpty() || parts.isEmpty() ? words : ", " + words)));
        return parts;
    }

    private static DeckView.Act act(Seen seen, Acts.Done done) {
        return new DeckView.Act(
                done.act().id(),
                PlaceWords.shown(done.act().what().replaceFirst("^rod \\d: ", ""), seen.spots()),
                TimeText.hour(done.act().at(), seen.deck().zone()));
    }

    /** What the lot or a trial would have tied on next. */
    private DeckView.@Nullable Offer offer(Seen seen, RodOut rod) {
        Drawing.Offer offer = seen.deck().live()
                ? drawing.of(seen.person().viewer(), seen.deck(), rod, seen.settings(), seen.stints())
                : null;
        if (offer == null) {
            return null;
        }
        String setUp = SetUpWords.of(offer.setUp(), seen.units());
        boolean lot = offer.drawn() != null;
        return new DeckView.Offer(
                (lot ? "Next by lot: " : "The trial's turn: ") + setUp + ", " + offer.minutes() + " minutes",
                Portrait.svg(offer.setUp(), setUp),
                lot);
    }

    private static String place(Seen seen, RodOut rod, @Nullable Spot spot) {
        String at = spot == null ? "no place yet" : PlaceWords.of(spot);
        return rod.depth() == null
                ? at
                : at + ", " + rod.depth().show(seen.units().depth());
    }

    private static DeckView.Counts counts(Seen seen, @Nullable Stint running) {
        if (running == null) {
            return new DeckView.Counts(0, 0, 0, 0);
        }
        return new DeckView.Counts(
                running.follows(),
                running.bites(),
                seen.losses().stream()
                        .filter(l -> l.stintId().equals(running.id()))
                        .mapToInt(Loss::count)
                        .sum(),
                seen.landed(List.of(running)));
    }

    private static List<Stint> theirs(Seen seen, RodOut rod) {
        return seen.stints().stream()
                .filter(s -> s.anglerId().equals(rod.anglerId()))
                .toList();
    }

    private static String day(Seen seen, RodOut rod) {
        List<Stint> theirs = theirs(seen, rod);
        return seen.landed(theirs) + " fish in " + Figures.fixed(seen.hours(theirs), 1) + " h today";
    }

    private static DeckView.@Nullable Forgotten forgotten(Seen seen, RodOut rod, @Nullable Stint running) {
        Duration quiet = Duration.between(rod.touchedAt(), seen.now());
        return running == null || quiet.compareTo(FORGOTTEN) < 0
                ? null
                : new DeckView.Forgotten(
                        quiet.toMinutes(),
                        TimeText.hour(rod.touchedAt(), seen.deck().zone()));
    }

    /** The rod's last fish of the running stint, so that what was left out can follow. */
    private DeckView.@Nullable Fish fish(Seen seen, RodOut rod, Just just) {
        Catch last = seen.lastFish(rod);
        return last == null ? null : sheet.of(seen, last, just, seen.setUps().get(rod.setUpId()));
    }

    private static List<String> cautions(Seen seen, RodOut rod, SetUp setUp) {
        Spot spot = seen.spot(rod);
        TackleChecks.Use use = new TackleChecks.Use(
                rod.rodId() == null ? null : seen.rods().get(rod.rodId()),
                null,
                spot == null ? null : spot.cover(),
                seen.leadForbidden(),
                seen.toothed());
        return TackleChecks.of(setUp, use, seen.units()).stream()
                .map(c -> c.reason() + " " + c.fix())
                .toList();
    }
}
