package dusk.ledger.web.tackle;

import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Hook;
import dusk.ledger.tackle.Rig;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.FormPage;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A new set-up, put together by its rig. */
@Controller
class NewSetUpController {
    private final SetUps setUps;

    NewSetUpController(SetUps setUps) {
        this.setUps = setUps;
    }

    @GetMapping("/tackle/new")
    String fresh(
            Person person,
            @RequestParam(defaultValue = "") String rig,
            @RequestParam(defaultValue = "") String like,
            Model model) {
        if (rig.isBlank()) {
            model.addAttribute("rigs", Rig.all().stream().map(Drawn::usual).toList());
            model.addAttribute("kinds", Words.of("rig"));
            return "tackle/rigs";
        }
        boolean kin = Words.of("rig").contains(like) && Rig.of(rig.strip()).isEmpty();
        String word = kin ? rig.strip().replaceAll("[()]", "") + " (like: " + like + ")" : rig.strip();
        SetUpForm form = new SetUpForm(word, person.units());
        return FormPage.show(model, form.record().form(newHead(word), form.usual(), List.of()));
    }

    private static Form newHead(String rig) {
        return SetUpForm.head("New " + rig, "/tackle?rig=" + rig, "/tackle/new");
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
            problems = Hook.wrong(setUp);
        } catch (Invalid e) {
            return FormPage.refuse(model, response, form.record(), newHead(rig), typed, e.problems(), null);
        }
        if (!problems.isEmpty()) {
            return FormPage.refuse(model, response, form.record(), newHead(rig), typed, problems, null);
        }
        setUps.add(person.viewer(), setUp);
        return FormPage.saved("/tackle/set-ups/" + setUp.id(), htmx);
    }
}
