package dusk.ledger.web.club;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.interchange.PackageWriter;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Water;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.FormField;
import dusk.ledger.web.form.FormPage;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.NewId;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The club: its people and waters; for its records officer also import, export, and new ones of each. */
@Controller
class ClubController {
    private final Clubs clubs;
    private final People people;
    private final Waters waters;
    private final NewId newId;

    ClubController(Clubs clubs, People people, Waters waters, NewId newId) {
        this.clubs = clubs;
        this.people = people;
        this.waters = waters;
        this.newId = newId;
    }

    /** Somebody of the club, in words. */
    record Line(String name, String role) {}

    @GetMapping("/club")
    String page(Person person, Model model) {
        model.addAttribute("officer", person.viewer().officer());
        model.addAttribute(
                "people",
                people.ofClub(person.clubId()).stream()
                        .map(p -> new Line(p.name(), PeopleController.words(p.role())))
                        .toList());
        model.addAttribute("waters", waters.byId(person.viewer()));
        return "club/club";
    }

    @GetMapping("/club/waters/new")
    String freshWater(Person person, Model model) {
        person.onlyOfficer();
        return FormPage.show(model, waterForm(person).form(waterHead(), Map.of(), List.of()));
    }

    @PostMapping("/club/waters")
    Object addWater(
            Person person,
            @RequestParam Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        person.onlyOfficer();
        try {
            Water water = waterForm(person).read(typed, Map.of("water_id", newId.next()), null);
            waters.add(person.viewer(), water);
            return FormPage.saved("/club", htmx);
        } catch (Invalid e) {
            return FormPage.refuse(model, response, waterForm(person), waterHead(), typed, e.problems(), null);
        }
    }

    static RecordForm<Water> waterForm(Person person) {
        return new RecordForm<>(LedgerFormat.WATERS, new UnitText(person.units(), ZoneOffset.UTC))
                .ask("name", "Name", "")
                .ask("kind", "Kind", "")
                .ask("latitude", "Latitude", "degrees, north above 0; for the sun's times")
                .ask("longitude", "Longitude", "degrees, east above 0")
                .ask("time_zone", "Time zone", "such as Europe/Dublin");
    }

    private static Form waterHead() {
        return new Form(
                "water-form", "New water", "/club/waters", "Save the water", "/club", List.of(), List.<FormField>of());
    }

    @GetMapping("/club/export")
    void export(Person person, HttpServletResponse response) throws IOException {
        person.onlyOfficer();
        String name = clubs.byId(person.clubId()).map(Clubs.Club::name).orElse("");
        response.setContentType("application/zip");
        response.setHeader("Content-Disposition", "attachment; filename=\"ledger.zip\"");
        PackageWriter.writeZip(clubs.ledger(person.clubId()), name, response.getOutputStream());
    }
}
