package dusk.ledger.web.findings;

import dusk.ledger.columns.StintTable;
import dusk.ledger.patterns.Findings;
import dusk.ledger.patterns.Pattern;
import dusk.ledger.units.Length;
import dusk.ledger.web.security.Person;
import dusk.ledger.web.store.ClubTables;
import dusk.ledger.web.store.Viewer;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

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
    String patterns(
            Person person,
            @RequestParam(defaultValue = "") String species,
            @RequestParam(defaultValue = "") String least,
            Model model,
            HttpServletResponse response) {
        Viewer viewer = person.viewer();
        StintTable table = tables.of(viewer);
        model.addAttribute("species", table.species());
        model.addAttribute("chosenSpecies", species);
        model.addAttribute("least", least);
        model.addAttribute("legend", InkMark.legend());
        model.addAttribute("stints", table.size());
        Length length;
        try {
            length = length(least, person);
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("leastError", e.getMessage());
            return "findings/patterns";
        }
        PatternRuns.Run run = runs.of(viewer, blankAsNull(species), length);
        Optional<Findings> found = run.found(PATIENCE_MILLIS);
        if (found.isPresent()) {
            show(model, viewer, table, table.fish(blankAsNull(species), length), found.get());
        } else if (run.stopped()) {
            runs.forget(viewer, blankAsNull(species), length);
            model.addAttribute("stopped", true);
        } else {
            model.addAttribute("percent", run.percent());
        }
        return Boolean.TRUE.equals(model.getAttribute("part")) ? "findings/patterns :: answer" : "findings/patterns";
    }

    private void show(Model model, Viewer viewer, StintTable table, int[] fish, Findings findings) {
        Map<String, String> anglers = names.anglers(viewer);
        Map<String, String> trips = names.trips(viewer);
        List<PatternCard> cards = findings.patterns().stream()
                .map((Pattern p) -> PatternCard.of(table, fish, p, anglers, trips))
                .toList();
        model.addAttribute("forYou", cards.stream().filter(c -> !c.against()).toList());
        model.addAttribute(
                "against", cards.stream().filter(PatternCard::against).toList());
        model.addAttribute("findings", findings);
    }

    @PostMapping("/findings/patterns/stop")
    String stop(
            Person person,
            @RequestParam(defaultValue = "") String species,
            @RequestParam(defaultValue = "") String least) {
        runs.of(person.viewer(), blankAsNull(species), length(least, person)).stop();
        return "redirect:/findings/patterns";
    }

    private static @Nullable Length length(String typed, Person person) {
        return typed.isBlank() ? null : Length.parse(typed, person.units().lure());
    }

    private static @Nullable String blankAsNull(String text) {
        return text.isBlank() ? null : text;
    }
}
