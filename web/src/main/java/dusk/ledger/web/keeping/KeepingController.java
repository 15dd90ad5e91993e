package dusk.ledger.web.keeping;

import dusk.ledger.units.Figures;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.security.ForReaders;
import dusk.ledger.web.store.BackUp;
import dusk.ledger.web.store.StoreFault;
import java.time.Duration;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** How the ledger is kept, for its records officer; and whether the server is well, for whatever watches it. */
@Controller
class KeepingController {
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM uuuu, HH:mm 'UTC'", Locale.ENGLISH)
            .withZone(ZoneOffset.UTC);
    private static final double MEGABYTE = 1 << 20;

    private final Health health;
    private final BackUps backUps;

    KeepingController(Health health, BackUps backUps) {
        this.health = health;
        this.backUps = backUps;
    }

    /** A back-up in a list. */
    record Line(String name, String when, String size, String by) {}

    /** For whatever watches the server: well or not, and nothing of the records or of where they lie. */
    @ForReaders
    @GetMapping("/health")
    ResponseEntity<Map<String, Object>> health() {
        boolean well = health.now().well();
        return ResponseEntity.status(well ? HttpStatus.OK : HttpStatus.SERVICE_UNAVAILABLE)
                .header("Cache-Control", "no-store")
                .body(Map.of("status", well ? "well" : "not storing"));
    }

    @GetMapping("/club/keeping")
    String page(Person person, Model model) {
        person.onlyOfficer();
        Health.State state = health.now();
        model.addAttribute(
                "state",
                state.worries().isEmpty()
                        ? "All is well: the store answers and takes what is written."
                        : state.well()
                                ? "The store answers; something should be looked after."
                                : "The store takes nothing.");
        model.addAttribute("worries", state.worries());
        model.addAttribute(
                "figures",
                List.of(
                        new String[] {"The store", megabytes(state.storeBytes())},
                        new String[] {"Room on its disk", megabytes(state.roomBytes())},
                        new String[] {
                            "Memory in use", megabytes(state.usedBytes()) + " of " + megabytes(state.mostBytes())
                        },
                        new String[] {"Running for", span(state.up())}));
        model.addAttribute("nights", backUps.nights());
        model.addAttribute(
                "backUps", backUps.all().stream().map(KeepingController::line).toList());
        return "keeping/keeping";
    }

    private static Line line(BackUps.Kept kept) {
        return new Line(
                kept.name(), WHEN.format(kept.at()), megabytes(kept.bytes()), kept.night() ? "by night" : "by hand");
    }

    @PostMapping("/club/keeping/back-up")
    String make(Person person, RedirectAttributes flash) {
        person.onlyOfficer();
        try {
            BackUp.Made made = backUps.make("hand");
            flash.addFlashAttribute(
                    "said",
                    "A back-up was made and looked through: " + made.trips() + " trips, " + made.stints() + " stints, "
                            + megabytes(made.bytes()) + ".");
        } catch (StoreFault e) {
            flash.addFlashAttribute("said", "No back-up was made. " + e.getMessage());
        }
        return "redirect:/club/keeping";
    }

    private static String megabytes(long bytes) {
        if (bytes >= 10_000 * MEGABYTE) {
            return Figures.fixed(bytes / MEGABYTE / 1024, 0) + " GB";
        }
        return Figures.fixed(bytes / MEGABYTE, bytes < 10 * MEGABYTE ? 1 : 0) + " MB";
    }

    private static String span(Duration span) {
        return span.toHours() < 1
                ? span.toMinutes() + " min"
                : span.toDays() < 2 ? span.toHours() + " h" : span.toDays() + " days";
    }
}
