package dusk.ledger.web.deck;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.plan.StayOrGo;
import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.tackle.WeightLadder;
import dusk.ledger.units.Figures;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.water.Calibrations;
import dusk.ledger.web.club.WaterRules;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.security.Person;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.tackle.Drops;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.SetUpWords;
import dusk.ledger.web.words.TimeText;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Lays a deck out for whoever looks at it. */
@Component
class DeckPages {
    private static final Duration FORGOTTEN = Duration.ofMinutes(45);
    private static final int LIKELY_SPECIES = 4;
    private static final double SECONDS_PER_HOUR = 3600;

    /** Where nobody said when the day ends. */
    private static final Duration USUALLY_LEFT = Duration.ofHours(2);

    private final DeckRecords records;
    private final Acts acts;
    private final StayAdvice advice;
    private final FishFacts facts;
    private final FishSheet sheet;
    private final ConditionStrip strip;
    private final WaterRules rules;
    private final Drops drops;
    private final Conditions conditions;
    private final DeckFan fans;
    private final Clock clock;

    DeckPages(
            DeckRecords records,
            Acts acts,
            StayAdvice advice,
            FishFacts facts,
            FishSheet sheet,
            ConditionStrip strip,
            WaterRules rules,
            Drops drops,
            Conditions conditions,
            DeckFan fans,
            Clock clock) {
        this.records = records;
        this.acts = acts;
        this.advice = advice;
        this.facts = facts;
        this.sheet = sheet;
        this.strip = strip;
        this.rules = rules;
        this.drops = drops;
        this.conditions = conditions;
        this.fans = fans;
        this.clock = clock;
    }

    /**
     * What was just done, as far as the page shows it.
     *
     * @param at the rod or the column it was done to; empty for the deck as a whole
     * @param fault why it was not done; empty where it was
     * @param problems what is wrong with what was typed, each at its field
     * @param typed what was typed, kept where it is refused
     * @param landed the fish whose rest is asked for; empty for none
     */
    record Just(String at, String fault, List<Invalid.Problem> problems, Map<String, String> typed, String landed) {
        static final Just NOTHING = new Just("", "", List.of(), Map.of(), "");
    }

    DeckView view(Person person, Deck deck, Just just) {
        Viewer viewer = person.viewer();
        Seen seen = seen(person, deck);
        List<DeckView.Card> cards =
                deck.rods().stream().map(rod -> card(seen, rod, just)).toList();
        ConditionStrip.Strip conditions = strip.of(person, deck, clock.instant(), just);
        List<FormField.Option> places = seen.spots.values().stream()
                .map(s -> new FormField.Option(s.id(), PlaceWords.of(s)))
                .sorted(Comparator.comparing(FormField.Option::label))
                .toList();
        return new DeckView(
                deck.page(),
                deck.trip().id(),
                deck.water().name(),
                TimeText.hour(deck.trip().startedAt(), deck.zone()),
                deck.until() == null ? "" : TimeText.hour(deck.until(), deck.zone()),
                deck.live(),
                totals(seen),
                cards,
                conditions.chips(),
                conditions.ask(),
                Words.closed("kind", "signs").stream()
                        .filter(w -> !w.equals("none"))
                        .toList(),
                places,
                Words.of("structure"),
                conditions.dangers(),
                acts.latest(viewer, deck.trip().id()).stream()
                        .findFirst()
                        .map(d -> new DeckView.Undo(d.act().id(), d.act().what()))
                        .orElse(null),
                deck.rods().size() < RodOut.MOST,
                casts(viewer, deck),
                just.at().isEmpty() ? just.fault() : "");
    }

    /** One rod's card. */
    DeckView.Card card(Person person, Deck deck, String rodId, Just just) {
        RodOut rod = deck.rods().stream()
                .filter(r -> r.id().equals(rodId))
                .findFirst()
                .orElseThrow(NotYours::new);
        return card(seen(person, deck), rod, just);
    }

