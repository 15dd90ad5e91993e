package dusk.ledger.web.today;

import dusk.ledger.journal.Water;
import dusk.ledger.light.Sun;
import dusk.ledger.places.GoBack;
import dusk.ledger.plan.Advice;
import dusk.ledger.plan.PlanCautions;
import dusk.ledger.teach.Question;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.afloat.LotQuestions;
import dusk.ledger.web.findings.News;
import dusk.ledger.web.plan.Advising;
import dusk.ledger.web.plan.Board;
import dusk.ledger.web.plan.WaterNow;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.ReadingWords;
import dusk.ledger.web.words.SetUpWords;
import dusk.ledger.web.words.TimeText;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The first page. */
@Controller
class TodayController {
    private static final int PLACES = 3;
    private static final int RODS = 3;

    /** Before the sun goes down one is at the water for the dusk. */
    private static final Duration BEFORE_DARK = Duration.ofMinutes(30);

    private final Decks decks;
    private final Waters waters;
    private final Advising advising;
    private final People people;
    private final WaterNow now;
    private final Board board;
    private final News news;
    private final LotQuestions questions;
    private final Clock clock;

    TodayController(
            Decks decks,
            Waters waters,
            Advising advising,
            People people,
            WaterNow now,
            Board board,
            News news,
            LotQuestions questions,
            Clock clock) {
        this.decks = decks;
        this.waters = waters;
        this.advising = advising;
        this.people = people;
        this.now = now;
        this.board = board;
        this.news = news;
        this.questions = questions;
        this.clock = clock;
    }

    /** A trip being fished. */
    record Live(String page, String words) {}

    /** A rod of the next call. */
    record Rod(String role, String portrait, String words) {}

    /** A place to go back to. */
    record Back(String place, String words) {}

    @GetMapping("/today")
    String today(Person person, Model model) {
        Viewer viewer = person.viewer();
        Water water = waters.home(viewer).orElse(null);
        model.addAttribute("live", live(viewer));
        if (water == null) {
            return "today/begin";
        }
        Instant at = clock.instant();
        WaterNow.Held held = now.at(viewer, water, at);
        model.addAttribute("water", water);
        model.addAttribute("now", water(person, water, held));
        model.addAttribute("cautions", PlanCautions.of(held.conditions(), person.units()));
        Instant next = next(water, at);
        model.addAttribute("when", TimeText.moment(next, water.zone()));
        model.addAttribute("at", TimeText.input(next, water.zone()));
        call(person, water, next, model);
        Board.Laid laid = board.of(viewer, water, at);
        model.addAttribute(
                "back",
                laid.board().places().stream()
                        .filter(place -> place.rate() >= laid.board().usual())
                        .limit(PLACES)
                        .map(place -> back(laid, place))
                        .toList());
        model.addAttribute("news", news.of(person));
        model.addAttribute(
                "question",
                questions.of(viewer).stream().findFirst().map(Question::text).orElse(""));
        return "today/today";
    }

    private List<Live> live(Viewer viewer) {
        return decks.live(viewer).stream()
                .map(trip -> decks.deck(viewer, trip))
                .map(deck -> new Live(
                        deck.page(),
                        deck.water().name() + ", since "
                                + TimeText.hour(deck.trip().startedAt(), deck.zone()) + ", "
                                + deck.rods().size() + (deck.rods().size() == 1 ? " rod" : " rods")))
                .toList();
    }

    private static String water(Person person, Water water, WaterNow.Held held) {
        List<String> words = new ArrayList<>();
        String season = held.conditions().known().get(Factor.SEASON);
        if (held.light() != null) {
            words.add(held.light());
        }
        if (season != null) {
            words.add(season);
        }
        if (held.read() != null) {
            words.add("read " + TimeText.moment(held.read(), water.zone()) + ": "
                    + String.join(", ", ReadingWords.of(held.conditions().reading(), person.units())));
        } else {
            words.add("never read yet");
        }
        return water.name() + ": " + String.join("; ", words) + ".";
    }

    /** The next dusk, or dawn where that comes first. */
    private static Instant next(Water water, Instant at) {
        LocalDate day = LocalDate.ofInstant(at, water.zone());
        for (LocalDate date : List.of(day, day.plusDays(1))) {
            Sun.Day sun = Sun.day(date, water.zone(), water.sunAt());
            if (sun.rise() != null && sun.rise().isAfter(at)) {
                return sun.rise();
            }
            if (sun.set() != null && sun.set().minus(BEFORE_DARK).isAfter(at)) {
                return sun.set().minus(BEFORE_DARK);
            }
        }
        return at;
    }

    private void call(Person person, Water water, Instant next, Model model) {
        Viewer viewer = person.viewer();
        WaterNow.Held then = now.at(viewer, water, next);
        Advice advice = advising.of(person, water.id(), then.conditions(), RODS, people.schools(person.id()));
        model.addAttribute(
                "rods",
                advice.spread().stream()
                        .map(rod -> {
                            String words = SetUpWords.of(rod.call().setUp(), person.units());
                            String how = Objects.requireNonNullElse(rod.call().presentation(), "");
                            return new Rod(
                                    rod.role(),
                                    Portrait.svg(rod.call().setUp(), words),
                                    words + (how.isEmpty() ? "" : ", " + how));
                        })
                        .toList());
    }

    private static Back back(Board.Laid laid, GoBack.Place place) {
        return new Back(
                PlaceWords.of(laid.spot(place)),
                Figures.fixed(place.rate(), 2) + " fish a rod-hour to expect"
                        + (place.changes().isEmpty()
                                ? ""
                                : "; changed since: "
                                        + String.join(
                                                ", ",
                                                place.changes().stream()
                                                        .sorted()
                                                        .map(change -> change.words())
                                                        .toList())));
    }
}
