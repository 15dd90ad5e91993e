package dusk.ledger.web.plan;

import dusk.ledger.plan.RuleBook;
import dusk.ledger.plan.RuleTrial;
import dusk.ledger.stints.StintTable;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Reckoned;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The trade's rules, each with what this club's records say of it. */
@Controller
class RuleBookController {
    private final RecentTables tables;
    private final Reckoned reckoned;

    RuleBookController(RecentTables tables, Reckoned reckoned) {
        this.tables = tables;
        this.reckoned = reckoned;
    }

    /** Every rule's trials, in the order of the book. */
    private record Trials(List<List<RuleTrial>> all) {
        static Trials of(StintTable table) {
            return new Trials(RuleBook.rules().stream()
                    .map(rule -> RuleTrial.of(table, rule))
                    .toList());
        }
    }

    @GetMapping("/plan/rules")
    String rules(Person person, Model model) {
        StintTable table = tables.of(person.viewer());
        List<List<RuleTrial>> trials =
                reckoned.of(table, Trials.class, "rules", Trials::of).all();
        List<RuleView> rules = trials.stream().map(RuleView::of).toList();
        Map<String, List<RuleView>> disputed = new LinkedHashMap<>();
        List<RuleView> agreed = new ArrayList<>();
        for (RuleView rule : rules) {
            if (rule.question().isEmpty()) {
                agreed.add(rule);
            } else {
                disputed.computeIfAbsent(rule.question(), q -> new ArrayList<>())
                        .add(rule);
            }
        }
        model.addAttribute("disputed", disputed);
        model.addAttribute("agreed", agreed);
        model.addAttribute("sentence", RuleView.sentence(trials));
        return "plan/rules";
    }
}
