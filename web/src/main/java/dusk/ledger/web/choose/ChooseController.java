package dusk.ledger.web.choose;

import dusk.ledger.web.form.FormField;
import dusk.ledger.web.records.Person;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The options of a field while words are written beside it. */
@Controller
class ChooseController {
    private final Choices choices;

    ChooseController(Choices choices) {
        this.choices = choices;
    }

    /** The first of them is chosen with it. Without words the likely ones. */
    @GetMapping("/choose")
    String options(Person person, @RequestParam Map<String, String> asked, Model model) {
        String field = Choices.fields(asked).findFirst().orElse("setup_id");
        String words = asked.getOrDefault(FormField.FIND + field, "");
        Choices.Matches matches = choices.matching(person, field, words);
        model.addAttribute("options", matches.first());
        model.addAttribute("words", words.strip());
        model.addAttribute("more", matches.count() - matches.first().size());
        return "choose :: options";
    }
}
