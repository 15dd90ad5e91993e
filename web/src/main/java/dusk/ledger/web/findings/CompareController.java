package dusk.ledger.web.findings;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.Contrast;
import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.Sides;
import dusk.ledger.stints.StintTable;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.ClubTables;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Compares the levels of a factor in the club's records. */
@Controller
class CompareController {
    private final ClubTables tables;
    private final AskForm form;

    CompareController(ClubTables tables, AskForm form) {
        this.tables = tables;
        this.form = form;
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
            @RequestParam(defaultValue = "") String level,
            @RequestParam(defaultValue = "") String versus,
            Model model,
            HttpServletResponse response) {
        StintTable table = tables.of(person.viewer());
        CompareAsk ask = form.read(person, table, factor, asked, model);
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
}
