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
            List<String> recorded =
                    comparison.recorded().stream().map(LevelFigures::level).toList();
            if (recorded.contains(level) && recorded.size() > 1) {
                model.addAttribute("contrast", contrast(table, ask.question(), comparison, recorded, level, versus));
            } else if (recorded.size() > 1) {
                // rates stand at once; what is compared like for like takes longer and comes behind them
                model.addAttribute("toCome", ask.page(view.rows().get(0).level()));
            }
        }
        return Boolean.TRUE.equals(model.getAttribute("part")) && model.containsAttribute("contrast")
                ? "findings/compare :: contrast"
                : "findings/compare";
    }

    /** A level against the other asked for, else the rest. */
    private static ContrastView contrast(
            StintTable table,
            Question question,
            Comparison comparison,
            List<String> recorded,
            String level,
            String versus) {
        String other = recorded.contains(versus) && !versus.equals(level) ? versus : null;
        Contrast contrast = Contrast.of(table, question, new Sides(level, other), Contrast.Method.USUAL);
        return ContrastView.of(comparison, contrast);
    }
}
