package dusk.ledger.web.demo;

import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.security.CurrentPerson;
import dusk.ledger.web.security.ForReaders;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** In the demonstration a button signs in. */
@Controller
@ForReaders
@ConditionalOnProperty("dusk.demo")
class DemoSignIn {
    private final People people;
    private final CurrentPerson current;

    DemoSignIn(People people, CurrentPerson current) {
        this.people = people;
        this.current = current;
    }

    @PostMapping("/demo/sign-in")
    String signIn(@RequestParam String person, HttpServletRequest request, HttpServletResponse response) {
        Person found = people.byId(person).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        current.signIn(found, request, response);
        return "redirect:/";
    }
}
