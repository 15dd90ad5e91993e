package dusk.ledger.web.club;

import dusk.ledger.fish.WaterRule;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.WaterRules;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.NotYours;
import jakarta.servlet.http.HttpServletResponse;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
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
    private static final int MOST_KEPT = 99;
    private static final int MOST_LETTERS = 500;

    private final Waters waters;
    private final WaterRules rules;

    RulesController(Waters waters, WaterRules rules) {
        this.waters = waters;
        this.rules = rules;
    }

    /** A rule in words. */
    record Line(String id, String species, List<String> words) {}

    @GetMapping
    String page(Person person, @PathVariable String waterId, Model model) {
        return show(person, water(person, waterId), Map.of(), Map.of(), model);
    }

    private Water water(Person person, String waterId) {
        return waters.one(person.viewer(), waterId);
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
        model.addAttribute("inWords", rules.inWords(person.viewer(), water.id()));
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
        if (rule.most() != null) {
            words.add("longer than " + rule.most().show(units.lure()) + " goes back");
        }
        if (rule.slotFrom() != null && rule.slotTo() != null) {
            words.add(
                    rule.slotFrom().show(units.lure()) + " to " + rule.slotTo().show(units.lure()) + " goes back");
        }
        if (rule.closedFrom() != null && rule.closedTo() != null) {
            words.add("closed " + Typed.DAY.format(rule.closedFrom()) + " to " + Typed.DAY.format(rule.closedTo()));
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
        Typed fields = new Typed(typed, person.units());
        WaterRule rule = read(fields);
        if (rule == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(person, water, typed, fields.errors(), model);
        }
        rules.note(person.viewer(), water.id(), rule);
        flash.addFlashAttribute("said", "Noted for " + rule.species() + ".");
        return "redirect:/club/waters/" + waterId + "/rules";
    }

    private static @Nullable WaterRule read(Typed typed) {
        String species = typed.required("species", "Say which species it is for.");
        Length least = length("least", typed);
        Length most = length("most", typed);
        Length slotFrom = length("slot_from", typed);
        Length slotTo = length("slot_to", typed);
        MonthDay closedFrom = typed.day("closed_from");
        MonthDay closedTo = typed.day("closed_to");
        Integer bag = typed.whole("bag", 0, MOST_KEPT);
        together("slot_from", slotFrom, "slot_to", slotTo, typed);
        together("closed_from", closedFrom, "closed_to", closedTo, typed);
        if (slotFrom != null && slotTo != null && slotFrom.compareTo(slotTo) > 0) {
            typed.wrong("slot_to", "Less than where the slot begins.");
        }
        if (least != null && most != null && least.compareTo(most) > 0) {
            typed.wrong("most", "Less than the shortest that may be kept.");
        }
        boolean nothing = least == null && most == null && slotFrom == null && closedFrom == null && bag == null;
        if (typed.errors().isEmpty() && nothing) {
            typed.wrong("least", "Write at least one of them.");
        }
        return typed.errors().isEmpty()
                ? new WaterRule(species, least, most, slotFrom, slotTo, closedFrom, closedTo, bag)
                : null;
    }

    private static void together(String one, @Nullable Object a, String other, @Nullable Object b, Typed typed) {
        if ((a == null) != (b == null)) {
            typed.wrong(a == null ? one : other, "It needs both ends.");
        }
    }

    private static @Nullable Length length(String name, Typed typed) {
        Length length = typed.length(name);
        if (length != null && !(length.millimetres() > 0)) {
            typed.wrong(name, "A length must be above 0.");
        }
        return length;
    }

    @PostMapping("/{ruleId}/delete")
    String delete(Person person, @PathVariable String waterId, @PathVariable String ruleId, RedirectAttributes flash) {
        officers(person, waterId);
        WaterRules.Noted struck = rules.byWater(person.viewer()).getOrDefault(waterId, List.of()).stream()
                .filter(noted -> noted.id().equals(ruleId))
                .findFirst()
                .orElseThrow(NotYours::new);
        String what = "the rule for " + struck.rule().species();
        flash.addFlashAttribute("deleted", rules.strike(person.viewer(), ruleId, what));
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

    /** What is ruled of gear, bait and prey, in free words. */
    @PostMapping("/words")
    String words(
            Person person,
            @PathVariable String waterId,
            @RequestParam Map<String, String> typed,
            Model model,
            RedirectAttributes flash,
            HttpServletResponse response) {
        Water water = officers(person, waterId);
        Typed fields = new Typed(typed, person.units());
        for (String field : List.of("gear", "bait", "prey")) {
            if (fields.text(field).length() > MOST_LETTERS) {
                fields.wrong(field, "Write " + MOST_LETTERS + " letters at the most.");
            }
        }
        if (!fields.errors().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(person, water, typed, fields.errors(), model);
        }
        rules.noteInWords(
                person.viewer(),
                water.id(),
                new WaterRules.InWords(fields.text("gear"), fields.text("bait"), fields.text("prey")));
        flash.addFlashAttribute("said", "Noted.");
        return "redirect:/club/waters/" + waterId + "/rules";
    }

    private Water officers(Person person, String waterId) {
        person.onlyOfficer();
        return water(person, waterId);
    }
}
