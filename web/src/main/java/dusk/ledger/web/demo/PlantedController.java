package dusk.ledger.web.demo;

import dusk.ledger.demo.Planted;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Tells what was planted in the demo club, so that everyone can judge what the findings make of it. */
@Controller
@ConditionalOnProperty("dusk.demo")
class PlantedController {
    @GetMapping("/demo/planted")
    String page(Model model) {
        model.addAttribute("truths", Planted.TRUTHS);
        model.addAttribute("traps", Planted.TRAPS);
        return "demo/planted";
    }
}
