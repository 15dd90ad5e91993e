package dusk.ledger.web.trips;

import static dusk.ledger.web.schema.Tables.TRIPS;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Water;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.frame.Horizon;
import dusk.ledger.web.security.Person;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.SetUpWords;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
    private static final int MOST_ROWS = 24;

    private final TripRecords records;
    private final Store store;
    private final NewId newId;
    private final Clock clock;

    PastTripController(TripRecords records, Store store, NewId newId, Clock clock) {
        this.records = records;
        this.store = store;
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
        List<Water> waters = records.waters(viewer);
        Water at = waters.stream()
                .filter(w -> w.id().equals(
                                water.isEmpty() ? records.lastWater(viewer).orElse("") : water))
                .findFirst()
                .orElse(waters.isEmpty() ? null : waters.get(0));
        Map<String, String> typed = new HashMap<>();
        if (at != null) {
            typed.put("water_id", at.id());
            typed.put(
                    "date",
                    LocalDate.ofInstant(clock.instant(), Horizon.zone(at)).toString());
        }
        return show(person, waters, Math.max(1, Math.min(MOST_ROWS, rows)), typed, Map.of(), model);
    }

    private String show(
            Person person,
            List<Water> waters,
            int rows,
            Map<String, String> typed,
            Map<String, String> errors,
            Model model) {
        String water = typed.getOrDefault("water_id", "");
        PastTrip.Choices choices = choices(person, water);
        model.addAttribute("waters", waters);
        model.addAttribute("water", water);
        model.addAttribute("rows", rows);
        model.addAttribute("most", MOST_ROWS);
        model.addAttribute("typed", typed);
        model.addAttribute("errors", errors);
        model.addAttribute(
                "species", String.join(", ", choices.species().stream().limit(6).toList()));
        model.addAttribute(
                "setUps",
                choices.setUps().stream()
                        .map(s -> new FormField.Option(s.id(), SetUpWords.of(s, person.units())))
                        .toList());
        model.addAttribute(
                "spots",
                choices.spots().stream()
                        .map(s -> new FormField.Option(s.id(), PlaceWords.of(s)))
                        .sorted(Comparator.comparing(FormField.Option::label))
                        .toList());
        model.addAttribute(
                "anglers",
                choices.anglers().stream()
                        .map(a -> new FormField.Option(a.id(), a.called()))
                        .toList());
        return "trips/past";
    }

    private PastTrip.Choices choices(Person person, String water) {
        Viewer viewer = person.viewer();
        return new PastTrip.Choices(
                records.anglers(viewer),
                records.setUps(viewer),
                records.spots(viewer, water),
                PastTrip.species(records.speciesOf(viewer, water)));
    }

    @PostMapping("/trips/past")
    String add(
            Person person,
            @RequestParam int rows,
            @RequestParam Map<String, String> typed,
            Model model,
            HttpServletResponse response) {
        Viewer viewer = person.viewer();
        List<Water> waters = records.waters(viewer);
        Water water = waters.stream()
                .filter(w -> w.id().equals(typed.getOrDefault("water_id", "")))
                .findFirst()
                .orElseThrow(NotYours::new);
        int count = Math.max(1, Math.min(MOST_ROWS, rows));
        PastTrip past = new PastTrip(person, water, newId, typed);
        past.read(count, choices(person, water.id()));
        if (!past.errors().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(person, waters, count, typed, past.errors(), model);
        }
        String club = viewer.clubId();
        LedgerRows into = records.rows();
        store.write(club, tx -> {
            into.insert(tx, club, Tables.TRIPS, past.trip());
            tx.update(TRIPS)
                    .set(TRIPS.LOGGED_BY, person.id())
                    .where(TRIPS.CLUB_ID.eq(club))
                    .and(TRIPS.TRIP_ID.eq(past.trip().id()))
                    .execute();
            Reading reading = past.reading();
            if (reading != null) {
                into.insert(tx, club, Tables.READINGS, reading);
            }
            past.stints().forEach(s -> into.insert(tx, club, Tables.STINTS, s));
            past.catches().forEach(c -> into.insert(tx, club, Tables.CATCHES, c));
            past.losses().forEach(l -> into.insert(tx, club, Tables.LOSSES, l));
            return past;
        });
        return "redirect:/trips/" + past.trip().id();
    }
}
