package dusk.ledger.web.tackle;

import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.NearDuplicates;
import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.choose.Choices;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.EffortWords;
import dusk.ledger.web.words.SetUpWords;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The club's set-ups, drawn, with the fishing they have seen and what does not go together in them. */
@Controller
class TackleController {
    /** Set-ups on a page. */
    private static final int PAGE = 24;

    private static final int PAIRS = 12;

    private final SetUps setUps;
    private final Choices choices;
    private final Shelf shelf;

    TackleController(SetUps setUps, Choices choices, Shelf shelf) {
        this.setUps = setUps;
        this.choices = choices;
        this.shelf = shelf;
    }

    /** A set-up on the page. */
    record Card(String id, String words, String portrait, String fished, double rodHours, int cautions) {}

    /** Two set-ups that are hardly told apart. */
    record Pair(Card one, Card other, String differ) {}

    @GetMapping("/tackle")
    String page(
            Person person,
            @RequestParam(defaultValue = "") String rig,
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "0") int page,
            Model model) {
        Viewer viewer = person.viewer();
        UnitSystem units = person.units();
        Map<String, SetUps.Fished> fished = setUps.fished(viewer);
        Map<String, List<Shelf.Alike>> byRig = shelf.byRig(viewer);
        String open = byRig.containsKey(rig)
                ? rig
                : byRig.keySet().stream().findFirst().orElse("");
        Set<String> found = find.isBlank() ? Set.of() : choices.holding(person, find);
        List<Shelf.Alike> shown = (find.isBlank()
                        ? byRig.getOrDefault(open, List.of()).stream()
                        : byRig.values().stream()
                                .flatMap(List::stream)
                                .filter(alike -> found.contains(alike.first().id())))
                .sorted(Comparator.comparingDouble(
                                (Shelf.Alike alike) -> alike.fished(fished).rodHours())
                        .reversed())
                .toList();
        int from = Math.max(0, Math.min(page, (shown.size() - 1) / PAGE)) * PAGE;
        model.addAttribute("rigs", byRig.keySet());
        model.addAttribute("rig", find.isBlank() ? open : "");
        model.addAttribute("find", find.strip());
        model.addAttribute("count", shown.size());
        model.addAttribute("page", from / PAGE);
        model.addAttribute("more", shown.size() > from + PAGE);
        model.addAttribute(
                "cards",
                shown.stream()
                        .skip(from)
                        .limit(PAGE)
                        .map(alike -> card(alike.first(), units, alike.fished(fished)))
                        .toList());
        List<NearDuplicates.Pair> near = shelf.pairs(viewer, open);
        model.addAttribute("pairs", find.isBlank() ? shown(near, fished, units) : List.of());
        model.addAttribute("morePairs", find.isBlank() ? Math.max(0, near.size() - PAIRS) : 0);
        model.addAttribute("storage", TackleChecks.storage(setUps.all(viewer)));
        return "tackle/list";
    }

    private static List<Pair> shown(
            List<NearDuplicates.Pair> near, Map<String, SetUps.Fished> fished, UnitSystem units) {
        return near.stream()
                .limit(PAIRS)
                .map(pair -> new Pair(
                        card(pair.one(), units, fished.getOrDefault(pair.one().id(), SetUps.Fished.NEVER)),
                        card(
                                pair.other(),
                                units,
                                fished.getOrDefault(pair.other().id(), SetUps.Fished.NEVER)),
                        pair.columns().isEmpty()
                                ? "Alike in every field."
                                : SetUpWords.changed(pair.one(), pair.other(), units)))
                .toList();
    }

    private static Card card(SetUp setUp, UnitSystem units, SetUps.Fished fished) {
        String words = SetUpWords.of(setUp, units);
        return new Card(
                setUp.id(),
                words,
                Portrait.svg(setUp, words),
                EffortWords.of(fished),
                fished.rodHours(),
                TackleChecks.of(setUp, TackleChecks.Use.UNKNOWN, units).size());
    }
}
