package dusk.ledger.web.security;

import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Membership;
import dusk.ledger.web.records.People;
import dusk.ledger.web.store.Clubs;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** A new store: names the club and makes its first records officer. Gone once there is a club. */
@Controller
@ForReaders
class BeginController {
    private final Clubs clubs;
    private final People people;
    private final Membership membership;
    private final NewcomerForm newcomers;
    private final CurrentPerson current;

    BeginController(Clubs clubs, People people, Membership membership, NewcomerForm newcomers, CurrentPerson current) {
        this.clubs = clubs;
        this.people = people;
        this.membership = membership;
        this.newcomers = newcomers;
        this.current = current;
    }

    @GetMapping("/begin")
    String page(Model model) {
        onlyOnce();
        model.addAttribute("typed", Map.of());
        model.addAttribute("errors", Map.of());
        return "security/begin";
    }

    @PostMapping("/begin")
    String begin(
            @RequestParam Map<String, String> typed,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        onlyOnce();
        Typed fields = NewcomerForm.typed(typed);
        String club = fields.named("club", "Write the club's name.");
        Membership.Newcomer officer = newcomers.read(fields);
        Optional<String> id = officer == null ? Optional.empty() : membership.begin(club, officer);
        if (id.isEmpty()) {
            onlyOnce();
            model.addAttribute("typed", typed);
            model.addAttribute("errors", fields.errors());
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return "security/begin";
        }
        current.signIn(people.byId(id.get()).orElseThrow(), request, response);
        return "redirect:/first";
    }

    private void onlyOnce() {
        if (!clubs.all().isEmpty()) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
    }
}
