package dusk.ledger.web.trips;

import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Figures;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.FormPage;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.TimeText;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
    private final Trips trips;
    private final Waters waters;
    private final TripPages pages;
    private final Deletions deletions;
    private final NewId newId;
    private final Clock clock;

    TripsController(Trips trips, Waters waters, TripPages pages, Deletions deletions, NewId newId, Clock clock) {
        this.trips = trips;
        this.waters = waters;
        this.pages = pages;
        this.deletions = deletions;
        this.newId = newId;
        this.clock = clock;
    }

    /** A line of the list in words. */
    record Line(
            String id, String date, String water, String who, String rodHours, long stints, long fish, String note) {}

    @GetMapping("/trips")
    String list(
            Person person,
            @RequestParam(defaultValue = "") String water,
            @RequestParam(defaultValue = "0") int page,
            Model model) {
        Viewer viewer = person.viewer();
        List<Water> all = waters.all(viewer);
        int from = Math.max(0, page);
        List<Trips.Line> lines = trips.lines(viewer, Optional.of(water).filter(w -> !w.isEmpty()), from);
        model.addAttribute(
                "lines", lines.stream().limit(Trips.PAGE).map(l -> line(l, all)).toList());
        model.addAttribute("waters", all);
        model.addAttribute("water", water);
        model.addAttribute("page", from);
        model.addAttribute("more", lines.size() > Trips.PAGE);
        model.addAttribute("deletions", deletions.recent(viewer));
        return "trips/list";
    }

    private static Line line(Trips.Line line, List<Water> waters) {
        Water water = waters.stream()
                .filter(w -> w.id().equals(line.trip().waterId()))
                .findFirst()
                .orElseThrow();
        return new Line(
                line.trip().id(),
                TimeText.date(line.trip().startedAt(), water.zone()),
                water.name(),
                String.join(", ", line.anglers()),
                Figures.fixed(line.rodHours(), 1),
                line.stints(),
                line.fish(),
                line.trip().note() == null ? "" : line.trip().note());
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
        Trip trip = trips.changeable(person.viewer(), tripId);
        TripForm form = new TripForm(person, waters.all(person.viewer()));
        RecordForm<Trip> record = form.record(Map.of("water_id", trip.waterId()));
        return FormPage.show(model, record.form(TripForm.head(tripId), record.typed(trip), List.of()));
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
        return save(person, trips.changeable(person.viewer(), tripId), typed, model, htmx, response);
    }

    private Object save(
            Person person,
            @Nullable Trip before,
            Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        Viewer viewer = person.viewer();
        TripForm form = new TripForm(person, waters.all(viewer));
        String id = before == null ? newId.next() : before.id();
        Trip trip;
        try {
            trip = form.record(typed).read(typed, Map.of("trip_id", id), before);
            String chosen = trip.waterId();
            if (form.waters().stream().noneMatch(w -> w.id().equals(chosen))) {
                throw new Invalid(List.of(new Invalid.Problem("water_id", "Choose a water of the list.")));
            }
        } catch (Invalid e) {
            Form head = TripForm.head(before == null ? null : id);
            return FormPage.refuse(model, response, form.record(typed), head, typed, e.problems());
        }
        if (before == null) {
            trips.add(viewer, trip);
        } else {
            trips.change(viewer, trip);
        }
        return FormPage.saved("/trips/" + id, htmx);
    }

    @PostMapping("/trips/{tripId}/delete")
    String delete(Person person, @PathVariable String tripId, RedirectAttributes flash) {
        Trip trip = trips.changeable(person.viewer(), tripId);
        Water water = waters.one(person.viewer(), trip.waterId());
        String what = "the trip to " + water.name() + " on " + TimeText.date(trip.startedAt(), water.zone());
        flash.addFlashAttribute("deleted", deletions.trip(person.viewer(), tripId, what));
        return "redirect:/trips";
    }

    @PostMapping("/deletions/{deletionId}/undo")
    String undo(
            Person person,
            @PathVariable String deletionId,
            @RequestParam(defaultValue = "") String back,
            RedirectAttributes flash) {
        flash.addFlashAttribute(
                "said",
                deletions.undo(person.viewer(), deletionId)
                        ? "It is back."
                        : "That deletion is not there any more: it was undone already.");
        boolean trip = !back.isEmpty() && trips.there(person.viewer(), back);
        return trip ? "redirect:/trips/" + back : "redirect:/trips";
    }
}
