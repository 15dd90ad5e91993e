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
    private final Reckoned reckoned;
    private final AskForm form;

    CompareController(ClubTables tables, Reckoned reckoned, AskForm form) {
        this.tables = tables;
        this.reckoned = reckoned;
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
            Comparison comparison = comparison(table, ask.question());
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
    private ContrastView contrast(
            StintTable table,
            Question question,
            Comparison comparison,
            List<String> recorded,
            String level,
            String versus) {
        String other = recorded.contains(versus) && !versus.equals(level) ? versus : null;
        Sides sides = new Sides(level, other);
        Contrast contrast = reckoned.of(
                table,
                Contrast.class,
                question,
                sides,
                () -> Contrast.of(table, question, sides, Contrast.Method.USUAL));
        return ContrastView.of(comparison, contrast);
    }

    private Comparison comparison(StintTable table, Question question) {
        return reckoned.of(table, Comparison.class, question, () -> Comparison.of(table, question));
    }
}