    /** What one page looks at, read once. */
    private record Seen(
            Person person,
            Deck deck,
            Instant now,
            Map<String, Angler> anglers,
            Map<String, Spot> spots,
            Map<String, SetUp> setUps,
            Map<String, Rod> rods,
            List<Stint> stints,
            List<Catch> catches,
            List<Loss> losses,
            List<Acts.Done> acts,
            boolean leadForbidden,
            Calibrations calibrations,
            @Nullable Reading last) {
        UnitSystem units() {
            return person.units();
        }

        /** Hours of a stint, the running ones until now. */
        double hours(Stint stint) {
            boolean running = deck.rods().stream().anyMatch(r -> stint.id().equals(r.stintId()));
            return running
                    ? Math.max(0, Duration.between(stint.startedAt(), now).toSeconds()) / SECONDS_PER_HOUR
                    : stint.rodHours();
        }
    }

    private Seen seen(Person person, Deck deck) {
        Viewer viewer = person.viewer();
        LedgerRows rows = records.rows();
        List<Stint> stints = rows.all(
                viewer,
                Tables.STINTS,
                LedgerRows.holds(Tables.STINTS, "trip_id", deck.trip().id()),
                List.of(DSL.field("started_at").asc(), DSL.field("stint_id").asc()));
        Condition ofTrip =
                DSL.field("stint_id").in(stints.stream().map(Stint::id).toList());
        Condition used = DSL.field("setup_id")
                .in(Stream.concat(
                                stints.stream().map(Stint::setUpId),
                                deck.rods().stream().map(RodOut::setUpId))
                        .distinct()
                        .toList());
        return new Seen(
                person,
                deck,
                clock.instant(),
                byId(rows.all(viewer, Tables.ANGLERS, DSL.noCondition(), List.of()), Angler::id),
                byId(
                        rows.all(
                                viewer,
                                Tables.SPOTS,
                                LedgerRows.holds(
                                        Tables.SPOTS, "water_id", deck.water().id()),
                                List.of()),
                        Spot::id),
                byId(rows.all(viewer, Tables.SETUPS, used, List.of()), SetUp::id),
                byId(rows.all(viewer, Tables.RODS, DSL.noCondition(), List.of()), Rod::id),
                stints,
                rows.all(
                        viewer,
                        Tables.CATCHES,
                        ofTrip,
                        List.of(DSL.field("at").asc(), DSL.field("catch_id").asc())),
                rows.all(viewer, Tables.LOSSES, ofTrip, List.of()),
                acts.latest(viewer, deck.trip().id()),
                rules.leadForbidden(viewer, deck.water().id()),
                drops.calibrations(viewer),
                conditions.last(viewer, deck.trip().id(), clock.instant()));
    }

    private DeckView.Casts casts(Viewer viewer, Deck deck) {
        DeckFan.Here here = fans.here(viewer, deck);
        if (here == null) {
            return new DeckView.Casts("Fan of casts", "");
        }
        Integer next = here.next();
        return new DeckView.Casts(
                "Fan: " + here.made().size() + " of " + here.fan().casts() + " casts, "
                        + Math.round(100 * here.fan().covered(here.made())) + " % covered",
                next == null ? "" : "Cast " + (next + 1) + " made");
    }

    private static <T> Map<String, T> byId(Collection<T> list, Function<T, String> id) {
        return list.stream().collect(Collectors.toMap(id, Function.identity()));
    }

    private static String totals(Seen seen) {
        double hours = seen.stints.stream().mapToDouble(seen::hours).sum();
        int fish = seen.catches.stream().mapToInt(Catch::count).sum();
        int bites = seen.stints.stream().mapToInt(Stint::bites).sum();
        return fish + " fish, " + bites + (bites == 1 ? " bite" : " bites") + " in " + Figures.fixed(hours, 1)
                + " rod-hours";
    }

