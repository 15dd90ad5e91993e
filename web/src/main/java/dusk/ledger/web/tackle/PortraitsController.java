package dusk.ledger.web.tackle;

import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.HardBait;
import dusk.ledger.tackle.Rig;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.words.SetUpWords;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Portraits to be told apart, and the one beside a choice. */
@Controller
class PortraitsController {
    private final SetUps setUps;

    PortraitsController(SetUps setUps) {
        this.setUps = setUps;
    }

    /** Every rig with its usual parts, every plastic on one head, every head shape, to be told apart without their names. */
    @GetMapping("/tackle/sheet")
    String sheet(Person person, Model model) {
        model.addAttribute("rigs", Rig.all().stream().map(Drawn::usual).toList());
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

    static String example(String plastic, String head) {
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
