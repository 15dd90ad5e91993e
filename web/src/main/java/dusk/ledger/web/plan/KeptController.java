package dusk.ledger.web.plan;

import dusk.ledger.journal.SetUp;
import dusk.ledger.plan.Promises;
import dusk.ledger.plan.Rule;
import dusk.ledger.plan.RuleBook;
import dusk.ledger.units.Figures;
import dusk.ledger.web.portrait.Svg;
import dusk.ledger.web.records.Calls;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.words.PromiseWords;
import dusk.ledger.web.words.SetUpWords;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Whether calls hold: what was promised against what was caught. */
@Controller
class KeptController {
    private static final int SHOWN = 20;

    /** Rods of which fewer say nothing of calls. */
    private static final int ENOUGH = 10;

    private final Calls calls;
    private final SetUps setUps;
    private final Waters waters;

    KeptController(Calls calls, SetUps setUps, Waters waters) {
        this.calls = calls;
        this.setUps = setUps;
        this.waters = waters;
    }

    /** A tenth as the page lays it out. */
    record Row(String promised, int rods, String hours, String expected, int fish) {}

    /** A rule that was followed. */
    record Ruled(String id, String title, String came, String others) {}

    /** A call that was kept. */
    record Kept(String when, String water, boolean fished, List<String> rods) {}

    @GetMapping("/plan/kept")
    String kept(Person person, Model model) {
        Promises promises = calls.promises(person.viewer());
        model.addAttribute("sentence", sentence(promises));
        model.addAttribute("picture", promises.promises().isEmpty() ? "" : draw(promises.tenths()));
        model.addAttribute(
                "rows",
                promises.tenths().stream()
                        .map(t -> new Row(
                                Figures.fixed(t.from(), 2) + (t.rods() > 1 ? " to " + Figures.fixed(t.to(), 2) : ""),
                                t.rods(),
                                Figures.fixed(t.rodHours(), 1),
                                Figures.fixed(t.expected(), 1),
                                t.fish()))
                        .toList());
        Map<String, String> titles = RuleBook.rules().stream().collect(Collectors.toMap(Rule::id, Rule::title));
        model.addAttribute(
                "rules",
                promises.byRule().stream()
                        .map(f -> new Ruled(
                                f.rule().replace(' ', '-'),
                                titles.getOrDefault(f.rule(), f.rule()),
                                f.fish() + " fish in " + Figures.fixed(f.rodHours(), 1) + " rod-hours",
                                f.otherHours() > 0
                                        ? f.otherFish() + " in " + Figures.fixed(f.otherHours(), 1)
                                        : "nothing else fished"))
                        .toList());
        model.addAttribute("kept", list(person));
        return "plan/kept";
    }

    private List<Kept> list(Person person) {
        List<Calls.Call> newest =
                calls.all(person.viewer()).stream().limit(SHOWN).toList();
        Map<String, SetUp> tied = setUps
                .of(
                        person.viewer(),
                        newest.stream()
                                .flatMap(call -> call.rods().stream())
                                .map(Calls.Rod::setUpId)
                                .collect(Collectors.toSet()))
                .stream()
                .collect(Collectors.toMap(SetUp::id, one -> one));
        Map<Calls.Call, List<Calls.Came>> came = calls.came(person.viewer(), newest);
        return newest.stream()
                .map(call -> new Kept(
                        call.conditions(),
                        waters.one(person.viewer(), call.waterId()).name(),
                        call.tripId() != null,
                        call.rods().stream()
                                .map(rod ->
                                        SetUpWords.of(Objects.requireNonNull(tied.get(rod.setUpId())), person.units())
                                                + ": " + PromiseWords.of(rod, came.getOrDefault(call, List.of())))
                                .toList()))
                .toList();
    }

    /** Fewer than 85 of 100 hold, of enough to say so. */
    private static boolean misled(Promises promises) {
        int rods = promises.promises().size();
        return rods >= ENOUGH && promises.held() < 0.85 * rods;
    }

    private static String sentence(Promises promises) {
        int rods = promises.promises().size();
        if (rods == 0) {
            return "No call was taken to the deck and fished yet: what calls promise, and what comes of it, will stand here.";
        }
        double times = promises.fish() / promises.expected();
        return (misled(promises) ? "Do not trust these calls: " : "") + "Calls promised "
                + Figures.fixed(promises.expected(), 1) + " fish on " + rods
                + (rods == 1 ? " rod" : " rods") + " and " + promises.fish() + " came, " + Figures.fixed(times, 2)
                + " times as many; " + promises.held() + " of " + rods + " came within what was promised"
                + (rods < ENOUGH ? ". That is too few to say more." : ", where 95 of 100 should.");
    }

    /** Promised across, caught up, both in fish a rod-hour; the line is where they are the same. */
    private static String draw(List<Promises.Tenth> tenths) {
        double most = tenths.stream()
                .mapToDouble(t -> Math.max(t.expected() / t.rodHours(), t.fish() / t.rodHours()))
                .max()
                .orElse(1);
        double scale = 260 / Math.max(most, 0.1);
        Svg svg = new Svg();
        svg.add(
                "<svg class=\"promised\" viewBox=\"0 0 330 310\" role=\"img\" aria-label=\"%s\">",
                Svg.escape("Caught against promised, fish a rod-hour; the table below says the same"));
        svg.add("<line class=\"bar-even\" x1=\"40\" y1=\"270\" x2=\"300\" y2=\"10\"/>");
        svg.add("<line class=\"bar-ground\" x1=\"40\" y1=\"270\" x2=\"310\" y2=\"270\"/>");
        svg.add("<line class=\"bar-ground\" x1=\"40\" y1=\"270\" x2=\"40\" y2=\"5\"/>");
        svg.label("bar-label", 230, 300, "promised");
        svg.label("bar-label", 46, 18, "caught");
        svg.label("bar-label", 285, 288, Figures.fixed(most, 1));
        for (Promises.Tenth tenth : tenths) {
            svg.add(
                    "<circle class=\"bar-mean\" cx=\"%.1f\" cy=\"%.1f\" r=\"6\"/>",
                    40 + scale * tenth.expected() / tenth.rodHours(), 270 - scale * tenth.fish() / tenth.rodHours());
        }
        return svg.add("</svg>").toString();
    }
}
