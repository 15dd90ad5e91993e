package dusk.ledger.web.findings;

import dusk.ledger.columns.StintTable;
import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.Contrast;
import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.Sides;
import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Water;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.frame.FormField;
import dusk.ledger.web.security.Person;
import dusk.ledger.web.store.ClubTables;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Viewer;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jooq.impl.DSL;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Compares the levels of a factor in the club's records. */
@Controller
class CompareController {
    /** Conditions that can be held at once. */
    private static final int CONDITIONS = 3;

    private final ClubTables tables;
    private final LedgerRows rows;

    CompareController(ClubTables tables, LedgerRows rows) {
        this.tables = tables;
        this.rows = rows;
    }

    @GetMapping("/findings")
    String findings() {
        return "redirect:/findings/patterns";
    }

    @GetMapping("/findings/compare")
    String compare(
            Person person,
            @RequestParam(defaultValue = "colour") String factor,
            @RequestParam MultiValueMap<String, String> asked,
            @RequestParam(defaultValue = "") String species,
            @RequestParam(defaultValue = "") String least,
            @RequestParam(defaultValue = "") String level,
            @RequestParam(defaultValue = "") String versus,
            Model model,
            HttpServletResponse response) {
        // a map, since a list would be split at the commas a level may hold
        List<String> where = asked.getOrDefault("where", List.of());
        StintTable table = tables.of(person.viewer());
        CompareAsk ask = CompareAsk.of(factor, where, species, least, table, person.units());
        model.addAttribute("ask", ask);
        model.addAttribute("factors", CompareAsk.factors());
        model.addAttribute("conditions", conditions(person.viewer(), table));
        model.addAttribute("slots", slots(ask.where()));
        model.addAttribute("species", table.species());
        if (ask.question() == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        } else {
            Comparison comparison = Comparison.of(table, ask.question());
            CompareView view = CompareView.of(comparison);
            model.addAttribute("answer", view);
            contrast(table, ask.question(), comparison, view, level, versus)
                    .ifPresent(c -> model.addAttribute("contrast", c));
        }
        return "findings/compare";
    }

    /** The level asked for, else the one that stands first, against the other asked for, else the rest. */
    private static Optional<ContrastView> contrast(
            StintTable table, Question question, Comparison comparison, CompareView view, String level, String versus) {
        List<String> recorded =
                comparison.recorded().stream().map(LevelFigures::level).toList();
        if (recorded.size() < 2) {
            return Optional.empty();
        }
        String one = recorded.contains(level) ? level : view.rows().get(0).level();
        String other = recorded.contains(versus) && !versus.equals(one) ? versus : null;
        Contrast contrast = Contrast.of(table, question, new Sides(one, other), Contrast.Method.USUAL);
        return Optional.of(ContrastView.of(comparison, contrast));
    }

    /** The conditions held, and room for one more up to the most. */
    private static List<String> slots(List<String> held) {
        List<String> slots = new ArrayList<>(held);
        while (slots.size() < CONDITIONS) {
            slots.add("");
        }
        return slots;
    }

    /** Every level that occurs, by factor; waters by their names. */
    private List<FormField.Group> conditions(Viewer viewer, StintTable table) {
        Map<String, String> waters = rows.all(viewer, Tables.WATERS, DSL.noCondition(), List.of()).stream()
                .collect(Collectors.toMap(Water::id, Water::name));
        List<FormField.Group> groups = new ArrayList<>();
        for (Factor factor : Factor.values()) {
            if (!CompareAsk.comparable(factor) && factor != Factor.WATER) {
                continue;
            }
            List<FormField.Option> options = table.codes(factor).levels().stream()
                    .skip(1)
                    .map(l -> new FormField.Option(
                            factor.key() + "=" + l, factor == Factor.WATER ? waters.getOrDefault(l, l) : l))
                    .toList();
            if (options.size() > 1) {
                groups.add(new FormField.Group(factor.title(), options));
            }
        }
        return groups;
    }
}
