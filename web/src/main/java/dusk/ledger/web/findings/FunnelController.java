package dusk.ledger.web.findings;

import dusk.ledger.evidence.Funnel;
import dusk.ledger.stints.StintTable;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.ClubTables;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** From follow to fish: where they come off. */
@Controller
class FunnelController {
    private final ClubTables tables;
    private final AskForm form;

    FunnelController(ClubTables tables, AskForm form) {
        this.tables = tables;
        this.form = form;
    }

    @GetMapping("/findings/funnel")
    String funnel(
            Person person,
            @RequestParam(defaultValue = "hook_set") String factor,
            @RequestParam MultiValueMap<String, String> asked,
            Model model,
            HttpServletResponse response) {
        StintTable table = tables.of(person.viewer());
        CompareAsk ask = form.read(person, table, factor, asked, model);
        if (ask.question() == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        } else {
            model.addAttribute("funnel", FunnelView.of(Funnel.of(table, ask.question()), ask.question()));
        }
        return "findings/funnel";
    }
}
