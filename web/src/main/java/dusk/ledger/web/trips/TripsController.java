package dusk.ledger.web.trips;

import static dusk.ledger.web.schema.Tables.TRIPS;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Figures;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.FormPage;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.frame.Horizon;
import dusk.ledger.web.security.Person;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Store;
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
    private final TripRecords records;
    private final TripPages pages;
    private final Deletions deletions;
    private final Store store;
    private final NewId newId;
    private final Clock clock;

    TripsController(TripRecords records, TripPages pages, Deletions deletions, Store store, NewId newId, Clock clock) {
        this.records = records;
        this.pages = pages;
        this.deletions = deletions;
        this.store = store;
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
        List<Water> waters = records.waters(viewer);
        int from = Math.max(0, page);
        List<TripRecords.Line> lines = records.lines(viewer, Optional.of(water).filter(w -> !w.isEmpty()), from);
        model.addAttribute(
                "lines",
                lines.stream().limit(TripRecords.PAGE).map(l -> line(l, waters)).toList());
        model.addAttribute("waters", waters);
        model.addAttribute("water", water);
        model.addAttribute("page", from);
        model.addAttribute("more", lines.size() > TripRecords.PAGE);
        model.addAttribute("deletions", deletions.recent(viewer));
        return "trips/list";
    }

    private static Line line(TripRecords.Line line, List<Water> waters) {
        Water water = waters.stream()
                .filter(w -> w.id().equals(line.trip().waterId()))
                .findFirst()
                .orElseThrow();
        return new Line(
                line.trip().id(),
                TimeText.date(line.trip().startedAt(), Horizon.zone(water)),
                water.name(),
                String.join(", ", line.anglers()),
                Figures.fixed(line.rodHours(), 1),
                line.stints(),
                line.fish(),
                line.trip().note() == null ? "" : line.trip().note());
    }

    @GetMapping("/trips/{tripId}")
    String trip(Person person, @PathVariable String tripId, Model model) {
        Trip trip = records.trip(person.viewer(), tripId);
        TripPage page = pages.page(person, trip);
        model.addAttribute("trip", page);
        model.addAttribute("strip", page.strip());
        return "trips/trip";
    }

    @GetMapping("/trips/new")
    String fresh(Person person, Model model) {
        TripForm form = new TripForm(person, records.waters(person.viewer()));
        Map<String, String> typed = new HashMap<>();
        form.waters().stream().findFirst().ifPresent(w -> {
            typed.put("water_id", w.id());
            typed.put("started_at", TimeText.input(clock.instant(), Horizon.zone(w)));
        });
        model.addAttribute("noWater", form.waters().isEmpty());
        return FormPage.show(model, form.record(typed).form(TripForm.head(null), typed, List.of()));
    }

    @GetMapping("/trips/{tripId}/edit")
    String edit(Person person, @PathVariable String tripId, Model model) {
        Trip trip = changeable(person, tripId);
        TripForm form = new TripForm(person, records.waters(person.viewer()));
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
        return save(person, changeable(person, tripId), typed, model, htmx, response);
    }

    private Object save(
            Person person,
            @Nullable Trip before,
            Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        Viewer viewer = person.viewer();
        TripForm form = new TripForm(person, records.waters(viewer));
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
        store.write(viewer.clubId(), tx -> {
            if (before != null) {
                records.rows().update(tx, viewer.clubId(), Tables.TRIPS, trip);
                return trip;
            }
            records.rows().insert(tx, viewer.clubId(), Tables.TRIPS, trip);
            tx.update(TRIPS)
                    .set(TRIPS.LOGGED_BY, person.id())
                    .where(TRIPS.CLUB_ID.eq(viewer.clubId()))
                    .and(TRIPS.TRIP_ID.eq(id))
                    .execute();
            return trip;
        });
        return FormPage.saved("/trips/" + id, htmx);
    }

    @PostMapping("/trips/{tripId}/delete")
    String delete(Person person, @PathVariable String tripId, RedirectAttributes flash) {
        Trip trip = changeable(person, tripId);
        Water water = records.water(person.viewer(), trip.waterId());
        String what = "the trip to " + water.name() + " on " + TimeText.date(trip.startedAt(), Horizon.zone(water));
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
        boolean trip = !back.isEmpty()
                && records.rows().one(person.viewer(), Tables.TRIPS, back).isPresent();
        return trip ? "redirect:/trips/" + back : "redirect:/trips";
    }

    private Trip changeable(Person person, String tripId) {
        Trip trip = records.trip(person.viewer(), tripId);
        if (!records.mayChange(person.viewer(), tripId)) {
            throw new NotYours();
        }
        return trip;
    }
}
