package dusk.ledger.web.tackle;

import dusk.ledger.tackle.Assembly;
import dusk.ledger.tackle.Rig;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Meanings;
import dusk.ledger.web.portrait.AssemblyFigure;
import dusk.ledger.web.portrait.WordFigure;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.words.FieldWords;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What the words mean, with a picture where there is one: for whoever is new to them. */
@Controller
class WordsController {
    private static final Map<String, String> HEADINGS = Map.of(
            "structure", "Places",
            "bite_on", "When it bit",
            "presentation", "Ways of fishing",
            "line_method", "Letting it fall");

    /**
     * @param note what its pictures show; empty where they speak for themselves
     * @param entries in the order of the vocabulary
     */
    record Section(String id, String heading, String note, boolean drawn, List<Entry> entries) {}

    /**
     * @param portrait empty where there is none
     * @param steps how a rig is put together; empty for other words
     */
    record Entry(String id, String word, String sentence, String portrait, List<Step> steps) {}

    record Step(String picture, String sentence) {}

    @GetMapping("/tackle/words")
    String words(Person person, Model model) {
        model.addAttribute(
                "sections",
                Meanings.columns().stream()
                        .map(column -> section(column, person.units()))
                        .toList());
        return "tackle/words";
    }

    private static Section section(String column, UnitSystem units) {
        List<Entry> entries = Meanings.of(column).entrySet().stream()
                .map(e -> new Entry(
                        column + "-" + e.getKey().replace(' ', '-'),
                        e.getKey(),
                        e.getValue(),
                        portrait(column, e.getKey()),
                        column.equals("rig") ? steps(e.getKey()) : List.of()))
                .toList();
        boolean drawn = entries.stream().anyMatch(e -> !e.portrait().isEmpty());
        return new Section(
                column,
                HEADINGS.getOrDefault(column, FieldWords.label(column)),
                column.equals("presentation") ? MotionStrip.note(units) : "",
                drawn,
                entries);
    }

    private static List<Step> steps(String rig) {
        return Assembly.of(rig).stream()
                .map(step -> new Step(AssemblyFigure.svg(step.parts()), step.sentence()))
                .toList();
    }

    private static String portrait(String column, String word) {
        if (word.equals("none")) {
            return "";
        }
        Optional<Rig> rig = column.equals("rig") ? Rig.of(word) : Optional.empty();
        return switch (column) {
            case "rig" -> rig.map(r -> Drawn.usual(r).portrait()).orElse("");
            case "presentation" -> MotionStrip.svg(word);
            case "plastic" -> PortraitsController.example(word, "ball");
            case "head_shape" -> PortraitsController.example("straight-tail minnow", word);
            default -> WordFigure.svg(column, word);
        };
    }
}
