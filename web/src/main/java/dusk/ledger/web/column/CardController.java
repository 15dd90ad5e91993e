package dusk.ledger.web.column;

import dusk.ledger.journal.SetUp;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Calibrations;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Fall;
import dusk.ledger.web.choose.Choices;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.Drops;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.words.CountTable;
import dusk.ledger.web.words.SetUpWords;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Counts by depth of a few set-ups, to be printed and carried. */
@Controller
class CardController {
    /** As many as a pocket holds, and as many rows as one page prints. */
    private static final int USUAL = 6;

    private static final int MOST = 24;

    private final ColumnChoices choices;
    private final Choices finding;
    private final Drops drops;

    CardController(ColumnChoices choices, Choices finding, Drops drops) {
        this.choices = choices;
        this.finding = finding;
        this.drops = drops;
    }

    /** A set-up of the card; no counts where it cannot be told why. */
    record Row(String words, String portrait, List<String> counts, String rests) {}

    @GetMapping("/column/card")
    String card(Person person, @RequestParam MultiValueMap<String, String> asked, Model model) {
        UnitSystem units = person.units();
        ColumnChoices.Offered offered = choices.offered(person.viewer());
        Choices.Offers offers = finding.offers(person);
        Map<String, SetUp> setUps = offered.setUps();
        Calibrations calibrations = drops.calibrations(person.viewer());
        boolean salt = asked.containsKey("salt");
        String words = String.join("", asked.getOrDefault(FormField.FIND + "pick", List.of()));
        List<SetUp> picked = picked(setUps, asked.getOrDefault("pick", List.of()), calibrations, units);
        model.addAttribute(
                "depths",
                CountTable.depths(units).stream()
                        .map(d -> d.show(units.depth()))
                        .toList());
        model.addAttribute(
                "rows",
                picked.stream().map(s -> row(s, calibrations, units, salt)).toList());
        model.addAttribute("picked", picked.stream().map(SetUp::id).toList());
        model.addAttribute("salt", salt);
        model.addAttribute(
                "setUps",
                ColumnChoices.groups(
                        person,
                        offered,
                        offers,
                        "pick",
                        Map.of(FormField.FIND + "pick", words),
                        Set.copyOf(picked.stream().map(SetUp::id).toList())));
        model.addAttribute("find", offers.manySetUps());
        model.addAttribute("words", words);
        return "column/card";
    }

    /** Those asked for; else those most fished whose fall can be told, each in words once. */
    private static List<SetUp> picked(
            Map<String, SetUp> setUps, List<String> ids, Calibrations calibrations, UnitSystem units) {
        if (!ids.isEmpty()) {
            return ids.stream()
                    .filter(setUps::containsKey)
                    .distinct()
                    .limit(MOST)
                    .map(setUps::get)
                    .toList();
        }
        List<SetUp> usual = new ArrayList<>();
        Set<String> said = new HashSet<>();
        for (SetUp setUp : setUps.values()) {
            if (usual.size() < USUAL
                    && Fall.of(setUp, calibrations) instanceof Fall.Known
                    && said.add(SetUpWords.of(setUp, units))) {
                usual.add(setUp);
            }
        }
        return usual;
    }

    private static Row row(SetUp setUp, Calibrations calibrations, UnitSystem units, boolean salt) {
        String words = SetUpWords.of(setUp, units);
        String portrait = Portrait.svg(setUp, words);
        Fall fall = Fall.of(setUp, calibrations);
        if (fall instanceof Fall.Unknown unknown) {
            return new Row(words, portrait, List.of(), unknown.why());
        }
        Fall.Known known = (Fall.Known) fall;
        List<String> counts = CountTable.of(known, units, Cast.density(salt)).stream()
                .map(CountTable.Count::count)
                .toList();
        return new Row(words, portrait, counts, counts.isEmpty() ? "It floats." : known.basisWords());
    }
}
