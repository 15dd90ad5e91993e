package dusk.ledger.web.security;

import dusk.ledger.journal.Invalid;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Invitations;
import dusk.ledger.web.records.Membership;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.Viewer;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Where a link leads that lets one person into a club, or back into it, once. */
@Controller
@ForReaders
class InvitedController {
    private final Invitations invitations;
    private final Membership membership;
    private final NewcomerForm newcomers;
    private final Clubs clubs;
    private final People people;
    private final CurrentPerson current;
    private final Clock clock;

    InvitedController(
            Invitations invitations,
            Membership membership,
            NewcomerForm newcomers,
            Clubs clubs,
            People people,
            CurrentPerson current,
            Clock clock) {
        this.invitations = invitations;
        this.membership = membership;
        this.newcomers = newcomers;
        this.clubs = clubs;
        this.people = people;
        this.current = current;
        this.clock = clock;
    }

    @GetMapping("/invited/{token}")
    String page(@PathVariable String token, Model model, HttpServletResponse response) {
        return show(token, Map.of(), Map.of(), model, response);
    }

    private String show(
            String token,
            Map<String, String> typed,
            Map<String, String> errors,
            Model model,
            HttpServletResponse response) {
        Optional<Invitations.Invited> invited = invitations.of(token, clock.instant());
        if (invited.isEmpty()) {
            response.setStatus(HttpStatus.NOT_FOUND.value());
        }
        Optional<Person> back = invited.map(Invitations.Invited::personId).flatMap(people::byId);
        model.addAttribute("good", invited.isPresent());
        model.addAttribute(
                "reader", invited.filter(i -> i.role() == Viewer.Role.GUEST).isPresent());
        model.addAttribute("back", back.map(Person::signIn).orElse(""));
        model.addAttribute("token", token);
        model.addAttribute(
                "club",
                invited.flatMap(i -> clubs.byId(i.clubId()))
                        .map(Clubs.Club::name)
                        .orElse(""));
        model.addAttribute("typed", typed);
        model.addAttribute("errors", errors);
        return "security/invited";
    }

    @PostMapping("/invited/{token}")
    String accept(
            @PathVariable String token,
            @RequestParam Map<String, String> values,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        Typed typed = NewcomerForm.typed(values);
        Optional<Invitations.Invited> invited = invitations.of(token, clock.instant());
        if (invited.filter(i -> i.personId() != null).isPresent()) {
            return comeBack(token, values, model, request, response);
        }
        Membership.Newcomer newcomer = newcomers.read(typed);
        if (newcomer == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(token, values, typed.errors(), model, response);
        }
        Optional<String> id;
        try {
            id = membership.accept(token, newcomer, clock.instant());
        } catch (Invalid e) {
            e.problems().forEach(p -> typed.wrong(p.column(), p.message()));
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(token, values, typed.errors(), model, response);
        }
        if (id.isEmpty()) {
            return show(token, values, Map.of(), model, response);
        }
        current.signIn(people.byId(id.get()).orElseThrow(), request, response);
        return "redirect:/";
    }

    /** A new password for somebody who lost theirs. */
    private String comeBack(
            String token,
            Map<String, String> values,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        String password = values.getOrDefault("password", "");
        Optional<String> fault = Passwords.fault(password);
        if (fault.isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(token, values, Map.of("password", fault.get()), model, response);
        }
        Optional<Person> person =
                membership.comeBack(token, password, clock.instant()).flatMap(people::byId);
        if (person.isEmpty()) {
            return show(token, values, Map.of(), model, response);
        }
        current.signIn(person.get(), request, response);
        return "redirect:/";
    }
}
