package dusk.ledger.web.account;

import dusk.ledger.journal.Invalid;
import dusk.ledger.web.records.Devices;
import dusk.ledger.web.records.Membership;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.security.CurrentPerson;
import dusk.ledger.web.security.ForReaders;
import dusk.ledger.web.security.Passwords;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.words.TimeText;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A person's own settings. */
@Controller
@ForReaders
class AccountController {
    private final People people;
    private final CurrentPerson current;
    private final Devices devices;
    private final Membership membership;

    AccountController(People people, CurrentPerson current, Devices devices, Membership membership) {
        this.people = people;
        this.current = current;
        this.devices = devices;
        this.membership = membership;
    }

    /** A device that one is signed in on. */
    record Line(String id, String name, String since, String seen, boolean here) {}

    @GetMapping("/account")
    String page(Person person, Model model, HttpServletRequest request) {
        return page(person, model, Map.of(), request);
    }

    private String page(Person person, Model model, Map<String, String> errors, HttpServletRequest request) {
        String here = CurrentPerson.device(request).orElse("");
        model.addAttribute("person", person);
        model.addAttribute("errors", errors);
        model.addAttribute(
                "devices",
                devices.of(person.id()).stream()
                        .map(d -> new Line(
                                d.id(),
                                d.name(),
                                TimeText.date(d.beganAt(), ZoneOffset.UTC),
                                TimeText.date(d.seenAt(), ZoneOffset.UTC),
                                d.id().equals(here)))
                        .toList());
        model.addAttribute("days", Devices.REMEMBERED.toDays());
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
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(person, model, errors, request);
        }
        people.setPassword(person.id(), fresh);
        devices.endAll(person.id(), null);
        current.signIn(person, request, response);
        flash.addFlashAttribute("said", "Password changed. Every other device you were signed in on is signed out.");
        return "redirect:/account";
    }

    /** Signs one of one's devices out. */
    @PostMapping("/account/devices/{id}/end")
    String endDevice(Person person, @PathVariable String id, RedirectAttributes flash) {
        devices.end(person.id(), id);
        flash.addFlashAttribute("said", "That device is signed out.");
        return "redirect:/account";
    }

    /** What is asked before somebody leaves the club. */
    @GetMapping("/account/leave")
    String leaving(Person person, Model model) {
        return leaving(person, model, Map.of());
    }

    private static String leaving(Person person, Model model, Map<String, String> errors) {
        model.addAttribute("person", person);
        model.addAttribute("undoable", Deletions.UNDOABLE.toDays());
        model.addAttribute("errors", errors);
        return "account/leave";
    }

    @PostMapping("/account/leave")
    String leave(
            Person person,
            @RequestParam(defaultValue = "") String leave,
            @RequestParam(defaultValue = "") String old,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        Map<String, String> errors = new LinkedHashMap<>();
        Optional<Membership.Leaving> leaving = Arrays.stream(Membership.Leaving.values())
                .filter(one -> one.name().equalsIgnoreCase(leave))
                .findFirst();
        if (leaving.isEmpty()) {
            errors.put("leave", "Choose what becomes of your records.");
        }
        if (!people.passwordIs(person.id(), old)) {
            errors.put("old", "That is not your password now.");
        }
        if (errors.isEmpty()) {
            try {
                membership.leave(person, leaving.orElseThrow());
            } catch (Invalid e) {
                e.problems().forEach(p -> errors.put(p.column(), p.message()));
            }
        }
        if (!errors.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return leaving(person, model, errors);
        }
        Optional.ofNullable(request.getSession(false)).ifPresent(HttpSession::invalidate);
        return "redirect:/sign-in?left";
    }
}
