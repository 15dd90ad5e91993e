package dusk.ledger.web.security;

import dusk.ledger.web.records.Membership;
import dusk.ledger.web.records.People;
import dusk.ledger.web.store.Clubs;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** A new store: names the club and makes its first records officer. Gone once there is a club. */
@Controller
class BeginController {
    private final Clubs clubs;
    private final People people;
    private final Membership membership;
    private final CurrentPerson current;

    BeginController(Clubs clubs, People people, Membership membership, CurrentPerson current) {
        this.clubs = clubs;
        this.people = people;
        this.membership = membership;
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
    synchronized String begin(
            @RequestParam Map<String, String> typed,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        onlyOnce();
        Map<String, String> errors = new LinkedHashMap<>();
        required(typed, "club", "Write the club's name.", errors);
        required(typed, "name", "Write your name.", errors);
        required(typed, "username", "Write the name you will sign in with.", errors);
        Passwords.fault(typed.getOrDefault("password", "")).ifPresent(fault -> errors.put("password", fault));
        if (!errors.isEmpty()) {
            model.addAttribute("typed", typed);
            model.addAttribute("errors", errors);
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return "security/begin";
        }
        String id = membership.found(
                text(typed, "club"),
                new Membership.Newcomer(text(typed, "username"), text(typed, "name"), text(typed, "password")));
        current.signIn(people.byId(id).orElseThrow(), request, response);
        return "redirect:/";
    }

    private void onlyOnce() {
        if (!clubs.all().isEmpty()) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
    }

    private static String text(Map<String, String> typed, String name) {
        return typed.getOrDefault(name, "").strip();
    }

    private static void required(Map<String, String> typed, String name, String fault, Map<String, String> errors) {
        if (text(typed, name).isEmpty()) {
            errors.put(name, fault);
        }
    }
}
