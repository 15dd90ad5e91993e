package dusk.ledger.web.club;

import dusk.ledger.interchange.ChartFile;
import dusk.ledger.interchange.Refused;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Water;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Position;
import dusk.ledger.web.form.Form;
import dusk.ledger.web.form.FormPage;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.WaterRules;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.store.RecentTables;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A water with its places on a sketch. Its records officer changes it; everyone brings and moves places of their own. */
@Controller
class WaterController {
    private static final int MOST_PLACES = 500;

    private final Waters waters;
    private final Places places;
    private final WaterRules rules;
    private final RecentTables tables;
    private final NewId newId;

    WaterController(Waters waters, Places places, WaterRules rules, RecentTables tables, NewId newId) {
        this.waters = waters;
        this.places = places;
        this.rules = rules;
        this.tables = tables;
        this.newId = newId;
    }

    /** A place in figures. */
    record Line(
            String id,
            String words,
            String depth,
            String hours,
            int fish,
            String latitude,
            String longitude,
            boolean mine) {}

    @GetMapping("/club/waters/{waterId}")
    String page(Person person, @PathVariable String waterId, Model model) {
        return show(person, waters.one(person.viewer(), waterId), model, Map.of(), Map.of());
    }

    private String show(
            Person person, Water water, Model model, Map<String, String> typed, Map<String, String> errors) {
        StintTable table = tables.whole(person.viewer());
        List<Chart.Marked> marked = Chart.marked(places.of(person.viewer(), water.id()), table, person.anglerId());
        List<List<Position>> bank = waters.outline(person.viewer(), water.id());
        Chart chart = Chart.of(marked, bank, water.position());
        model.addAttribute("water", water);
        model.addAttribute("officer", person.viewer().officer());
        model.addAttribute("chart", chart == null ? "" : chart.svg(water.name(), person.units()));
        model.addAttribute("lines", marked.stream().map(WaterController::line).toList());
        model.addAttribute("outlined", !bank.isEmpty());
        model.addAttribute("inWords", rules.inWords(person.viewer(), water.id()).lines());
        model.addAttribute("prevail", WaterRules.PREVAIL);
        model.addAttribute("typed", typed);
        model.addAttribute("errors", errors);
        return "club/water";
    }

    private static Line line(Chart.Marked marked) {
        Position at = marked.spot().position();
        return new Line(
                marked.spot().id(),
                marked.words(),
                marked.depth(),
                Figures.trimmed(marked.hours(), 1),
                marked.fish(),
                at == null ? "" : Figures.trimmed(at.latitude(), 6),
                at == null ? "" : Figures.trimmed(at.longitude(), 6),
                marked.mine());
    }

    @GetMapping("/club/waters/{waterId}/edit")
    String edit(Person person, @PathVariable String waterId, Model model) {
        Water water = officers(person, waterId);
        return FormPage.show(model, ClubController.waterForm(person).form(head(water), Map.of(), List.of(), water));
    }

    private static Form head(Water water) {
        return new Form(
                "water-form",
                "Change " + water.name(),
                "/club/waters/" + water.id(),
                "Save the water",
                "/club/waters/" + water.id(),
                List.of(),
                List.of());
    }

    @PostMapping("/club/waters/{waterId}")
    Object change(
            Person person,
            @PathVariable String waterId,
            @RequestParam Map<String, String> typed,
            Model model,
            HtmxRequest htmx,
            HttpServletResponse response) {
        Water before = officers(person, waterId);
        RecordForm<Water> form = ClubController.waterForm(person);
        try {
            waters.change(person.viewer(), form.read(typed, Map.of("water_id", waterId), before));
            return FormPage.saved("/club/waters/" + waterId, htmx);
        } catch (Invalid e) {
            return FormPage.refuse(model, response, form, head(before), typed, e.problems(), before);
        }
    }

    private Water officers(Person person, String waterId) {
        person.onlyOfficer();
        return waters.one(person.viewer(), waterId);
    }

