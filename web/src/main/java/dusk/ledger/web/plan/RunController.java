package dusk.ledger.web.plan;

import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Water;
import dusk.ledger.places.DayRun;
import dusk.ledger.places.GoBack;
import dusk.ledger.places.PlaceRates;
import dusk.ledger.places.RunAsk;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.form.TimeOfDay;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Reckoned;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.TimeText;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The run of a day: which places, in which order, for how long. */
@Controller
class RunController {
    private static final int USUAL_PLACES = 6;
    private static final int USUAL_MOVE = 10;
    private static final int LONGEST_MOVE = 240;
    private static final Duration USUAL_DAY = Duration.ofHours(5);

    private final PlannedWater planned;
    private final Board board;
    private final Places places;
    private final RecentTables tables;
    private final Reckoned reckoned;
    private final Clock clock;

    RunController(
            PlannedWater planned, Board board, Places places, RecentTables tables, Reckoned reckoned, Clock clock) {
        this.planned = planned;
        this.board = board;
        this.places = places;
        this.tables = tables;
        this.reckoned = reckoned;
        this.clock = clock;
    }

    /** A place that may be ticked. */
    record Tick(String id, String place, boolean ticked) {}

    /** What was asked. @param ask null where something is wrong with it, or there is no place to fish */
    private record Read(@Nullable RunAsk ask, List<String> order, Map<String, Spot> spots, Typed typed) {}

    @GetMapping("/plan/run")
    String run(
            Person person,
            @RequestParam(name = "water", defaultValue = "") String waterId,
            @RequestParam MultiValueMap<String, String> asked,
            Model model,
            HttpServletResponse response) {
        Water water = planned.of(person.viewer(), waterId, model);
        if (water == null) {
            return "plan/no-water";
        }
        Read read = read(person, water, asked);
        model.addAttribute("typed", read.typed().values());
        model.addAttribute("errors", read.typed().errors());
        RunAsk ask = read.ask();
        if (!read.typed().errors().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        if (ask != null) {
            DayRun run = reckon(person, water, ask, read.order());
            model.addAttribute("run", RunView.of(run, ask, read.spots(), water, read.order(), reckonedOrder(asked)));
        }
        List<String> ticked = asked.getOrDefault("spot", List.of());
        model.addAttribute(
                "ticks",
                read.spots().values().stream()
                        .sorted(Comparator.comparing(PlaceWords::of))
                        .map(spot -> new Tick(
                                spot.id(),
                                PlaceWords.of(spot),
                                ask == null
                                        ? ticked.contains(spot.id())
                                        : ask.spotIds().contains(spot.id())))
                        .toList());
        model.addAttribute("tidal", water.kind().equals("estuary"));
        return "plan/run";
    }

    /** The same run as a calendar, for whoever plans it: it names its places. */
    @GetMapping("/plan/run.ics")
    ResponseEntity<String> calendar(
            Person person,
            @RequestParam(name = "water", defaultValue = "") String waterId,
            @RequestParam MultiValueMap<String, String> asked,
            Model model) {
        Water water = planned.of(person.viewer(), waterId, model);
        Read read = water == null ? null : read(person, water, asked);
        if (water == null || read == null || read.ask() == null) {
            return ResponseEntity.unprocessableContent()
                    .contentType(MediaType.TEXT_PLAIN)
                    .body("There is no such run. Its page says what is wrong: leave out the .ics.");
        }
        RunAsk ask = read.ask();
        return ResponseEntity.ok()
                .header("Content-Disposition", "attachment; filename=\"run.ics\"")
                .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                .body(RunCalendar.of(
                        reckon(person, water, ask, read.order()), ask, read.spots(), water, clock.instant()));
    }

    private static boolean reckonedOrder(MultiValueMap<String, String> asked) {
        return asked.getOrDefault("order", List.of("")).get(0).isBlank();
    }

    /** @param order by hand; empty for the best */
    private DayRun reckon(Person person, Water water, RunAsk ask, List<String> order) {
        StintTable table = tables.of(person.viewer());
        PlaceRates rates = reckoned.of(table, PlaceRates.class, List.of("places", water.id()), t -> {
            int code = t.codes(Factor.WATER).codeOf(water.id());
            return PlaceRates.of(
                    t.where(row -> code > 0 && t.codes(Factor.WATER).at(row) == code));
        });
        DayRun.Day day = ask.day(rates);
        return order.isEmpty()
                ? DayRun.best(day)
                : DayRun.inOrder(day, order.stream().map(ask.spotIds()::indexOf).toList());
    }

    private Read read(Person person, Water water, MultiValueMap<String, String> asked) {
        Map<String, String> typed = new LinkedHashMap<>(asked.toSingleValueMap());
        Instant now = clock.instant();
        if (asked.containsKey("now")) {
            typed.put("from", TimeText.input(now, water.zone()));
        }
        typed.putIfAbsent("from", TimeText.input(now, water.zone()));
        typed.putIfAbsent("until", TimeText.hour(now.plus(USUAL_DAY), water.zone()));
        typed.putIfAbsent("move", String.valueOf(USUAL_MOVE));
        Typed fields = new Typed(typed, person.units());
        Instant from = fields.moment("from", water.zone());
        TimeOfDay until = fields.time("until");
        Integer move = fields.whole("move", 0, LONGEST_MOVE);
        String high = fields.text("high");
        TimeOfDay highAt = high.isEmpty() ? null : fields.time("high");
        Map<String, Spot> open = new LinkedHashMap<>();
        for (Spot spot : places.of(person.viewer(), water.id())) {
            if (spot.label() != null) {
                open.put(spot.id(), spot);
            }
        }
        List<String> chosen = asked.containsKey("spot")
                ? asked.get("spot").stream()
                        .filter(open::containsKey)
                        .distinct()
                        .toList()
                : asked.containsKey("from") ? List.of() : best(person, water, now);
        if (asked.containsKey("from") && chosen.isEmpty()) {
            fields.wrong("spot", "Tick at least one place.");
        } else if (chosen.size() > DayRun.MOST_PLACES) {
            fields.wrong("spot", "Tick " + DayRun.MOST_PLACES + " at the most: " + chosen.size() + " are ticked.");
        }
        if (!fields.errors().isEmpty() || from == null || until == null || move == null) {
            return new Read(null, List.of(), open, fields);
        }
        if (chosen.isEmpty()) {
            return new Read(null, List.of(), open, fields);
        }
        List<String> order = List.of(fields.text("order").split(",", -1)).stream()
                .filter(chosen::contains)
                .distinct()
                .toList();
        List<String> whole = new ArrayList<>(order);
        chosen.stream().filter(id -> !order.contains(id)).forEach(whole::add);
        return new Read(
                new RunAsk(
                        chosen,
                        from,
                        until.after(from, water.zone()),
                        water.sunAt(),
                        move,
                        highAt == null ? null : highAt.after(from, water.zone())),
                order.isEmpty() ? List.of() : whole,
                open,
                fields);
    }

    /** Those that one would go back to. */
    private List<String> best(Person person, Water water, Instant now) {
        return board.of(person.viewer(), water, now).board().places().stream()
                .limit(USUAL_PLACES)
                .map(GoBack.Place::spotId)
                .toList();
    }
}
