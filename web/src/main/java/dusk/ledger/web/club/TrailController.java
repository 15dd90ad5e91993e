package dusk.ledger.web.club;

import dusk.ledger.journal.Angler;
import dusk.ledger.journal.SetUp;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.records.Anglers;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.Trail;
import dusk.ledger.web.words.FieldWords;
import dusk.ledger.web.words.PlaceWords;
import dusk.ledger.web.words.SetUpWords;
import dusk.ledger.web.words.TimeText;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Who changed whose record, and what stood there before. */
@Controller
class TrailController {
    private static final int SHOWN = 200;

    private static final Map<String, String> ROWS = Map.ofEntries(
            Map.entry("anglers", "a name"),
            Map.entry("waters", "a water"),
            Map.entry("spots", "a place"),
            Map.entry("setups", "a set-up"),
            Map.entry("rods", "a rod"),
            Map.entry("trips", "a trip"),
            Map.entry("readings", "a reading"),
            Map.entry("stints", "a stint"),
            Map.entry("catches", "a fish"),
            Map.entry("signs", "a sign"),
            Map.entry("losses", "a lost fish"));

    private final Trail trail;
    private final People people;
    private final Anglers anglers;
    private final SetUps setUps;
    private final Places places;

    TrailController(Trail trail, People people, Anglers anglers, SetUps setUps, Places places) {
        this.trail = trail;
        this.people = people;
        this.anglers = anglers;
        this.setUps = setUps;
        this.places = places;
    }

    /**
     * A change in words.
     *
     * @param what such as {@code a stint of Tobin Marl}
     * @param undone by whom, in words; empty where it stands
     */
    record Line(
            String id, String when, String who, String what, List<CellLine> cells, String undone, boolean mayUndo) {}

    record CellLine(String name, String before, String after) {}

    @GetMapping("/club/trail")
    String page(Person person, Model model) {
        model.addAttribute(
                "lines",
                trail.recent(person.viewer(), SHOWN).stream()
                        .map(change -> line(person, change))
                        .toList());
        model.addAttribute("officer", person.viewer().officer());
        return "club/trail";
    }

    private Line line(Person person, Trail.Change change) {
        String whose = whose(person, change.anglerId());
        boolean mayUndo = person.viewer().officer()
                || change.anglerId() != null && change.anglerId().equals(person.anglerId());
        return new Line(
                change.id(),
                TimeText.date(change.at(), ZoneOffset.UTC) + ", " + TimeText.hour(change.at(), ZoneOffset.UTC) + " UTC",
                who(person, change.personId()),
                ROWS.getOrDefault(change.table().name(), change.table().name()) + whose,
                change.cells().stream()
                        .map(cell -> new CellLine(
                                name(cell.column().name()),
                                value(person, cell, cell.before()),
                                value(person, cell, cell.after())))
                        .toList(),
                change.undoneBy() == null ? "" : "put back by " + who(person, change.undoneBy()),
                mayUndo && change.undoneBy() == null);
    }

    private String who(Person reader, String personId) {
        return personId.equals(reader.id())
                ? "You"
                : people.byId(personId).map(Person::name).orElse("Somebody who left");
    }

    private String whose(Person reader, @Nullable String anglerId) {
        if (anglerId == null) {
            return " of the club";
        }
        return anglerId.equals(reader.anglerId())
                ? " of yours"
                : " of " + anglers.one(reader.viewer(), anglerId).called();
    }

    private static String name(String column) {
        return FieldWords.of(column.endsWith("_id") ? column.substring(0, column.length() - "_id".length()) : column);
    }

    private String value(Person person, Trail.Cell cell, @Nullable Object value) {
        if (value == null) {
            return "nothing";
        }
        String id = value.toString();
        return switch (cell.column().name()) {
            case "spot_id" ->
                places.one(person.viewer(), id).map(PlaceWords::of).orElse("a place that is not shown");
            case "setup_id", "from_setup_id" ->
                setUps.of(person.viewer(), List.of(id)).stream()
                        .findFirst()
                        .map((SetUp s) -> SetUpWords.of(s, person.units()))
                        .orElse("another set-up");
            case "angler_id", "kept_by", "logged_by" ->
                Optional.of(anglers.one(person.viewer(), id))
                        .map(Angler::called)
                        .orElse("");
            case "trip_id", "stint_id", "water_id", "rod_id" -> "another";
            default ->
                value instanceof Instant at
                        ? TimeText.hour(at, ZoneOffset.UTC) + " UTC"
                        : new UnitText(person.units(), ZoneOffset.UTC).write(cell.column(), value);
        };
    }

    @PostMapping("/club/trail/{id}/undo")
    String undo(Person person, @PathVariable String id, RedirectAttributes flash) {
        Acts.Undoing undoing = trail.undo(person.viewer(), id);
        flash.addFlashAttribute(
                "said",
                switch (undoing) {
                    case DONE -> "It stands as it did before.";
                    case GONE -> "It was put back already.";
                    case OVERTAKEN -> "It was changed again since: put the later change back first.";
                });
        return "redirect:/club/trail";
    }
}
