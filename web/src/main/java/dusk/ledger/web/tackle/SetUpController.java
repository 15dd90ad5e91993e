package dusk.ledger.web.tackle;

import dusk.ledger.format.FileColumn;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.SetUp;
import dusk.ledger.safety.Handling;
import dusk.ledger.tackle.Alteration;
import dusk.ledger.tackle.Caution;
import dusk.ledger.tackle.Hook;
import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Fall;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.FormPage;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.Alone;
import dusk.ledger.web.records.Drops;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.EffortWords;
import dusk.ledger.web.words.FieldWords;
import dusk.ledger.web.words.SetUpWords;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A set-up on its page, and changed: what was fished stays as it was fished, so the change of one is a new one. */
@Controller
class SetUpController {
    private final Alone alone;
    private final SetUps setUps;
    private final Drops drops;

    SetUpController(Alone alone, SetUps setUps, Drops drops) {
        this.alone = alone;
        this.setUps = setUps;
        this.drops = drops;
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
            List<String> care,
            @Nullable Relative from,
            List<Relative> changes) {}

    /** A set-up that differs by a change. */
    record Relative(String id, String words, String differ) {}

    @GetMapping("/tackle/set-ups/{id}")
    String one(Person person, @PathVariable String id, Model model) {
        Viewer viewer = person.viewer();
        UnitSystem units = person.units();
        SetUp setUp = setUps.one(viewer, id);
        List<SetUp> all = setUps.kin(viewer, setUp);
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
                        EffortWords.of(fished),
                        fished.stints() > 0,
                        fields,
                        TackleChecks.of(setUp, TackleChecks.Use.UNKNOWN, units),
                        Handling.of(setUp).stream().map(Handling::words).toList(),
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
        return FormPage.show(model, form.form(changeHead(setUp), form.typed(setUp), List.of(), setUp));
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
            String now = alone.in(person.viewer(), () -> {
                SetUp stored = setUps.one(person.viewer(), id);
                SetUp after = form.read(typed, Map.of(), stored);
                List<Invalid.Problem> problems = Hook.wrong(after);
                if (!problems.isEmpty()) {
                    throw new Invalid(problems);
                }
                return Alteration.differences(stored, after).isEmpty()
                        ? id
                        : setUps.change(person.viewer(), stored, after);
            });
            return FormPage.saved("/tackle/set-ups/" + now, htmx);
        } catch (Invalid e) {
            SetUp now = setUps.one(person.viewer(), id);
            return FormPage.refuse(model, response, form, changeHead(now), typed, e.problems(), now);
        }
    }
}
