package dusk.ledger.web.column;

import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.WeightLadder;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.water.Calibrations;
import dusk.ledger.web.choose.Choices;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Drops;
import dusk.ledger.web.records.Person;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The water-column bench. All it shows stands in its address. */
@Controller
class ColumnController {
    private final ColumnChoices choices;
    private final Choices finding;
    private final Drops drops;

    ColumnController(ColumnChoices choices, Choices finding, Drops drops) {
        this.choices = choices;
        this.finding = finding;
        this.drops = drops;
    }

    @GetMapping("/column")
    String page(Person person, @RequestParam Map<String, String> asked, Model model, HttpServletResponse response) {
        Choices.Found found = finding.found(person, asked);
        Map<String, String> values = found.typed();
        UnitSystem units = person.units();
        ColumnChoices.Offered offered = choices.offered(person.viewer());
        Choices.Offers offers = finding.offers(person);
        Typed typed = new Typed(values, units);
        ColumnAsk ask = offered.read(typed);
        found.errors().forEach(typed::wrong);
        model.addAttribute("errors", typed.errors());
        model.addAttribute("fields", ColumnAsk.FIELDS);
        boolean part = Boolean.TRUE.equals(model.getAttribute("part"));
        if (ask == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        } else {
            Calibrations calibrations = drops.calibrations(person.viewer());
            model.addAttribute("column", ColumnView.of(Scene.of(ask, calibrations), units));
            if (!part) {
                heads(ask, calibrations, units, model);
            }
        }
        if (part) {
            return "column/answer :: answer";
        }
        model.addAttribute("typed", shown(values, offered.usual(), units));
        Map<String, List<FormField.Group>> setUps = new HashMap<>();
        for (String field : List.of("setup", "with", "and")) {
            setUps.put(
                    field, ColumnChoices.groups(person, offered, offers, field, values, Set.copyOf(values.values())));
        }
        model.addAttribute("setUps", setUps);
        model.addAttribute("find", offers.manySetUps());
        model.addAttribute(
                "rods",
                offered.rods().values().stream().map(ColumnController::rod).toList());
        model.addAttribute("heads", heads(units));
        model.addAttribute("words", words());
        model.addAttribute("metric", units.depth() == Length.Unit.METRE);
        return "column/column";
    }

    /** The ladder alone, which follows the controls a little later. */
    @GetMapping("/column/heads")
    String ladder(Person person, @RequestParam Map<String, String> values, Model model) {
        UnitSystem units = person.units();
        ColumnAsk ask = choices.offered(person.viewer()).read(new Typed(values, units));
        if (ask != null) {
            heads(ask, drops.calibrations(person.viewer()), units, model);
        }
        return "column/answer :: ladder";
    }

    private static void heads(ColumnAsk ask, Calibrations calibrations, UnitSystem units, Model model) {
        HeadLadder.of(ask, calibrations, WeightLadder.of(units.headMass()).steps())
                .ifPresent(heads -> model.addAttribute("ladder", HeadLadderView.of(heads, units)));
    }

    /** What stands in the fields: what was typed, or what is usual where the page is opened fresh. */
    private static Map<String, String> shown(Map<String, String> values, @Nullable SetUp usual, UnitSystem units) {
        Map<String, String> shown = new HashMap<>(values);
        shown.putIfAbsent("setup", usual == null ? "" : usual.id());
        shown.putIfAbsent("method", "slack");
        shown.putIfAbsent("drift_deg", Figures.trimmed(ColumnAsk.USUAL_HEADING_DEG, 0));
        shown.putIfAbsent("heading", Figures.trimmed(ColumnAsk.USUAL_HEADING_DEG, 0));
        shown.putIfAbsent("presentation", ColumnAsk.USUAL_PRESENTATION);
        for (String name : List.of("depth_m", "cast_m", "reel")) {
            shown.putIfAbsent(name, ColumnView.usual(name, units));
        }
        return shown;
    }

    private static FormField.Option rod(Rod rod) {
        return new FormField.Option(rod.id(), rod.called());
    }

    private static List<String> heads(UnitSystem units) {
        return WeightLadder.of(units.headMass()).steps().stream()
                .map(m -> m.show(units.headMass()))
                .toList();
    }

    private static Map<String, List<String>> words() {
        return Stream.of("head_material", "plastic", "plastic_material", "presentation")
                .collect(Collectors.toMap(w -> w, Words::of));
    }
}
