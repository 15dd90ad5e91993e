package dusk.ledger.web.club;

import dusk.ledger.fish.WaterRule;
import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.frame.NotYours;
import dusk.ledger.web.security.Person;
import dusk.ledger.web.store.LedgerRows;
import jakarta.servlet.http.HttpServletResponse;
import java.time.DateTimeException;
import java.time.MonthDay;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A water's rules as the club notes them. All read them; the records officer writes them. */
@Controller
@RequestMapping("/club/waters/{waterId}/rules")
class RulesController {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
    private static final int MOST_KEPT = 99;

    private final LedgerRows rows;
    private final WaterRules rules;

    RulesController(LedgerRows rows, WaterRules rules) {
        this.rows = rows;
        this.rules = rules;
    }

    /** A rule in words. */
    record Line(String id, String species, List<String> words) {}

    @GetMapping
    String page(Person person, @PathVariable String waterId, Model model) {
        return show(person, water(person, waterId), Map.of(), Map.of(), model);
    }

    private Water water(Person person, String waterId) {
        return rows.one(person.viewer(), Tables.WATERS, waterId).orElseThrow(NotYours::new);
    }

    private String show(
            Person person, Water water, Map<String, String> typed, Map<String, String> errors, Model model) {
        model.addAttribute("water", water);
        model.addAttribute("officer", person.viewer().officer());
        model.addAttribute("prevail", WaterRules.PREVAIL);
        model.addAttribute("lead", rules.leadForbidden(person.viewer(), water.id()));
        model.addAttribute(
                "lines",
                rules.byWater(person.viewer()).getOrDefault(water.id(), List.of()).stream()
                        .map(noted -> new Line(noted.id(), noted.rule().species(), words(noted.rule(), person.units())))
                        .toList());
        model.addAttribute("species", Words.of("species"));
        model.addAttribute("typed", typed);
        model.addAttribute("errors", errors);
        return "club/rules";
    }

    private static List<String> words(WaterRule rule, UnitSystem units) {
        List<String> words = new ArrayList<>();
        if (rule.least() != null) {
            words.add("shorter than " + rule.least().show(units.lure()) + " goes back");
        }
        if (rule.slotFrom() != null && rule.slotTo() != null) {
            words.add(
                    rule.slotFrom().show(units.lure()) + " to " + rule.slotTo().show(units.lure()) + " goes back");
        }
        if (rule.closedFrom() != null && rule.closedTo() != null) {
            words.add("closed " + DAY.format(rule.closedFrom()) + " to " + DAY.format(rule.closedTo()));
        }
        if (rule.bag() != null) {
            words.add("at most " + rule.bag() + " kept a day");
        }
        return words;
    }

    @PostMapping
    String save(
            Person person,
            @PathVariable String waterId,
            @RequestParam Map<String, String> typed,
            Model model,
            RedirectAttributes flash,
            HttpServletResponse response) {
        Water water = officers(person, waterId);
        Map<String, String> errors = new HashMap<>();
        WaterRule rule = read(typed, person.units(), errors);
        if (rule == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(person, water, typed, errors, model);
        }
        rules.note(person.viewer(), water.id(), rule);
        flash.addFlashAttribute("said", "Noted for " + rule.species() + ".");
        return "redirect:/club/waters/" + waterId + "/rules";
    }

    private static @Nullable WaterRule read(Map<String, String> typed, UnitSystem units, Map<String, String> errors) {
        String species = typed.getOrDefault("species", "").strip();
        if (species.isEmpty()) {
            errors.put("species", "Say which species it is for.");
        }
        Length least = length("least", typed, units, errors);
        Length slotFrom = length("slot_from", typed, units, errors);
        Length slotTo = length("slot_to", typed, units, errors);
        MonthDay closedFrom = day("closed_from", typed, errors);
        MonthDay closedTo = day("closed_to", typed, errors);
        Integer bag = bag(typed, errors);
        together("slot_from", slotFrom, "slot_to", slotTo, errors);
        together("closed_from", closedFrom, "closed_to", closedTo, errors);
        if (slotFrom != null && slotTo != null && slotFrom.compareTo(slotTo) > 0) {
            errors.put("slot_to", "Less than where the slot begins.");
        }
        boolean nothing = least == null && slotFrom == null && closedFrom == null && bag == null;
        if (errors.isEmpty() && nothing) {
            errors.put("least", "Write at least one of them.");
        }
        return errors.isEmpty() ? new WaterRule(species, least, slotFrom, slotTo, closedFrom, closedTo, bag) : null;
    }

    private static void together(
            String one, @Nullable Object a, String other, @Nullable Object b, Map<String, String> errors) {
        if ((a == null) != (b == null)) {
            errors.putIfAbsent(a == null ? one : other, "It needs both ends.");
        }
    }

    private static @Nullable Length length(
            String name, Map<String, String> typed, UnitSystem units, Map<String, String> errors) {
        String text = typed.getOrDefault(name, "");
        if (text.isBlank()) {
            return null;
        }
        try {
            Length length = Length.parse(text, units.lure());
            if (length.millimetres() > 0) {
                return length;
            }
            errors.put(name, "A length must be above 0.");
        } catch (IllegalArgumentException e) {
            errors.put(name, String.valueOf(e.getMessage()));
        }
        return null;
    }

    private static @Nullable MonthDay day(String name, Map<String, String> typed, Map<String, String> errors) {
        String text = typed.getOrDefault(name, "").strip();
        if (text.isEmpty()) {
            return null;
        }
        try {
            return MonthDay.parse(text, DAY);
        } catch (DateTimeException e) {
            errors.put(name, "“" + text + "” is not a day of the year. Write it like 15 Mar.");
            return null;
        }
    }

    private static @Nullable Integer bag(Map<String, String> typed, Map<String, String> errors) {
        String text = typed.getOrDefault("bag", "").strip();
        if (text.isEmpty()) {
            return null;
        }
        try {
            int bag = Integer.parseInt(text);
            if (bag >= 0 && bag <= MOST_KEPT) {
                return bag;
            }
        } catch (NumberFormatException e) {
            // said below, as for a number out of range
        }
        errors.put("bag", "“" + text + "” is not a number from 0 to " + MOST_KEPT + ".");
        return null;
    }

    @PostMapping("/{ruleId}/delete")
    String delete(Person person, @PathVariable String waterId, @PathVariable String ruleId, RedirectAttributes flash) {
        officers(person, waterId);
        rules.strike(person.viewer(), ruleId);
        flash.addFlashAttribute("said", "Struck out.");
        return "redirect:/club/waters/" + waterId + "/rules";
    }

    @PostMapping("/lead")
    String lead(
            Person person,
            @PathVariable String waterId,
            @RequestParam(defaultValue = "false") boolean forbidden,
            RedirectAttributes flash) {
        officers(person, waterId);
        rules.forbidLead(person.viewer(), waterId, forbidden);
        flash.addFlashAttribute("said", forbidden ? "Lead is noted as forbidden." : "Lead is noted as allowed.");
        return "redirect:/club/waters/" + waterId + "/rules";
    }

    private Water officers(Person person, String waterId) {
        if (!person.viewer().officer()) {
            throw new NotYours();
        }
        return water(person, waterId);
    }
}
