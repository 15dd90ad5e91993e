package dusk.ledger.web.tackle;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.NearDuplicates;
import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.EffortWords;
import dusk.ledger.web.words.SetUpWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The club's set-ups, drawn, with the fishing they have seen and what does not go together in them. */
@Controller
class TackleController {
    private final SetUps setUps;

    TackleController(SetUps setUps) {
        this.setUps = setUps;
    }

    /** A set-up on the page. */
    record Card(String id, String words, String portrait, String fished, double rodHours, int cautions) {}

    /** Two set-ups that are hardly told apart. */
    record Pair(Card one, Card other, String differ) {}

    @GetMapping("/tackle")
    String page(Person person, @RequestParam(defaultValue = "") String rig, Model model) {
        Viewer viewer = person.viewer();
        UnitSystem units = person.units();
        Map<String, SetUps.Fished> fished = setUps.fished(viewer);
        List<SetUp> all = setUps.all(viewer);
        Map<String, List<Card>> byRig = new TreeMap<>();
        alike(all)
                .forEach((one, same) -> byRig.computeIfAbsent(one.rig(), r -> new ArrayList<>())
                        .add(card(
                                one,
                                units,
                                same.stream()
                                        .map(s -> fished.getOrDefault(s.id(), SetUps.Fished.NEVER))
                                        .reduce(SetUps.Fished.NEVER, SetUps.Fished::and))));
        byRig.values()
                .forEach(cards ->
                        cards.sort(Comparator.comparingDouble(Card::rodHours).reversed()));
        String open = byRig.containsKey(rig)
                ? rig
                : byRig.keySet().stream().findFirst().orElse("");
        model.addAttribute("rigs", byRig.keySet());
        model.addAttribute("rig", open);
        model.addAttribute("cards", byRig.getOrDefault(open, List.of()));
        model.addAttribute("pairs", pairs(all, open, fished, units));
        model.addAttribute("storage", TackleChecks.storage(all));
        return "tackle/list";
    }

    /** Set-ups alike in everything stand as one: they are one thing in the box, however often the way there differed. */
    private static Map<SetUp, List<SetUp>> alike(List<SetUp> all) {
        Map<List<@Nullable Object>, List<SetUp>> same = new LinkedHashMap<>();
        for (SetUp setUp : all) {
            List<@Nullable Object> fields = new ArrayList<>();
            for (FileColumn<SetUp> column : LedgerFormat.SETUPS
                    .columns()
                    .subList(2, LedgerFormat.SETUPS.columns().size())) {
                fields.add(column.value().apply(setUp));
            }
            same.computeIfAbsent(fields, f -> new ArrayList<>()).add(setUp);
        }
        Map<SetUp, List<SetUp>> byFirst = new LinkedHashMap<>();
        same.values().forEach(list -> byFirst.put(list.get(0), list));
        return byFirst;
    }

    private static List<Pair> pairs(List<SetUp> all, String rig, Map<String, SetUps.Fished> fished, UnitSystem units) {
        return NearDuplicates.among(
                        all.stream().filter(s -> s.rig().equals(rig)).toList())
                .stream()
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
