package dusk.ledger.web.findings;

import dusk.ledger.patterns.Pattern;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.records.ClubNames;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.ClubTables;
import dusk.ledger.web.store.Viewer;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;

/** The patterns that hold in the club's records. */
@Controller
class PatternsController {
    /** Quick searches are answered in the page itself; slower ones show how far they are. */
    private static final long PATIENCE_MILLIS = 1500;

    private final PatternRuns runs;
    private final ClubTables tables;
    private final ClubNames names;

    PatternsController(PatternRuns runs, ClubTables tables, ClubNames names) {
        this.runs = runs;
        this.tables = tables;
        this.names = names;
    }

    @GetMapping("/findings/patterns")
    String patterns(Person person, PatternsAsk.Typed typed, Model model, HttpServletResponse response) {
        Viewer viewer = person.viewer();
        StintTable club = tables.of(viewer);
        PatternsAsk ask = PatternsAsk.of(typed, club, person);
        model.addAttribute("ask", ask);
        model.addAttribute("species", club.species());
        model.addAttribute("waters", names.waters(viewer));
        model.addAttribute(
                "seasons", club.codes(Factor.SEASON).levels().stream().skip(1).toList());
        model.addAttribute("legend", InkMark.legend());
        if (!ask.errors().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return "findings/patterns";
        }
        PatternRuns.Run run = runs.of(viewer, ask);
        Optional<PatternRuns.Searched> found = run.found(PATIENCE_MILLIS);
        if (found.isPresent()) {
            show(model, viewer, ask, found.get());
        } else if (run.stopped()) {
            runs.forget(viewer, ask);
            model.addAttribute("stopped", true);
        } else {
            model.addAttribute("percent", run.percent());
        }
        return Boolean.TRUE.equals(model.getAttribute("part")) ? "findings/patterns :: answer" : "findings/patterns";
    }

    private void show(Model model, Viewer viewer, PatternsAsk ask, PatternRuns.Searched searched) {
        StintTable table = searched.table();
        int[] fish = table.fish(ask.counted().species(), ask.counted().least());
        PatternCard.Names named = new PatternCard.Names(names.anglers(viewer), names.trips(viewer));
        List<PatternCard> cards = searched.findings().patterns().stream()
                .map((Pattern p) -> PatternCard.of(table, fish, p, ask, named))
                .toList();
        model.addAttribute("stints", table.size());
        model.addAttribute("forYou", cards.stream().filter(c -> !c.against()).toList());
        model.addAttribute(
                "against", cards.stream().filter(PatternCard::against).toList());
        model.addAttribute("findings", searched.findings());
    }

    /** Stops a search; a question that cannot be understood has none. */
    @PostMapping("/findings/patterns/stop")
    String stop(Person person, PatternsAsk.Typed typed) {
        PatternsAsk ask = PatternsAsk.of(typed, tables.of(person.viewer()), person);
        if (ask.errors().isEmpty()) {
            runs.of(person.viewer(), ask).stop();
        }
        return "redirect:/findings/patterns";
    }
}
