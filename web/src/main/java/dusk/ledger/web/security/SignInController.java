package dusk.ledger.web.security;

import dusk.ledger.web.records.People;
import dusk.ledger.web.store.Clubs;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The sign-in page. */
@Controller
@ForReaders
class SignInController {
    private final Clubs clubs;
    private final People people;
    private final boolean demo;

    SignInController(Clubs clubs, People people, @Value("${dusk.demo}") boolean demo) {
        this.clubs = clubs;
        this.people = people;
        this.demo = demo;
    }

    @GetMapping("/sign-in")
    String page(Model model) {
        List<Clubs.Club> all = clubs.all();
        if (all.isEmpty()) {
            return "redirect:/begin";
        }
        model.addAttribute("demoPeople", demo ? people.ofClub(all.get(0).id()) : List.of());
        return "security/sign-in";
    }
}
