package dusk.ledger.web.findings;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.Contrast;
import dusk.ledger.evidence.Headline;
import dusk.ledger.evidence.Leaning;
import dusk.ledger.evidence.LevelFigures;
import dusk.ledger.evidence.LikeForLike;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.Sides;
import dusk.ledger.evidence.Verdict;
import dusk.ledger.stints.StintTable;
import dusk.ledger.web.records.ClubNames;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.security.ForReaders;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Reckoned;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.PlaceWords;
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
@ForReaders
class CompareController {
    private static final int REASONS = 2;

    private final RecentTables tables;
    private final Reckoned reckoned;
    private final AskForm form;
    private final ClubNames names;
    private final Places places;

    CompareController(RecentTables tables, Reckoned reckoned, AskForm form, ClubNames names, Places places) {
        this.tables = tables;
        this.reckoned = reckoned;
        this.form = form;
        this.names = names;
        this.places = places;
    }

    /** What lifts the leader of a tally. */
    private record Lifted(List<Leaning> by) {}

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
        Question question = ask.question();
        if (question == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        } else {
            Comparison comparison = comparison(table, question);
            Verdict tally = Verdict.of(comparison);
            LikeForLike fair = reckoned.of(table, LikeForLike.class, question, t -> LikeForLike.of(t, question));
            model.addAttribute("answer", CompareView.of(comparison));
            model.addAttribute(
                    "headline",
                    Headline.ofLevels(comparison, tally, fair, why(person.viewer(), table, question, tally)));
            List<String> recorded =
                    comparison.recorded().stream().map(LevelFigures::level).toList();
            if (recorded.contains(level) && recorded.size() > 1) {
                model.addAttribute("contrast", contrast(table, question, comparison, recorded, level, versus));
            } else if (recorded.size() > 1) {
                // rates stand at once; what is compared like for like takes longer and comes behind them
                model.addAttribute("toCome", ask.page(first(fair, tally, recorded)));
            }
        }
        return Boolean.TRUE.equals(model.getAttribute("part")) && model.containsAttribute("contrast")
                ? "findings/compare :: contrast"
                : "findings/compare";
    }

    /** The level that is compared where none was asked for: the one that the headline is about. */
    private static String first(LikeForLike fair, Verdict tally, List<String> recorded) {
        return fair.lead()
                .or(fair::nearest)
                .map(LikeForLike.Told::level)
                .orElse(tally.top() == null ? recorded.get(0) : tally.top());
    }

    /** Why the plain tally may favour its leader, in words that this person may read. */
    private List<String> why(Viewer viewer, StintTable table, Question question, Verdict tally) {
        String top = tally.top();
        if (top == null) {
            return List.of();
        }
        Lifted lifted = reckoned.of(table, Lifted.class, question, top, t -> new Lifted(Leaning.of(t, question, top)));
        return lifted.by().stream()
                .limit(REASONS)
                .map(l -> l.words((factor, value) -> switch (factor) {
                    case ANGLER -> names.anglers(viewer).getOrDefault(value, "one angler");
                    case SPOT -> places.one(viewer, value).map(PlaceWords::of).orElse("one place");
                    default -> value;
                }))
                .toList();
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
                table, Contrast.class, question, sides, t -> Contrast.of(t, question, sides, Contrast.Method.USUAL));
        return ContrastView.of(comparison, contrast);
    }

    private Comparison comparison(StintTable table, Question question) {
        return reckoned.of(table, Comparison.class, question, t -> Comparison.of(t, question));
    }
}
