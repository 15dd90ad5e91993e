package dusk.ledger.web.tackle;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Rod;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.FormPage;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.Alone;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Rods;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.words.RodWords;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The club's rods with what they are rated for. */
@Controller
class RodsController {
    private final Alone alone;
    private final Rods rods;
    private final NewId newId;

    RodsController(Alone alone, Rods rods, NewId newId) {
        this.alone = alone;
        this.rods = rods;
        this.newId = newId;
    }

    /** A rod in words. */
    record Line(String id, String name, String words, boolean mayChange) {}

    @GetMapping("/tackle/rods")
    String page(Person person, Model model) {
        Set<String> changeable = rods.changeable(person.viewer());
        List<Line> lines = rods.all(person.viewer()).stream()
                .map(rod -> new Line(
                        rod.id(), rod.called(), RodWords.of(rod, person.units()), changeable.contains(rod.id())))
                .toList();
        model.addAttribute("rods", lines);
        return "tackle/rods";
    }

    private static RecordForm<Rod> form(Person person) {
        return new RecordForm<>(LedgerFormat.RODS, new UnitText(person.units(), ZoneOffset.UTC))
                .ask("name", "Name", "as it is called on the boat")
                .ask("power", "Power", "")
                .ask("action", "Action", "")
                .ask("length_mm", "Length", "2.1 m or 7'6\"")
                .ask("lure_min_g", "Rated from", "3 g or 1/8 oz")
                .ask("lure_max_g", "Rated to", "14 g or 1/2 oz")
                .ask(
                        "retrieve_mm",
                        "Line a turn of the handle",
                        "70 cm, or 6.2:1 x 11 cm: its ratio and the spool's turn");
    }

    private static Form head(@Nullable String id) {
        return new Form(
                "rod-form",
                id == null ? "New rod" : "Change the rod",
                id == null ? "/tackle/rods" : "/tackle/rods/" + id,
                "Save the rod",
                "/tackle/rods",
                List.of(),
                List.of());
    }

    @GetMapping("/tackle/rods/new")
    String fresh(Person person, Model model) {
        return FormPage.show(model, form(person).form(head(null), Map.of(), List.of()));
    }

    @GetMapping("/tackle/rods/{id}/edit")
    String edit(Person person, @PathVariable String id, Model model) {
        Rod rod = rod(person, id);
        return FormPage.show(model, form(person).form(head(id), form(person).typed(rod), List.of(), rod));
    }

    private Rod rod(Person person, String id) {
        if (!rods.changeable(person.viewer()).contains(id)) {
            throw new NotYours();
        }
        return rods.one(person.viewer(), id);
    }

    @PostMapping("/tackle/rods")
    Object add(
            Person person,
            @RequestParam Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        return save(person, null, typed, model, htmx, response);
    }

    @PostMapping("/tackle/rods/{id}")
    Object change(
            Person person,
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        return save(person, id, typed, model, htmx, response);
    }

    private Object save(
            Person person,
            @Nullable String id,
            Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        RecordForm<Rod> form = form(person);
        try {
            alone.in(person.viewer(), () -> {
                Rod before = id == null ? null : rod(person, id);
                Rod rod = form.read(typed, Map.of("rod_id", id == null ? newId.next() : id), before);
                if (rod.name() == null) {
                    throw new Invalid(List.of(
                            new Invalid.Problem("name", "Give it a name, so that it can be chosen on the deck.")));
                }
                if (before == null) {
                    rods.add(person.viewer(), rod);
                } else {
                    rods.change(person.viewer(), rod);
                }
                return rod;
            });
        } catch (Invalid e) {
            Rod now = id == null ? null : rod(person, id);
            return FormPage.refuse(model, response, form, head(id), typed, e.problems(), now);
        }
        return FormPage.saved("/tackle/rods", htmx);
    }
}
