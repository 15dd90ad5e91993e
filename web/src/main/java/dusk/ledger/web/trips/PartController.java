package dusk.ledger.web.trips;

import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Trip;
import dusk.ledger.web.choose.Choices;
import dusk.ledger.web.form.FormPage;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.records.Alone;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Adds, changes and deletes what hangs on a trip: one way for readings, stints, fish, losses, signs and places. */
@Controller
@RequestMapping("/trips/{tripId}/{part:readings|stints|fish|losses|signs|places}")
class PartController {
    private final Choices choices;
    private final Alone alone;
    private final Trips trips;
    private final TripRows rows;
    private final Waters waters;
    private final NewId newId;
    private final List<TripPart<?>> parts;

    PartController(
            Choices choices,
            Alone alone,
            Trips trips,
            TripRows rows,
            Waters waters,
            NewId newId,
            List<TripPart<?>> parts) {
        this.choices = choices;
        this.alone = alone;
        this.trips = trips;
        this.rows = rows;
        this.waters = waters;
        this.newId = newId;
        this.parts = parts;
    }

    @GetMapping("/new")
    String fresh(
            Person person,
            @PathVariable String tripId,
            @PathVariable String part,
            @RequestParam Map<String, String> asked,
            Model model) {
        TripPart<?> kind = part(part);
        TripContext on = on(person, tripId, asked);
        return fresh(kind, on, model);
    }

    private static <T> String fresh(TripPart<T> kind, TripContext on, Model model) {
        return FormPage.show(model, kind.form(on).form(kind.head(on, null), kind.fresh(on), List.of()));
    }

    @GetMapping("/{id}/edit")
    String edit(
            Person person,
            @PathVariable String tripId,
            @PathVariable String part,
            @PathVariable String id,
            @RequestParam Map<String, String> asked,
            Model model) {
        return edit(part(part), on(person, tripId, asked), id, model);
    }

    private <T> String edit(TripPart<T> kind, TripContext on, String id, Model model) {
        T record = existing(kind, on, id);
        RecordForm<T> form = kind.form(on);
        return FormPage.show(model, form.form(kind.head(on, id), form.typed(record), List.of(), record));
    }

    @PostMapping
    Object add(
            Person person,
            @PathVariable String tripId,
            @PathVariable String part,
            @RequestParam Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        return save(part(part), person, tripId, null, typed, model, htmx, response);
    }

    @PostMapping("/{id}")
    Object change(
            Person person,
            @PathVariable String tripId,
            @PathVariable String part,
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        return save(part(part), person, tripId, id, typed, model, htmx, response);
    }

    @PostMapping("/{id}/delete")
    String delete(
            Person person,
            @PathVariable String tripId,
            @PathVariable String part,
            @PathVariable String id,
            RedirectAttributes flash) {
        return delete(part(part), on(person, tripId, Map.of()), id, flash);
    }

    private <T> String delete(TripPart<T> kind, TripContext on, String id, RedirectAttributes flash) {
        T record = existing(kind, on, id);
        String deletion = kind.delete(on, record);
        if (deletion == null) {
            throw new NotYours();
        }
        flash.addFlashAttribute("deleted", deletion);
        return "redirect:" + on.page();
    }

    private <T> Object save(
            TripPart<T> kind,
            Person person,
            String tripId,
            @Nullable String id,
            Map<String, String> asked,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        Choices.Found found = choices.found(person, asked);
        Map<String, String> typed = found.typed();
        TripContext on = on(person, tripId, typed);
        RecordForm<T> form = kind.form(on);
        try {
            if (!found.errors().isEmpty()) {
                throw new Invalid(found.errors().entrySet().stream()
                        .map(e -> new Invalid.Problem(e.getKey(), e.getValue()))
                        .toList());
            }
            alone.in(on.viewer(), () -> {
                T before = id == null ? null : existing(kind, on, id);
                String rowId = id == null ? newId.next() : id;
                T record = kind.completed(on, form.read(typed, kind.given(on, rowId, before), before));
                List<Invalid.Problem> problems = kind.problems(on, record);
                if (!problems.isEmpty()) {
                    throw new Invalid(problems);
                }
                kind.store(on, record, before == null);
                return record;
            });
        } catch (Invalid e) {
            T now = id == null ? null : existing(kind, on, id);
            return FormPage.refuse(model, response, form, kind.head(on, id), typed, e.problems(), now);
        }
        // a script would not load the page anew for a change of the fragment alone
        return FormPage.saved(htmx.isHtmxRequest() ? on.page() : on.page() + "#" + kind.path(), htmx);
    }

    private <T> T existing(TripPart<T> kind, TripContext on, String id) {
        return rows.one(on.viewer(), kind.table(), id)
                .filter(record -> kind.of(on, record) && kind.mayChange(on, record))
                .orElseThrow(NotYours::new);
    }

    private TripContext on(Person person, String tripId, Map<String, String> asked) {
        Trip trip = trips.one(person.viewer(), tripId, Trips.Doing.ADD);
        return new TripContext(person, trip, waters.one(person.viewer(), trip.waterId()), asked);
    }

    private TripPart<?> part(String path) {
        return parts.stream().filter(p -> p.path().equals(path)).findFirst().orElseThrow(NotYours::new);
    }
}
