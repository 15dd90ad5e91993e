package dusk.ledger.web.findings;

import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.records.ClubNames;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.Viewer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;

/** What every finding can be narrowed by: species, least length and conditions; read from the address, laid out for the form. */
@Component
class AskForm {
    /** Conditions that can be held at once. */
    private static final int CONDITIONS = 3;

    private final ClubNames names;

    AskForm(ClubNames names) {
        this.names = names;
    }

    /**
     * Reads what was asked and puts it, with what could be asked, into the model.
     *
     * @param asked a map, since a list would be split at the commas that a level may hold
     */
    CompareAsk read(Person person, StintTable table, String factor, MultiValueMap<String, String> asked, Model model) {
        CompareAsk ask = CompareAsk.of(
                factor,
                asked.getOrDefault("where", List.of()),
                first(asked, "species"),
                first(asked, "least"),
                table,
                person.units());
        model.addAttribute("ask", ask);
        model.addAttribute("nothing", table.size() == 0);
        model.addAttribute("factors", CompareAsk.factors());
        model.addAttribute("conditions", conditions(person.viewer(), table));
        model.addAttribute("slots", slots(ask.where()));
        model.addAttribute("species", table.species());
        return ask;
    }

    private static String first(MultiValueMap<String, String> asked, String name) {
        String value = asked.getFirst(name);
        return value == null ? "" : value;
    }

    /** The conditions held, and room for one more up to the most. */
    private static List<String> slots(List<String> held) {
        List<String> slots = new ArrayList<>(held);
        while (slots.size() < CONDITIONS) {
            slots.add("");
        }
        return slots;
    }

    /** Every level that occurs, by factor, as a sentence says where it was; waters by their names. */
    private List<FormField.Group> conditions(Viewer viewer, StintTable table) {
        Map<String, String> waters = names.waters(viewer);
        List<FormField.Group> groups = new ArrayList<>();
        for (Factor factor : Factor.values()) {
            if (!CompareAsk.comparable(factor) && factor != Factor.WATER) {
                continue;
            }
            List<FormField.Option> options = table.codes(factor).levels().stream()
                    .skip(1)
                    .map(l -> new FormField.Option(
                            factor.key() + "=" + l,
                            factor == Factor.WATER ? "on " + waters.getOrDefault(l, l) : factor.where(l)))
                    .toList();
            if (options.size() > 1) {
                groups.add(new FormField.Group(factor.title(), options));
            }
        }
        return groups;
    }
}
