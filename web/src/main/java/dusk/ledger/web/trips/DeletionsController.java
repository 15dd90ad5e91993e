package dusk.ledger.web.trips;

import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.words.TimeText;
import java.time.ZoneOffset;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What was deleted and can be brought back: one's own, and for an officer everybody's. */
@Controller
class DeletionsController {
    private static final int SHOWN = 500;

    private final Deletions deletions;
    private final People people;
    private final Trips trips;

    DeletionsController(Deletions deletions, People people, Trips trips) {
        this.deletions = deletions;
        this.people = people;
        this.trips = trips;
    }

    /** A deletion in words. */
    record Line(String id, String what, String when, String who) {}

    @GetMapping("/deletions")
    String page(Person person, Model model) {
        model.addAttribute(
                "deletions",
                deletions.recent(person.viewer(), SHOWN).stream()
                        .map(d -> new Line(
                                d.id(),
                                d.what(),
                                TimeText.date(d.at(), ZoneOffset.UTC),
                                d.personId().equals(person.id())
                                        ? "you"
                                        : people.byId(d.personId())
                                                .map(Person::name)
                                                .orElse("somebody who left")))
                        .toList());
        model.addAttribute("officer", person.viewer().officer());
        model.addAttribute("days", Deletions.UNDOABLE.toDays());
        return "trips/deletions";
    }

    @PostMapping("/deletions/{deletionId}/undo")
    String undo(
            Person person,
            @PathVariable String deletionId,
            @RequestParam(defaultValue = "") String back,
            RedirectAttributes flash) {
        flash.addFlashAttribute(
                "said",
                deletions.undo(person.viewer(), deletionId)
                        ? "It is back."
                        : "That deletion is not there any more: it was undone already.");
        boolean trip = !back.isEmpty() && trips.there(person.viewer(), back);
        return trip ? "redirect:/trips/" + back : "redirect:/deletions";
    }
}
