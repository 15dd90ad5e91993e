package dusk.ledger.web.findings;

import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.RateGrid;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.security.ForReaders;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Reckoned;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Two factors at once. */
@Controller
@ForReaders
class GridController {
    private final RecentTables tables;
    private final Reckoned reckoned;
    private final AskForm form;

    GridController(RecentTables tables, Reckoned reckoned, AskForm form) {
        this.tables = tables;
        this.reckoned = reckoned;
        this.form = form;
    }

    @GetMapping("/findings/grid")
    String grid(
            Person person,
            @RequestParam(defaultValue = "colour") String factor,
            @RequestParam(defaultValue = "light") String across,
            @RequestParam MultiValueMap<String, String> asked,
            Model model,
            HttpServletResponse response) {
        StintTable table = tables.of(person.viewer());
        CompareAsk ask = form.read(person, table, factor, asked, model);
        model.addAttribute("across", across);
        Optional<Factor> over = Factor.byKey(across).filter(CompareAsk::comparable);
        if (over.isEmpty()) {
            model.addAttribute("acrossError", "“" + across + "” cannot be compared. Choose one of the list.");
        } else if (across.equals(factor)) {
            model.addAttribute("acrossError", "A grid wants two different factors. Choose another one here.");
        } else if (ask.question() != null) {
            model.addAttribute(
                    "grid", GridView.of(grid(table, ask.question(), over.get()), ask.question(), over.get()));
        }
        if (model.getAttribute("grid") == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        return "findings/grid";
    }

    private RateGrid grid(StintTable table, Question question, Factor over) {
        return reckoned.of(table, RateGrid.class, question, over, t -> RateGrid.of(t, question, over));
    }
}
