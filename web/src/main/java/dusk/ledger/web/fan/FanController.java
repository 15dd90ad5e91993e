package dusk.ledger.web.fan;

import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.choose.Choices;
import dusk.ledger.web.column.ColumnChoices;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Drops;
import dusk.ledger.web.records.Person;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Casts over an arc, on the bench: nothing is stored, all of it stands in the address. */
@Controller
class FanController {
    private final ColumnChoices choices;
    private final Choices finding;
    private final Drops drops;

    FanController(ColumnChoices choices, Choices finding, Drops drops) {
        this.choices = choices;
        this.finding = finding;
        this.drops = drops;
    }

    @GetMapping("/column/fan")
    String page(
            Person person,
            @RequestParam MultiValueMap<String, String> asked,
            Model model,
            HttpServletResponse response) {
        UnitSystem units = person.units();
        ColumnChoices.Offered offered = choices.offered(person.viewer());
        Choices.Offers offers = finding.offers(person);
        Choices.Found found = finding.found(person, asked.toSingleValueMap());
        Map<String, String> values = found.typed();
        Typed typed = new Typed(values, units);
        FanAsk ask = FanAsk.read(typed, offered.setUps()::get);
        found.errors().forEach(typed::wrong);
        if (ask == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        } else {
            Set<Integer> made = FanAsk.made(
                    asked.getOrDefault("made", List.of()), ask.laid().fan().casts());
            model.addAttribute("fan", FanView.of(ask, made, drops.calibrations(person.viewer()), units));
        }
        Map<String, String> shown = new HashMap<>(FanAsk.typed(null, units));
        shown.putAll(values);
        model.addAttribute("typed", shown);
        model.addAttribute("errors", typed.errors());
        model.addAttribute("fields", FanAsk.FIELDS);
        model.addAttribute(
                "setUps", ColumnChoices.groups(person, offered, offers, "setup", values, Set.copyOf(values.values())));
        model.addAttribute("find", offers.manySetUps());
        return Boolean.TRUE.equals(model.getAttribute("part")) ? "fan/fan :: answer" : "fan/fan";
    }
}