    /** Points of a file become places of one's own; lines of it, where an officer brings them, the bank. */
    @PostMapping("/club/waters/{waterId}/chart")
    String bring(
            Person person,
            @PathVariable String waterId,
            @RequestParam("file") MultipartFile file,
            Model model,
            RedirectAttributes flash,
            HttpServletResponse response)
            throws IOException {
        Water water = waters.one(person.viewer(), waterId);
        ChartFile read;
        try {
            read = ChartFile.read(Objects.requireNonNullElse(file.getOriginalFilename(), "file"), file.getBytes());
        } catch (Refused e) {
            return refused(person, water, String.valueOf(e.getMessage()), model, response);
        }
        if (read.points().size() > MOST_PLACES) {
            return refused(
                    person,
                    water,
                    file.getOriginalFilename() + ": " + read.points().size() + " points, expected " + MOST_PLACES
                            + " places at the most",
                    model,
                    response);
        }
        boolean bank = person.viewer().officer() && !read.lines().isEmpty();
        if (read.points().isEmpty() && !bank) {
            return refused(
                    person,
                    water,
                    file.getOriginalFilename()
                            + ": lines alone, expected points; the bank is the records officer’s to bring",
                    model,
                    response);
        }
        places.addAll(
                person.viewer(),
                read.points().stream()
                        .map(point -> SpotBuilder.builder()
                                .id(newId.next())
                                .waterId(waterId)
                                .label(
                                        point.name() == null || point.name().isBlank()
                                                ? null
                                                : point.name().strip())
                                .position(point.position())
                                .build())
                        .toList());
        if (bank) {
            waters.outline(person.viewer(), waterId, read.outline());
        }
        int came = read.points().size();
        flash.addFlashAttribute(
                "said",
                (came == 0
                                ? ""
                                : came == 1
                                        ? "One place came in. It is yours. "
                                        : came + " places came in. They are yours. ")
                        + (bank ? "The bank is drawn." : ""));
        return "redirect:/club/waters/" + waterId;
    }

    private String refused(Person person, Water water, String fault, Model model, HttpServletResponse response) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return show(person, water, model, Map.of(), Map.of("file", fault));
    }

    /** Takes the bank away; under Changes it can be put back. */
    @PostMapping("/club/waters/{waterId}/chart/delete")
    String unbank(Person person, @PathVariable String waterId, RedirectAttributes flash) {
        officers(person, waterId);
        waters.outline(person.viewer(), waterId, null);
        flash.addFlashAttribute("said", "The bank is away. It can be put back under Changes.");
        return "redirect:/club/waters/" + waterId;
    }

    /** Moves a place. */
    @PostMapping("/club/waters/{waterId}/places/{spotId}/move")
    String move(
            Person person,
            @PathVariable String waterId,
            @PathVariable String spotId,
            @RequestParam Map<String, String> typed,
            Model model,
            RedirectAttributes flash,
            HttpServletResponse response) {
        Water water = waters.one(person.viewer(), waterId);
        Spot spot = places.on(person.viewer(), waterId, spotId)
                .filter(s -> Places.mayChange(person.viewer(), s))
                .orElseThrow(NotYours::new);
        Typed fields = new Typed(typed, person.units());
        Double latitude = fields.number("latitude", -90, 90, "degrees");
        Double longitude = fields.number("longitude", -180, 180, "degrees");
        if (latitude == null || longitude == null) {
            String fault = fields.errors().values().stream()
                    .findFirst()
                    .orElse("Write both, in degrees, north and east above 0.");
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(person, water, model, typed, Map.of(spotId, fault));
        }
        places.change(
                person.viewer(),
                SpotBuilder.builder(spot)
                        .position(new Position(latitude, longitude))
                        .build());
        flash.addFlashAttribute("said", "Moved. Under Changes it can be put back.");
        return "redirect:/club/waters/" + waterId;
    }
}
