package dusk.ledger.web.findings;

import dusk.ledger.evidence.Funnel;
import dusk.ledger.evidence.Question;
import dusk.ledger.stints.StintTable;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.security.ForReaders;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Reckoned;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** From follow to fish: where they come off. */
@Controller
@ForReaders
class FunnelController {
    private final RecentTables tables;
    private final Reckoned reckoned;
    private final AskForm form;

    FunnelController(RecentTables tables, Reckoned reckoned, AskForm form) {
        this.tables = tables;
        this.reckoned = reckoned;
        this.form = form;
    }

    @GetMapping("/findings/funnel")
    String funnel(
            Person person,
            @RequestParam(defaultValue = "hook_set") String factor,
            @RequestParam MultiValueMap<String, String> asked,
            Model model,
            HttpServletResponse response) {
        StintTable table = tables.whole(person.viewer());
        CompareAsk ask = form.read(person, table, factor, asked, model);
        if (ask.question() == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        } else {
            model.addAttribute("funnel", FunnelView.of(funnel(table, ask.question()), ask.question()));
        }
        return "findings/funnel";
    }

    private Funnel funnel(StintTable table, Question question) {
        return reckoned.of(table, Funnel.class, question, t -> Funnel.of(t, question));
    }
}