    private DeckView.Card card(Seen seen, RodOut rod, Just just) {
        UnitSystem units = seen.units();
        Stint running = seen.stints.stream()
                .filter(s -> s.id().equals(rod.stintId()))
                .findFirst()
                .orElse(null);
        SetUp setUp = Objects.requireNonNull(seen.setUps.get(rod.setUpId()));
        String words = SetUpWords.of(setUp, units);
        SetUp from = seen.setUps.get(setUp.fromSetUpId() == null ? "" : setUp.fromSetUpId());
        boolean here = just.at().equals(rod.id());
        Spot spot = seen.spots.get(rod.spotId() == null ? "" : rod.spotId());
        return new DeckView.Card(
                rod.id(),
                rod.number(),
                name(seen, rod.anglerId()),
                place(seen, spot, rod),
                words,
                from == null ? "" : SetUpWords.changed(from, setUp, units),
                Portrait.svg(setUp, words),
                rod.presentation() == null ? "" : rod.presentation(),
                RodFall.of(seen.deck, rod, setUp, seen.calibrations, seen.last, units),
                rod.depth() == null ? "" : rod.depth().show(units.depth()),
                running != null,
                running == null ? "" : running.startedAt().toString(),
                running == null
                        ? 0
                        : Duration.between(running.startedAt(), seen.now).toMinutes(),
                counts(seen, running),
                day(seen, rod),
                running == null ? null : stay(seen, rod, spot),
                forgotten(seen, rod, running),
                fish(seen, rod, just),
                undo(seen, rod),
                choices(seen, rod, setUp, here ? just.typed() : Map.of()),
                cautions(seen, rod, setUp, spot),
                here ? just.fault() : "");
    }

    private static String name(Seen seen, String anglerId) {
        Angler angler = seen.anglers.get(anglerId);
        return angler == null ? anglerId : angler.called();
    }

