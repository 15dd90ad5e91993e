package dusk.ledger.web.trips;

import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.form.FormPage;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.frame.Horizon;
import dusk.ledger.web.records.Alone;
import dusk.ledger.web.records.ClubNames;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.TimeText;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The ledger of trips. */
@Controller
class TripsController {
    private static final int LATELY = 10;

    private final Horizon horizon;
    private final RecentTables tables;
    private final ClubNames names;
    private final Alone alone;
    private final Trips trips;
    private final TripRows rows;
    private final Waters waters;
    private final TripPages pages;
    private final Deletions deletions;
    private final NewId newId;
    private final Clock clock;

    TripsController(
            Alone alone,
            Trips trips,
            TripRows rows,
            Waters waters,
            TripPages pages,
            Deletions deletions,
            NewId newId,
            Horizon horizon,
            RecentTables tables,
            ClubNames names,
            Clock clock) {
        this.horizon = horizon;
        this.tables = tables;
        this.names = names;
        this.alone = alone;
        this.trips = trips;
        this.rows = rows;
        this.waters = waters;
        this.pages = pages;
        this.deletions = deletions;
        this.newId = newId;
        this.clock = clock;
    }

    /** A line of the list in words. @param strip its day's light with what was fished and landed in it */
    record Line(
            String id,
            String date,
            String water,
            String who,
            String rodHours,
            long stints,
            long fish,
            String note,
            String strip) {}

    @GetMapping("/trips")
    String list(
            Person person,
            @RequestParam(defaultValue = "") String water,
            @RequestParam(defaultValue = "") String who,
            @RequestParam(defaultValue = "") String season,
            @RequestParam(defaultValue = "") String species,
            @RequestParam(defaultValue = "0") int page,
            Model model) {
        Viewer viewer = person.viewer();
        List<Water> all = waters.all(viewer);
        int from = Math.max(0, page);
        Trips.Asked asked = new Trips.Asked(water, who, species, season);
        List<Trips.Line> lines = trips.lines(viewer, asked, from);
        List<Trips.Line> shown = lines.stream().limit(Trips.PAGE).toList();
        StintTable club = tables.whole(viewer);
        model.addAttribute("lines", shown.stream().map(l -> line(l, all)).toList());
        model.addAttribute("waters", all);
        model.addAttribute("asked", asked);
        model.addAttribute("year", YearGlance.of(asked.of(club), species));
        model.addAttribute("anglers", names.anglers(viewer));
        model.addAttribute(
                "seasons", club.codes(Factor.SEASON).levels().stream().skip(1).toList());
        model.addAttribute("seasonSaid", (Function<String, String>) Factor.SEASON::where);
        model.addAttribute("species", club.species());
        model.addAttribute("page", from);
        model.addAttribute("more", lines.size() > Trips.PAGE);
        model.addAttribute("deletions", deletions.recent(viewer, LATELY));
        return "trips/list";
    }

    private Line line(Trips.Line line, List<Water> waters) {
        Trip trip = line.trip();
        Water water = waters.stream()
                .filter(w -> w.id().equals(trip.waterId()))
                .findFirst()
                .orElseThrow();
        return new Line(
                trip.id(),
                TimeText.date(trip.startedAt(), water.zone()),
                water.name(),
                String.join(", ", line.anglers()),
                Figures.fixed(line.rodHours(), 1),
                line.stints().size(),
                line.fish(),
                trip.note() == null ? "" : trip.note(),
                horizon.small(
                        water,
                        LocalDate.ofInstant(trip.startedAt(), water.zone()),
                        TripPages.marks(line.stints(), line.catches())));
    }

    @GetMapping("/trips/{tripId}")
    String trip(Person person, @PathVariable String tripId, Model model) {
        Trip trip = trips.one(person.viewer(), tripId);
        TripPage page = pages.page(person, trip);
        model.addAttribute("trip", page);
        model.addAttribute("strip", page.strip());
        return "trips/trip";
    }

    @GetMapping("/trips/new")
    String fresh(Person person, Model model) {
        TripForm form = new TripForm(person, waters.all(person.viewer()));
        Map<String, String> typed = new HashMap<>();
        form.waters().stream().findFirst().ifPresent(w -> {
            typed.put("water_id", w.id());
            typed.put("started_at", TimeText.input(clock.instant(), w.zone()));
        });
        model.addAttribute("noWater", form.waters().isEmpty());
        return FormPage.show(model, form.record(typed).form(TripForm.head(null), typed, List.of()));
    }

    @GetMapping("/trips/{tripId}/edit")
    String edit(Person person, @PathVariable String tripId, Model model) {
        Trip trip = trips.one(person.viewer(), tripId, Trips.Doing.CHANGE);
        TripForm form = new TripForm(person, waters.all(person.viewer()));
        RecordForm<Trip> record = form.record(Map.of("water_id", trip.waterId()));
        return FormPage.show(model, record.form(TripForm.head(tripId), record.typed(trip), List.of(), trip));
    }

    @PostMapping("/trips")
    Object add(
            Person person,
            @RequestParam Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        return save(person, null, typed, model, htmx, response);
    }

    @PostMapping("/trips/{tripId}")
    Object change(
            Person person,
            @PathVariable String tripId,
            @RequestParam Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        return save(person, tripId, typed, model, htmx, response);
    }

    private Object save(
            Person person,
            @Nullable String tripId,
            Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        Viewer viewer = person.viewer();
        TripForm form = new TripForm(person, waters.all(viewer));
        RecordForm<Trip> record = form.record(typed);
        try {
            Trip saved = alone.in(viewer, () -> {
                Trip before = tripId == null ? null : trips.one(viewer, tripId, Trips.Doing.CHANGE);
                String id = before == null ? newId.next() : before.id();
                Trip trip = record.read(typed, Map.of("trip_id", id), before);
                form.problem(trip, clock.instant(), rows.stints(viewer, id)).ifPresent(problem -> {
                    throw new Invalid(List.of(problem));
                });
                if (before == null) {
                    trips.add(viewer, trip);
                } else {
                    trips.change(viewer, trip);
                }
                return trip;
            });
            return FormPage.saved("/trips/" + saved.id(), htmx);
        } catch (Invalid e) {
            Trip now = tripId == null ? null : trips.one(viewer, tripId, Trips.Doing.CHANGE);
            return FormPage.refuse(model, response, record, TripForm.head(tripId), typed, e.problems(), now);
        }
    }

    @PostMapping("/trips/{tripId}/delete")
    String delete(Person person, @PathVariable String tripId, RedirectAttributes flash) {
        Trip trip = trips.one(person.viewer(), tripId, Trips.Doing.DELETE);
        Water water = waters.one(person.viewer(), trip.waterId());
        String what = "the trip to " + water.name() + " on " + TimeText.date(trip.startedAt(), water.zone());
        flash.addFlashAttribute("deleted", deletions.trip(person.viewer(), tripId, what));
        return "redirect:/trips";
    }
}
