package dusk.ledger.web.findings;

import dusk.ledger.evidence.LightClock;
import dusk.ledger.evidence.Question;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
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

/** When fish are caught, by the sun. */
@Controller
@ForReaders
class ClockController {
    private final RecentTables tables;
    private final Reckoned reckoned;
    private final AskForm form;

    ClockController(RecentTables tables, Reckoned reckoned, AskForm form) {
        this.tables = tables;
        this.reckoned = reckoned;
        this.form = form;
    }

    @GetMapping("/findings/clock")
    String clock(
            Person person,
            @RequestParam MultiValueMap<String, String> asked,
            Model model,
            HttpServletResponse response) {
        StintTable table = tables.of(person.viewer());
        CompareAsk ask = form.read(person, table, Factor.SEASON.key(), asked, model);
        if (ask.question() == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        } else {
            model.addAttribute("clock", ClockView.of(clock(table, ask.question()), ask.question()));
        }
        return "findings/clock";
    }

    private LightClock clock(StintTable table, Question question) {
        return reckoned.of(table, LightClock.class, question, t -> LightClock.of(t, question));
    }
}
