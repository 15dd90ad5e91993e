package dusk.ledger.web.tackle;

import static dusk.ledger.web.schema.Tables.STINTS;
import static org.jooq.impl.DSL.count;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.sum;

import dusk.ledger.interchange.Tables;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Figures;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.frame.Form;
import dusk.ledger.web.frame.FormPage;
import dusk.ledger.web.frame.NotYours;
import dusk.ledger.web.frame.RecordForm;
import dusk.ledger.web.frame.UnitText;
import dusk.ledger.web.security.Person;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.store.Visibility;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriUtils;

/** The club's set-ups, drawn, with the fishing they have seen. */
@Controller
class TackleController {
    private final LedgerRows rows;
    private final Store store;
    private final NewId newId;

    TackleController(LedgerRows rows, Store store, NewId newId) {
        this.rows = rows;
        this.store = store;
        this.newId = newId;
    }

    /** A set-up on the page. */
    record Card(String id, String words, String portrait, String fished, double rodHours) {}

    @GetMapping("/tackle")
    String page(Person person, @RequestParam(defaultValue = "") String rig, Model model) {
        Viewer viewer = person.viewer();
        Map<String, double[]> fished = fished(viewer);
        Map<String, List<Card>> byRig = new TreeMap<>();
        for (SetUp setUp : rows.all(viewer, Tables.SETUPS, noCondition(), List.of())) {
            byRig.computeIfAbsent(setUp.rig(), r -> new ArrayList<>())
                    .add(card(setUp, person.units(), fished.getOrDefault(setUp.id(), new double[2])));
        }
        byRig.values()
                .forEach(cards ->
                        cards.sort(Comparator.comparingDouble(Card::rodHours).reversed()));
        String open = byRig.containsKey(rig)
                ? rig
                : byRig.keySet().stream().findFirst().orElse("");
        model.addAttribute("rigs", byRig.keySet());
        model.addAttribute("rig", open);
        model.addAttribute("cards", byRig.getOrDefault(open, List.of()));
        return "tackle/list";
    }

    private static Card card(SetUp setUp, UnitSystem units, double[] fished) {
        String words = SetUpWords.of(setUp, units);
        String effort = fished[1] > 0
                ? Figures.trimmed(fished[1], 1) + " rod-hours in " + (long) fished[0] + " stints"
                : "not fished yet";
        return new Card(setUp.id(), words, Portrait.svg(setUp, words), effort, fished[1]);
    }

    /** Stints and rod-hours by set-up. */
    private Map<String, double[]> fished(Viewer viewer) {
        Map<String, double[]> fished = new HashMap<>();
        store.read()
                .select(STINTS.SETUP_ID, count(), sum(STINTS.MINUTES))
                .from(STINTS)
                .where(Visibility.of(viewer, STINTS))
                .groupBy(STINTS.SETUP_ID)
                .forEach(r -> fished.put(
                        r.value1(), new double[] {r.value2(), r.value3().doubleValue() / 60}));
        return fished;
    }

    @GetMapping("/tackle/new")
    String fresh(Person person, Model model) {
        return FormPage.show(model, form(person).form(head(), Map.of(), List.of()));
    }

    @PostMapping("/tackle")
    Object add(
            Person person,
            @RequestParam Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        SetUp setUp;
        try {
            setUp = form(person).read(typed, Map.of("setup_id", newId.next()), null);
        } catch (Invalid e) {
            return FormPage.refuse(model, response, form(person), head(), typed, e.problems());
        }
        store.write(person.clubId(), tx -> {
            rows.insert(tx, person.clubId(), Tables.SETUPS, setUp);
            return setUp;
        });
        return FormPage.saved("/tackle?rig=" + UriUtils.encode(setUp.rig(), StandardCharsets.UTF_8), htmx);
    }

    /** One portrait, for the preview beside a choice. */
    @GetMapping("/tackle/portrait")
    String portrait(Person person, @RequestParam(name = "setup_id") String setUpId, Model model) {
        if (setUpId.isEmpty()) {
            return "tackle/list :: no-portrait";
        }
        SetUp setUp = rows.one(person.viewer(), Tables.SETUPS, setUpId).orElseThrow(NotYours::new);
        model.addAttribute("portrait", Portrait.svg(setUp, SetUpWords.of(setUp, person.units())));
        return "tackle/list :: portrait";
    }

    private static RecordForm<SetUp> form(Person person) {
        return new RecordForm<>(Tables.SETUPS, new UnitText(person.units(), ZoneOffset.UTC))
                .ask("rig", "Rig", "")
                .ask("head_mass_g", "Head weight", "3/8, 3/8 oz or 10 g")
                .ask("head_shape", "Head shape", "")
                .ask("head_material", "Head material", "")
                .ask("plastic", "Plastic", "")
                .ask("plastic_length_mm", "Length of the plastic", "10 cm or 4 in")
                .ask("colour", "Colour", "")
                .ask("colour_accent", "Accent", "")
                .askMore("head_colour", "Head colour", "")
                .askMore("hook_size", "Hook size", "")
                .askMore("hook_wire", "Hook wire", "")
                .askMore("weed_guard", "Weed guard", "")
                .askMore("keeper", "Keeper", "")
                .askMore("skirt", "Skirt", "")
                .askMore("blade", "Blade", "")
                .askMore("rattle", "Rattle", "")
                .askMore("plastic_material", "Material of the plastic", "")
                .askMore("leader_mm", "Hook to weight", "where they are apart")
                .askMore("line_material", "Line", "")
                .askMore("line_strength_n", "Line strength", "4 kg or 8 lb")
                .askMore("line_diameter_mm", "Line diameter", "in mm")
                .askMore("leader_material", "Leader", "")
                .askMore("leader_strength_n", "Leader strength", "")
                .askMore("leader_diameter_mm", "Leader diameter", "in mm");
    }

    private static Form head() {
        return new Form("setup-form", "New set-up", "/tackle", "Save the set-up", "/tackle", List.of(), List.of());
    }
}
