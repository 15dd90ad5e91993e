package dusk.ledger.web.account;

import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.security.CurrentPerson;
import dusk.ledger.web.security.Passwords;
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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A person's own settings. */
@Controller
class AccountController {
    private final People people;
    private final CurrentPerson current;

    AccountController(People people, CurrentPerson current) {
        this.people = people;
        this.current = current;
    }

    @GetMapping("/account")
    String page(Person person, Model model) {
        model.addAttribute("person", person);
        model.addAttribute("errors", Map.of());
        return "account/account";
    }

    @PostMapping("/account/units")
    String units(
            Person person,
            @RequestParam String units,
            @RequestParam(defaultValue = "false") boolean knots,
            RedirectAttributes flash) {
        if (!units.equals("metric") && !units.equals("us")) {
            throw new ResponseStatusException(HttpStatus.BAD_REQUEST, "units must be metric or us");
        }
        people.setUnits(person.id(), units, knots);
        flash.addFlashAttribute("said", "Units changed.");
        return "redirect:/account";
    }

    @PostMapping("/account/password")
    String password(
            Person person,
            @RequestParam(defaultValue = "") String old,
            @RequestParam(defaultValue = "") String fresh,
            Model model,
            RedirectAttributes flash,
            HttpServletRequest request,
            HttpServletResponse response) {
        Map<String, String> errors = new LinkedHashMap<>();
        if (!people.passwordIs(person.id(), old)) {
            errors.put("old", "That is not your password now.");
        }
        Passwords.fault(fresh).ifPresent(fault -> errors.put("fresh", fault));
        if (!errors.isEmpty()) {
            model.addAttribute("person", person);
            model.addAttribute("errors", errors);
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return "account/account";
        }
        people.setPassword(person.id(), fresh);
        current.signIn(person, request, response);
        flash.addFlashAttribute("said", "Password changed. Every other device you were signed in on is signed out.");
        return "redirect:/account";
    }
}