    private static String place(Seen seen, @Nullable Spot spot, RodOut rod) {
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
                seen.losses.stream()
                        .filter(l -> l.stintId().equals(running.id()))
                        .mapToInt(Loss::count)
                        .sum(),
                seen.catches.stream()
                        .filter(c -> c.stintId().equals(running.id()))
                        .mapToInt(Catch::count)
                        .sum());
    }

    private static String day(Seen seen, RodOut rod) {
        List<Stint> theirs = seen.stints.stream()
                .filter(s -> s.anglerId().equals(rod.anglerId()))
                .toList();
        List<String> ids = theirs.stream().map(Stint::id).toList();
        int fish = seen.catches.stream()
                .filter(c -> ids.contains(c.stintId()))
                .mapToInt(Catch::count)
                .sum();
        return fish + " fish in "
                + Figures.fixed(theirs.stream().mapToDouble(seen::hours).sum(), 1) + " h today";
    }

    private DeckView.@Nullable Stay stay(Seen seen, RodOut rod, @Nullable Spot spot) {
        Deck deck = seen.deck;
        Instant end =
                deck.until() == null || deck.until().isBefore(seen.now) ? seen.now.plus(USUALLY_LEFT) : deck.until();
        double left = Duration.between(seen.now, end).toSeconds() / SECONDS_PER_HOUR;
        List<Stint> here = seen.stints.stream()
                .filter(s -> s.setUpId().equals(rod.setUpId()) && Objects.equals(s.spotId(), rod.spotId()))
                .toList();
        int bites = here.stream().mapToInt(Stint::bites).sum();
        double hours = here.stream().mapToDouble(seen::hours).sum();
        StayAdvice.Learnt learnt = advice.learnt(
                seen.person.viewer(), deck.water().kind(), spot == null ? null : spot.structure(), seen.now);
        StayOrGo weighed = advice.of(learnt, bites, hours, left);
        if (weighed == null) {
            return null;
        }
        String until = deck.until() == null
                ? "two hours taken to be left, since nobody said when the day ends"
                : Figures.fixed(left, 1) + " h left";
        return new DeckView.Stay(
                "Fish here: " + Math.round(100 * weighed.chanceOfFish()) + " %. Expect "
                        + Figures.fixed(weighed.expectedRate(), 1) + " bites an hour; the going rate is "
                        + Figures.fixed(learnt.goingRate(), 1) + ".",
                move(weighed, seen),
                weighed.go(),
                List.of(
                        (bites == 0 ? "No bite" : bites == 1 ? "1 bite" : bites + " bites") + " in "
                                + Figures.fixed(hours, 2) + " rod-hours on this set-up here; " + until + ".",
                        learntFrom(learnt),
                        "Going rate: all bites over " + Math.round(learnt.goingHours()) + " rod-hours on a "
                                + deck.water().kind() + " in two years. A move is counted as 9 minutes.",
                        "Advice from averages: what you see on the water outweighs it."));
    }

    private static String move(StayOrGo weighed, Seen seen) {
        Double after = weighed.goAfterHours();
        if (after == null) {
            return "Worth staying, bite or not.";
        }
        if (weighed.go()) {
            return "Elsewhere promises more by now.";
        }
        Instant at = seen.now.plusSeconds(Math.round(after * SECONDS_PER_HOUR));
        return "Without a bite, move at " + TimeText.hour(at, seen.deck.zone()) + ".";
    }

    private static String learntFrom(StayAdvice.Learnt learnt) {
        int stints = learnt.holding().stints();
        if (stints == 0) {
            return "Too few first stints to learn from: half the places are taken to hold fish.";
        }
        return "Learnt from " + stints + " first stints "
                + (learnt.structure() == null
                        ? "at places of every kind"
                        : "at places of the kind " + learnt.structure())
                + ": " + Math.round(100 * learnt.holding().chance()) + " % held biting fish.";
    }

    private static DeckView.@Nullable Forgotten forgotten(Seen seen, RodOut rod, @Nullable Stint running) {
        Duration quiet = Duration.between(rod.touchedAt(), seen.now);
        return running == null || quiet.compareTo(FORGOTTEN) < 0
                ? null
                : new DeckView.Forgotten(quiet.toMinutes(), TimeText.hour(rod.touchedAt(), seen.deck.zone()));
    }

    /** The rod's last fish of the running stint, so that what was left out can follow. */
    private DeckView.@Nullable Fish fish(Seen seen, RodOut rod, Just just) {
        Catch last = null;
        for (Catch one : seen.catches) {
            if (one.stintId().equals(rod.stintId())) {
                last = one;
            }
        }
        return last == null
                ? null
                : sheet.of(
                        seen.person,
                        seen.deck,
                        last,
                        seen.catches,
                        just,
                        just.landed().equals(last.id()));
    }

    private static DeckView.@Nullable Undo undo(Seen seen, RodOut rod) {
        return seen.acts.stream()
                .filter(done -> done.rows().contains(rod.id()))
                .findFirst()
                .map(done ->
                        new DeckView.Undo(done.act().id(), done.act().what().replaceFirst("^rod \\d: ", "")))
                .orElse(null);
    }

    private DeckView.Choices choices(Seen seen, RodOut rod, SetUp setUp, Map<String, String> typed) {
        UnitSystem units = seen.units();
        Viewer viewer = seen.person.viewer();
        List<String> likely = facts.likely(viewer, seen.deck.water().id());
        WeightLadder ladder = WeightLadder.of(units.headMass());
        var head = setUp.headMass();
        String again = seen.catches.stream()
                .filter(c -> c.stintId().equals(rod.stintId()))
                .reduce((a, b) -> b)
                .map(Catch::species)
                .orElse("");
        return new DeckView.Choices(
                likely.stream().limit(LIKELY_SPECIES).toList(),
                likely.stream().skip(LIKELY_SPECIES).toList(),
                again,
                Words.of("cause"),
                head == null
                        ? ""
                        : ladder.down(head).map(m -> m.show(units.headMass())).orElse(""),
                head == null
                        ? ""
                        : ladder.up(head).map(m -> m.show(units.headMass())).orElse(""),
                Words.of("colour").stream()
                        .filter(c -> !c.equals(setUp.colour()))
                        .map(c -> new DeckView.Swatch(c, Portrait.swatch(c)))
                        .toList(),
                Words.of("presentation").stream()
                        .filter(p -> !p.equals(rod.presentation()))
                        .toList(),
                Words.of("plastic"),
                typed.getOrDefault("plastic", setUp.plastic() == null ? "" : setUp.plastic()),
                typed.getOrDefault(
                        "plastic_length_mm",
                        setUp.plasticLength() == null
                                ? ""
                                : setUp.plasticLength().show(units.lure())),
                seen.anglers.values().stream()
                        .filter(a -> !a.id().equals(rod.anglerId()))
                        .map(a -> new FormField.Option(a.id(), name(seen, a.id())))
                        .sorted(Comparator.comparing(FormField.Option::label))
                        .toList());
    }

    private static List<String> cautions(Seen seen, RodOut rod, SetUp setUp, @Nullable Spot spot) {
        List<String> said = new ArrayList<>();
        TackleChecks.Use use = new TackleChecks.Use(
                seen.rods.get(rod.rodId() == null ? "" : rod.rodId()),
                null,
                spot == null ? null : spot.cover(),
                seen.leadForbidden);
        TackleChecks.of(setUp, use, seen.units()).forEach(c -> said.add(c.reason() + " " + c.fix()));
        return said;
    }
}
