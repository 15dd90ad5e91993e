package dusk.ledger.web.club;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Invalid;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Invitations;
import dusk.ledger.web.records.Membership;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.TimeText;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Who is in the club, and the links by which people come into it: all see the first, the records officer looks after both. */
@Controller
@RequestMapping("/club/people")
class PeopleController {
    private static final int MOST_DAYS = 30;
    private static final int USUAL_DAYS = 7;
    private static final Duration BACK_IN = Duration.ofDays(2);

    private static final Map<Viewer.Role, String> ROLES = Map.of(
            Viewer.Role.GUEST, "guest reader",
            Viewer.Role.MEMBER, "member",
            Viewer.Role.GUIDE, "guide",
            Viewer.Role.OFFICER, "records officer");

    private final Clubs clubs;
    private final People people;
    private final Membership membership;
    private final Invitations invitations;
    private final Clock clock;

    PeopleController(Clubs clubs, People people, Membership membership, Invitations invitations, Clock clock) {
        this.clubs = clubs;
        this.people = people;
        this.membership = membership;
        this.invitations = invitations;
        this.clock = clock;
    }

    /** Somebody of the club. */
    record Line(String id, String name, String signIn, String role, String roleWord, boolean self) {}

    /** A role to choose. */
    record Choice(String word, String label, String may) {}

    /** A link that is still good. */
    record Link(String id, String what, String until) {}

    /**
     * A link that was made just now: it is shown once.
     *
     * @param text to send along with it
     */
    record Fresh(String address, String text, String qr) {}

    /** A role in words. */
    static String words(Viewer.Role role) {
        return ROLES.getOrDefault(role, role.word());
    }

    @GetMapping
    String page(Person person, Model model) {
        return page(person, model, Map.of(), Map.of());
    }

    private String page(Person person, Model model, Map<String, String> typed, Map<String, String> errors) {
        Viewer viewer = person.viewer();
        List<Angler> free = viewer.officer() ? membership.free(viewer) : List.of();
        model.addAttribute("officer", viewer.officer());
        model.addAttribute(
                "people",
                people.ofClub(person.clubId()).stream()
                        .map(p -> new Line(
                                p.id(),
                                p.name(),
                                viewer.officer() ? p.signIn() : "",
                                words(p.role()),
                                p.role().word(),
                                p.id().equals(person.id())))
                        .toList());
        model.addAttribute(
                "roles",
                List.of(
                        new Choice("member", "member", "logs trips, sees what the club shares"),
                        new Choice("guide", "guide", "the same, and changes trips they led"),
                        new Choice("guest", "guest reader", "sees findings and their own card, changes nothing"),
                        new Choice("officer", "records officer", "looks after people, words, waters and their rules")));
        model.addAttribute("anglers", free);
        model.addAttribute("links", viewer.officer() ? links(person) : List.of());
        model.addAttribute("typed", typed);
        model.addAttribute("errors", errors);
        return "club/people";
    }

    private List<Link> links(Person person) {
        return invitations.open(person.clubId(), clock.instant()).stream()
                .map(open -> new Link(open.id(), what(open.invited()), TimeText.date(open.endsAt(), ZoneOffset.UTC)))
                .toList();
    }

    private String what(Invitations.Invited invited) {
        if (invited.personId() != null) {
            return "a new password for "
                    + people.byId(invited.personId()).map(Person::name).orElse("somebody");
        }
        String whom = invited.forWhom().isEmpty() ? "somebody" : invited.forWhom();
        Viewer.Role role = invited.role();
        return whom + " as " + (role == null ? "" : words(role));
    }

    /** A link for somebody new. */
    @PostMapping("/invite")
    String invite(
            Person person,
            @RequestParam Map<String, String> typed,
            Model model,
            RedirectAttributes flash,
            HttpServletResponse response) {
        person.onlyOfficer();
        Typed fields = new Typed(typed, UnitSystem.METRIC);
        List<String> roles =
                Arrays.stream(Viewer.Role.values()).map(Viewer.Role::word).toList();
        String role = fields.text("role");
        if (!roles.contains(role)) {
            fields.wrong("role", "Choose what they may do.");
        }
        String whom = fields.text("for_whom").isEmpty() ? "" : fields.named("for_whom", "");
        Integer days = fields.text("days").isEmpty() ? Integer.valueOf(USUAL_DAYS) : fields.whole("days", 1, MOST_DAYS);
        String angler = fields.textOrNull("angler_id");
        if (angler != null && membership.free(person.viewer()).stream().noneMatch(a -> a.id().equals(angler))) {
            fields.wrong("angler_id", "These are somebody’s already. Choose another, or someone new.");
        }
        if (!fields.errors().isEmpty() || days == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(person, model, typed, fields.errors());
        }
        Instant until = clock.instant().plus(Duration.ofDays(days));
        Invitations.Invited invited =
                new Invitations.Invited(person.clubId(), Viewer.Role.of(role), angler, null, whom);
        String club = clubs.byId(person.clubId()).map(Clubs.Club::name).orElse("");
        flash.addFlashAttribute(
                "fresh",
                fresh(
                        invitations.invite(invited, person.id(), until),
                        "Come into the records of " + club + ". This link lets you in, once, until "
                                + TimeText.date(until, ZoneOffset.UTC) + ": "));
        return "redirect:/club/people";
    }

    /** A link for somebody who lost their password. */
    @PostMapping("/{id}/back-in")
    String backIn(Person person, @PathVariable String id, RedirectAttributes flash) {
        Person whom = ofClub(person, id);
        Instant until = clock.instant().plus(BACK_IN);
        Invitations.Invited invited = new Invitations.Invited(person.clubId(), null, null, whom.id(), whom.name());
        flash.addFlashAttribute(
                "fresh",
                fresh(
                        invitations.invite(invited, person.id(), until),
                        "Choose a new password by this link, once, until " + TimeText.date(until, ZoneOffset.UTC)
                                + ": "));
        return "redirect:/club/people";
    }

    private static Fresh fresh(String token, String text) {
        String address = ServletUriComponentsBuilder.fromCurrentContextPath()
                .path("/invited/" + token)
                .toUriString();
        return new Fresh(address, text + address, QrCode.svg(address));
    }

    @PostMapping("/links/{id}/end")
    String end(Person person, @PathVariable String id, RedirectAttributes flash) {
        person.onlyOfficer();
        invitations.end(person.clubId(), id);
        flash.addFlashAttribute("said", "That link is no longer good.");
        return "redirect:/club/people";
    }

    @PostMapping("/{id}/role")
    String role(
            Person person,
            @PathVariable String id,
            @RequestParam String role,
            Model model,
            RedirectAttributes flash,
            HttpServletResponse response) {
        Person whom = ofClub(person, id);
        List<String> roles = new ArrayList<>();
        Arrays.stream(Viewer.Role.values()).forEach(r -> roles.add(r.word()));
        try {
            if (!roles.contains(role)) {
                throw new Invalid(List.of(new Invalid.Problem("role", "Choose what they may do.")));
            }
            membership.setRole(whom, Viewer.Role.of(role));
        } catch (Invalid e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(
                    person,
                    model,
                    Map.of(),
                    Map.of("role " + id, e.problems().get(0).message()));
        }
        flash.addFlashAttribute("said", whom.name() + " is " + words(Viewer.Role.of(role)) + " now.");
        return "redirect:/club/people";
    }

    /** @throws NotYours where they are none of the officer's club */
    private Person ofClub(Person officer, String id) {
        officer.onlyOfficer();
        return people.ofClub(officer.clubId()).stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElseThrow(NotYours::new);
    }
}
