package dusk.ledger.web.frame;

import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.security.ForReaders;
import java.net.URI;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The front door, and the theme switch that stands on every page. */
@Controller
@ForReaders
class HomeController {
    private static final List<String> THEMES = List.of("sun", "glare", "dusk");

    private final People people;

    HomeController(People people) {
        this.people = people;
    }

    @GetMapping("/")
    String home(Person person) {
        return person.viewer().guest() ? "redirect:/findings" : "redirect:/today";
    }

    /** How to, on one page for print. */
    @GetMapping("/help")
    String help() {
        return "help";
    }

    @PostMapping("/theme")
    String theme(
            Person person,
            @RequestParam String theme,
            @RequestHeader(name = "Referer", defaultValue = "") String from) {
        if (!THEMES.contains(theme)) {
            throw new ResponseStatusException(HttpStatus.BAD_REQUEST, "theme must be one of " + THEMES);
        }
        people.setTheme(person.id(), theme);
        return "redirect:" + pathOf(from);
    }

    /** Only the path of the page one came from, so that no other site is ever led to. */
    private static String pathOf(String referer) {
        try {
            URI uri = URI.create(referer);
            String path = uri.getRawPath();
            if (path == null || !path.startsWith("/") || path.startsWith("//")) {
                return "/";
            }
            return uri.getRawQuery() == null ? path : path + "?" + uri.getRawQuery();
        } catch (IllegalArgumentException e) {
            return "/";
        }
    }
}
