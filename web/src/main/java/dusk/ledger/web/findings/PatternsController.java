package dusk.ledger.web.findings;

import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.portrait.InkMark;
import dusk.ledger.web.records.ClubNames;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.security.ForReaders;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Viewer;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;

/** The patterns that hold in the club's records. */
@Controller
class PatternsController {
    /** Quick searches are answered in the page itself; slower ones show how far they are. */
    private static final long PATIENCE_MILLIS = 700;

    private final PatternRuns runs;
    private final RecentTables tables;
    private final ClubNames names;

    PatternsController(PatternRuns runs, RecentTables tables, ClubNames names) {
        this.runs = runs;
        this.tables = tables;
        this.names = names;
    }

    @ForReaders
    @GetMapping("/findings/patterns")
    String patterns(Person person, PatternsAsk.Typed typed, Model model, HttpServletResponse response) {
        Viewer viewer = person.viewer();
        StintTable club = tables.shared(viewer).table();
        PatternsAsk ask = PatternsAsk.of(typed, club, person);
        model.addAttribute("ask", ask);
        model.addAttribute("nothing", club.size() == 0);
        model.addAttribute("page", ask.page());
        model.addAttribute("species", club.species());
        model.addAttribute("waters", names.waters(viewer));
        model.addAttribute(
                "seasons", club.codes(Factor.SEASON).levels().stream().skip(1).toList());
        model.addAttribute("seasonSaid", (Function<String, String>) Factor.SEASON::where);
        model.addAttribute("orders", PatternOrder.values());
        model.addAttribute("legend", InkMark.legend());
        if (!ask.errors().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return "findings/patterns";
        }
        show(model, viewer, ask, runs.of(viewer, ask));
        return Boolean.TRUE.equals(model.getAttribute("part")) ? "findings/patterns :: answer" : "findings/patterns";
    }

    /** What was found last, at once; where nothing was yet, what is found in a moment, else how far it is. */
    private void show(Model model, Viewer viewer, PatternsAsk ask, PatternRuns.Seen seen) {
        PatternRuns.Run run = seen.run();
        Optional<PatternRuns.Found> found = Optional.ofNullable(seen.found());
        if (run != null && found.isEmpty()) {
            found = run.found(PATIENCE_MILLIS);
            run = found.isPresent() ? null : run;
        }
        if (run != null && run.stopped()) {
            runs.forget(viewer, ask, run);
            model.addAttribute("stopped", true);
        } else if (run != null) {
            model.addAttribute("percent", run.percent());
        }
        found.ifPresent(there -> {
            model.addAttribute("found", there);
            model.addAttribute("newer", seen.newer());
            model.addAttribute("changed", seen.changed());
            Map<String, String> since = seen.before() == null
                    ? Map.of()
                    : Since.of(there.cards(), seen.before().cards());
            model.addAttribute("since", since);
            model.addAttribute(
                    "forYou", ask.sort().sorted(there.cards().stream().filter(c -> !c.against()), since));
            model.addAttribute(
                    "against", ask.sort().sorted(there.cards().stream().filter(PatternCard::against), since));
        });
    }

    /** Searches anew for whoever does not want to wait until that pays. */
    @PostMapping("/findings/patterns/anew")
    String anew(Person person, PatternsAsk.Typed typed) {
        PatternsAsk ask = PatternsAsk.of(typed, tables.shared(person.viewer()).table(), person);
        if (ask.errors().isEmpty()) {
            runs.anew(person.viewer(), ask);
        }
        return "redirect:" + ask.page();
    }

    /** Stops a search; a question that cannot be understood has none. */
    @PostMapping("/findings/patterns/stop")
    String stop(Person person, PatternsAsk.Typed typed) {
        PatternsAsk ask = PatternsAsk.of(typed, tables.shared(person.viewer()).table(), person);
        if (ask.errors().isEmpty()) {
            runs.stop(person.viewer(), ask);
        }
        return "redirect:" + ask.page();
    }
}
