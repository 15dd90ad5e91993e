package dusk.ledger.web.tackle;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Alteration;
import dusk.ledger.tackle.Caution;
import dusk.ledger.tackle.HardBait;
import dusk.ledger.tackle.NearDuplicates;
import dusk.ledger.tackle.Rig;
import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.units.Figures;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.water.Fall;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.FormPage;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.Drops;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.FieldWords;
import dusk.ledger.web.words.SetUpWords;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
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
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The club's set-ups, drawn, with the fishing they have seen and what does not go together in them. */
@Controller
class TackleController {
    private final SetUps setUps;
    private final Drops drops;

    TackleController(SetUps setUps, Drops drops) {
        this.setUps = setUps;
        this.drops = drops;
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
                effort(fished),
                fished.rodHours(),
                TackleChecks.of(setUp, TackleChecks.Use.UNKNOWN, units).size());
    }

    private static String effort(SetUps.Fished fished) {
        return fished.stints() > 0
                ? Figures.trimmed(fished.rodHours(), 1) + " rod-hours in " + fished.stints()
                        + (fished.stints() == 1 ? " stint" : " stints")
                : "not fished yet";
    }

    /** A rig to start from. */
    record Drawn(String name, String portrait) {}

    @GetMapping("/tackle/new")
    String fresh(Person person, @RequestParam(defaultValue = "") String rig, Model model) {
        if (rig.isBlank()) {
            model.addAttribute(
                    "rigs", Rig.all().stream().map(TackleController::drawn).toList());
            return "tackle/rigs";
        }
        SetUpForm form = new SetUpForm(rig.strip(), person.units());
        return FormPage.show(model, form.record().form(newHead(rig.strip()), form.usual(), List.of()));
    }

    private static Form newHead(String rig) {
        return SetUpForm.head("New " + rig, "/tackle?rig=" + rig, "/tackle/new");
    }

    private static Drawn drawn(Rig rig) {
        Map<String, String> typed = rig.usual();
        SetUp usual = new SetUpForm(rig.name(), UnitSystem.METRIC)
                .record()
                .read(typed, Map.of("setup_id", "usual", "rig", rig.name(), "colour", "green pumpkin"), null);
        return new Drawn(rig.name(), Portrait.svg(usual, rig.name()));
    }

    @PostMapping("/tackle")
    Object add(
            Person person,
            @RequestParam String rig,
            @RequestParam Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        SetUpForm form = new SetUpForm(rig, person.units());
        SetUp setUp;
        List<Invalid.Problem> problems;
        try {
            setUp = form.record().read(typed, Map.of("setup_id", setUps.newId(), "rig", rig), null);
            problems = SetUpForm.problems(setUp);
        } catch (Invalid e) {
            return FormPage.refuse(model, response, form.record(), newHead(rig), typed, e.problems());
        }
        if (!problems.isEmpty()) {
            return FormPage.refuse(model, response, form.record(), newHead(rig), typed, problems);
        }
        setUps.add(person.viewer(), setUp);
        return FormPage.saved("/tackle/set-ups/" + setUp.id(), htmx);
    }

    /** A set-up's page in words. */
    record Sheet(
            String id,
            String words,
            String portrait,
            String fished,
            boolean wasFished,
            Map<String, String> fields,
            List<Caution> cautions,
            @Nullable Relative from,
            List<Relative> changes) {}

    /** A set-up that differs by a change. */
    record Relative(String id, String words, String differ) {}

    @GetMapping("/tackle/set-ups/{id}")
    String one(Person person, @PathVariable String id, Model model) {
        Viewer viewer = person.viewer();
        UnitSystem units = person.units();
        SetUp setUp = setUps.one(viewer, id);
        List<SetUp> all = setUps.all(viewer);
        SetUps.Fished fished = setUps.fished(viewer).getOrDefault(id, SetUps.Fished.NEVER);
        String words = SetUpWords.of(setUp, units);
        Map<String, String> typed = new SetUpForm(setUp.rig(), units).record().typed(setUp);
        Map<String, String> fields = new LinkedHashMap<>();
        for (FileColumn<SetUp> column : LedgerFormat.SETUPS
                .columns()
                .subList(2, LedgerFormat.SETUPS.columns().size())) {
            String value = typed.getOrDefault(column.name(), "");
            if (!value.isEmpty()) {
                fields.put(FieldWords.of(column.name()), value);
            }
        }
        model.addAttribute(
                "sheet",
                new Sheet(
                        id,
                        words,
                        Portrait.svg(setUp, words),
                        effort(fished),
                        fished.stints() > 0,
                        fields,
                        TackleChecks.of(setUp, TackleChecks.Use.UNKNOWN, units),
                        all.stream()
                                .filter(s -> s.id().equals(setUp.fromSetUpId()))
                                .map(s -> new Relative(
                                        s.id(), SetUpWords.of(s, units), SetUpWords.changed(s, setUp, units)))
                                .findFirst()
                                .orElse(null),
                        all.stream()
                                .filter(s -> id.equals(s.fromSetUpId()))
                                .map(s -> new Relative(
                                        s.id(), SetUpWords.of(s, units), SetUpWords.changed(setUp, s, units)))
                                .toList()));
        model.addAttribute("falls", FallView.of(Fall.of(setUp, drops.calibrations(viewer)), units));
        return "tackle/set-up";
    }

    @GetMapping("/tackle/set-ups/{id}/change")
    String edit(Person person, @PathVariable String id, Model model) {
        SetUp setUp = setUps.one(person.viewer(), id);
        RecordForm<SetUp> form = new SetUpForm(setUp.rig(), person.units()).record();
        return FormPage.show(model, form.form(changeHead(setUp), form.typed(setUp), List.of()));
    }

    private static Form changeHead(SetUp setUp) {
        String page = "/tackle/set-ups/" + setUp.id();
        return SetUpForm.head("Change the " + setUp.rig(), page, page);
    }

    @PostMapping("/tackle/set-ups/{id}")
    Object change(
            Person person,
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        SetUp before = setUps.one(person.viewer(), id);
        RecordForm<SetUp> form = new SetUpForm(before.rig(), person.units()).record();
        try {
            SetUp after = form.read(typed, Map.of(), before);
            List<Invalid.Problem> problems = SetUpForm.problems(after);
            if (!problems.isEmpty()) {
                return FormPage.refuse(model, response, form, changeHead(before), typed, problems);
            }
            String now = Alteration.differences(before, after).isEmpty()
                    ? id
                    : setUps.change(person.viewer(), before, after);
            return FormPage.saved("/tackle/set-ups/" + now, htmx);
        } catch (Invalid e) {
            return FormPage.refuse(model, response, form, changeHead(before), typed, e.problems());
        }
    }

    /** Every rig with its usual parts, every plastic on one head, every head shape, to be told apart without their names. */
    @GetMapping("/tackle/sheet")
    String sheet(Person person, Model model) {
        model.addAttribute(
                "rigs", Rig.all().stream().map(TackleController::drawn).toList());
        model.addAttribute(
                "plastics",
                Words.of("plastic").stream()
                        .filter(p -> !p.equals("none"))
                        .map(p -> new Drawn(p, example(p, "ball")))
                        .toList());
        model.addAttribute(
                "heads",
                Words.of("head_shape").stream()
                        .filter(h -> !h.equals("none"))
                        .map(h -> new Drawn(h, example("straight-tail minnow", h)))
                        .toList());
        return "tackle/sheet";
    }

    private static String example(String plastic, String head) {
        boolean hard = HardBait.hangsOnTrebles(plastic);
        Map<String, String> typed = new LinkedHashMap<>(Map.of(
                "plastic",
                plastic,
                "plastic_length_mm",
                "90 mm",
                "colour",
                "watermelon",
                "head_shape",
                hard ? "none" : head));
        if (!hard) {
            typed.put("head_mass_g", head.equals("ball") ? "5 g" : "10 g");
        }
        SetUp setUp = new SetUpForm("any", UnitSystem.METRIC)
                .record()
                .read(typed, Map.of("setup_id", "example", "rig", hard ? "hard bait" : "open jig head"), null);
        return Portrait.svg(setUp, plastic + ", " + head);
    }

    /** One portrait, for the preview beside a choice. */
    @GetMapping("/tackle/portrait")
    String portrait(Person person, @RequestParam(name = "setup_id") String setUpId, Model model) {
        if (setUpId.isEmpty()) {
            return "tackle/list :: no-portrait";
        }
        SetUp setUp = setUps.one(person.viewer(), setUpId);
        model.addAttribute("portrait", Portrait.svg(setUp, SetUpWords.of(setUp, person.units())));
        return "tackle/list :: portrait";
    }
}
