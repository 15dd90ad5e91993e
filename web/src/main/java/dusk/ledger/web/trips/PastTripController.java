package dusk.ledger.web.trips;

import dusk.ledger.journal.Water;
import dusk.ledger.web.choose.Choices;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.records.Anglers;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.SetUpWords;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A whole past trip on one page, by keyboard alone. */
@Controller
class PastTripController {
    private static final int USUAL_ROWS = 4;
    private static final Duration HALF_A_DAY = Duration.ofHours(12);
    private static final int MOST_ROWS = 24;

    private final Choices finding;
    private final Trips trips;
    private final Waters waters;
    private final Anglers anglers;
    private final SetUps setUps;
    private final Places places;
    private final NewId newId;
    private final Clock clock;

    PastTripController(
            Choices finding,
            Trips trips,
            Waters waters,
            Anglers anglers,
            SetUps setUps,
            Places places,
            NewId newId,
            Clock clock) {
        this.finding = finding;
        this.trips = trips;
        this.waters = waters;
        this.anglers = anglers;
        this.setUps = setUps;
        this.places = places;
        this.newId = newId;
        this.clock = clock;
    }

    @GetMapping("/trips/past")
    String fresh(
            Person person,
            @RequestParam(defaultValue = "" + USUAL_ROWS) int rows,
            @RequestParam(defaultValue = "") String water,
            Model model) {
        Viewer viewer = person.viewer();
        List<Water> all = waters.all(viewer);
        Water at = all.stream()
                .filter(w -> w.id().equals(water))
                .findFirst()
                .or(() -> waters.home(viewer))
                .orElse(null);
        Map<String, String> typed = new HashMap<>();
        if (at != null) {
            typed.put("water_id", at.id());
            // in the morning it is last evening that is written down
            typed.put(
                    "date",
                    LocalDate.ofInstant(clock.instant().minus(HALF_A_DAY), at.zone())
                            .toString());
        }
        return show(person, all, Math.max(1, Math.min(MOST_ROWS, rows)), typed, Map.of(), model);
    }

    private String show(
            Person person,
            List<Water> all,
            int rows,
            Map<String, String> typed,
            Map<String, String> errors,
            Model model) {
        String water = typed.getOrDefault("water_id", "");
        PastTrip.Choices choices = choices(person, water);
        model.addAttribute("waters", all);
        model.addAttribute("water", water);
        model.addAttribute("rows", rows);
        model.addAttribute("most", MOST_ROWS);
        model.addAttribute("typed", typed);
        model.addAttribute("errors", errors);
        model.addAttribute(
                "species", String.join(", ", choices.species().stream().limit(6).toList()));
        Choices.Offers offers = finding.offers(person);
        Map<Integer, List<FormField.Option>> setUpsOf = new HashMap<>();
        Map<Integer, List<FormField.Option>> anglersOf = new HashMap<>();
        for (int row = 1; row <= rows; row++) {
            setUpsOf.put(
                    row,
                    offers.setUps("setup_" + row, typed, Set.of()).stream()
                            .map(s -> new FormField.Option(s.id(), SetUpWords.of(s, person.units())))
                            .toList());
            anglersOf.put(
                    row,
                    offers.anglers("angler_" + row, typed).stream()
                            .map(a -> new FormField.Option(a.id(), a.called()))
                            .toList());
        }
        model.addAttribute("setUps", setUpsOf);
        model.addAttribute("anglers", anglersOf);
        model.addAttribute("findSetUps", offers.manySetUps());
        model.addAttribute("findAnglers", offers.manyAnglers());
        model.addAttribute(
                "spots",
                choices.spots().stream()
                        .map(s -> new FormField.Option(s.id(), PlaceWords.of(s)))
                        .sorted(Comparator.comparing(FormField.Option::label))
                        .toList());
        return "trips/past";
    }

    private PastTrip.Choices choices(Person person, String water) {
        Viewer viewer = person.viewer();
        return new PastTrip.Choices(
                anglers.all(viewer),
                setUps.all(viewer),
                places.of(viewer, water),
                PastTrip.species(trips.speciesOf(viewer, water)));
    }

    @PostMapping("/trips/past")
    String add(
            Person person,
            @RequestParam int rows,
            @RequestParam Map<String, String> asked,
            Model model,
            HttpServletResponse response) {
        Viewer viewer = person.viewer();
        List<Water> all = waters.all(viewer);
        Choices.Found found = finding.found(person, asked);
        Map<String, String> typed = found.typed();
        Water water = all.stream()
                .filter(w -> w.id().equals(typed.getOrDefault("water_id", "")))
                .findFirst()
                .orElseThrow(NotYours::new);
        int count = Math.max(1, Math.min(MOST_ROWS, rows));
        PastTrip past = new PastTrip(person, water, newId, clock.instant(), typed);
        found.errors().forEach(past::wrong);
        past.read(count, choices(person, water.id()));
        if (!past.errors().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(person, all, count, typed, past.errors(), model);
        }
        trips.add(viewer, past.whole());
        return "redirect:/trips/" + past.whole().trip().id();
    }
}
