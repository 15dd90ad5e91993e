package dusk.ledger.web.plan;

import dusk.ledger.plan.Rule;
import dusk.ledger.plan.RuleBook;
import dusk.ledger.plan.RuleTrial;
import dusk.ledger.stints.StintTable;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.RecentTables;
import dusk.ledger.web.store.Reckoned;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The trade's rules, each with what this club's records say of it. */
@Controller
class RuleBookController {
    private final RecentTables tables;
    private final Reckoned reckoned;
    private final People people;

    RuleBookController(RecentTables tables, Reckoned reckoned, People people) {
        this.people = people;
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
        model.addAttribute("followed", people.schools(person.id()));
        model.addAttribute("disputed", disputed);
        model.addAttribute("agreed", agreed);
        model.addAttribute("sentence", RuleView.sentence(trials));
        return "plan/rules";
    }

    /** Follows a school from now on, in every call that says nothing else; a blank one hears them all alike. */
    @PostMapping("/plan/schools")
    String follow(Person person, @RequestParam String question, @RequestParam(defaultValue = "") String school) {
        List<Rule> answers = RuleBook.schools().getOrDefault(question, List.of());
        boolean known = answers.stream().anyMatch(rule -> school.equals(rule.school()));
        if (answers.isEmpty() || (!known && !school.isEmpty())) {
            throw new NotYours();
        }
        people.follow(person.id(), question, school);
        return "redirect:/plan/rules";
    }
}
