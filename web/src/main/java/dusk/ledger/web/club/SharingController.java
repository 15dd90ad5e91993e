package dusk.ledger.web.club;

import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Water;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Level;
import dusk.ledger.web.store.Sharing;
import dusk.ledger.web.words.PlaceWords;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** How much a person shares of their places and of what they fish, and what others see then. */
@Controller
class SharingController {
    private static final String EVERYWHERE = "everywhere";
    private static final String WATER = "water.";
    private static final String PLACE = "place.";

    /** In the order of how much they share. */
    private static final List<Choice> CHOICES = List.of(
            new Choice("all", "all of it", "name, position, and all else"),
            new Choice("kind", "its kind", "water, structure, bottom, cover and depth; no name, no position"),
            new Choice(
                    "water",
                    "the water only",
                    "what was fished on the water, with what and what came; no place, no depth"),
            new Choice(
                    "nothing",
                    "nothing",
                    "as if it had not been fished; it counts in your findings and in nobody else’s"));

    private final Sharing sharing;
    private final Waters waters;
    private final Places places;

    SharingController(Sharing sharing, Waters waters, Places places) {
        this.sharing = sharing;
        this.waters = waters;
        this.places = places;
    }

    /** How much is shared. */
    record Choice(String word, String label, String means) {}

    /**
     * What may be said of a water or a place.
     *
     * @param said the word chosen; empty where what is said more widely holds
     * @param holds what holds then, in words
     * @param seen what others see of a place, in words; empty of a water
     */
    record Line(String field, String name, String said, String holds, String seen) {}

    @GetMapping("/club/sharing")
    String page(Person person, Model model) {
        return page(person, model, Map.of());
    }

    private String page(Person person, Model model, Map<String, String> errors) {
        List<Sharing.Said> said = sharing.of(person.viewer());
        List<Water> all = waters.all(person.viewer());
        List<Line> ofWaters = new ArrayList<>();
        Map<String, List<Line>> ofPlaces = new LinkedHashMap<>();
        for (Water water : all) {
            ofWaters.add(new Line(
                    WATER + water.id(),
                    water.name(),
                    said(said, water.id(), null),
                    label(Sharing.at(said, water.id(), null)),
                    ""));
            List<Line> own = places.of(person.viewer(), water.id()).stream()
                    .filter(spot -> spot.keptBy() != null && spot.keptBy().equals(person.anglerId()))
                    .map(spot -> line(person, water, spot, said))
                    .toList();
            if (!own.isEmpty()) {
                ofPlaces.put(water.name(), own);
            }
        }
        model.addAttribute("choices", CHOICES);
        model.addAttribute("everywhere", everywhere(said));
        model.addAttribute("waters", ofWaters);
        model.addAttribute("places", ofPlaces);
        model.addAttribute("errors", errors);
        return "club/sharing";
    }

    private Line line(Person person, Water water, Spot spot, List<Sharing.Said> said) {
        Level level = Sharing.at(said, water.id(), spot.id());
        String seen = switch (level) {
            case NOTHING -> "nothing";
            case WATER -> "what was fished on " + water.name();
            default ->
                places.one(person.anybody().viewer(), spot.id())
                        .map(PlaceWords::of)
                        .orElse("nothing");
        };
        return new Line(PLACE + spot.id(), PlaceWords.of(spot), said(said, null, spot.id()), label(level), seen);
    }

    private static String everywhere(List<Sharing.Said> said) {
        String word = said(said, null, null);
        return word.isEmpty() ? Level.KIND.word() : word;
    }

    private static String said(List<Sharing.Said> said, @Nullable String waterId, @Nullable String spotId) {
        return said.stream()
                .filter(s -> Objects.equals(s.waterId(), waterId) && Objects.equals(s.spotId(), spotId))
                .map(s -> s.level().word())
                .findFirst()
                .orElse("");
    }

    private static String label(Level level) {
        return CHOICES.stream()
                .filter(choice -> choice.word().equals(level.word()))
                .map(Choice::label)
                .findFirst()
                .orElse("");
    }

    /** All that is said at once: a field that is left empty says nothing of its own. */
    @PostMapping("/club/sharing")
    String save(
            Person person,
            @RequestParam Map<String, String> typed,
            Model model,
            RedirectAttributes flash,
            HttpServletResponse response) {
        Map<String, String> errors = new LinkedHashMap<>();
        List<Sharing.Said> wanted = new ArrayList<>();
        for (Map.Entry<String, String> field : typed.entrySet()) {
            read(person, field.getKey(), field.getValue(), wanted, errors);
        }
        if (!errors.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(person, model, errors);
        }
        sharing.sayAll(person.viewer(), wanted);
        flash.addFlashAttribute("said", "Saved. It holds from now on, for what was logged before as well.");
        return "redirect:/club/sharing";
    }

    private void read(Person person, String field, String word, List<Sharing.Said> wanted, Map<String, String> errors) {
        boolean ofWater = field.startsWith(WATER);
        boolean ofPlace = field.startsWith(PLACE);
        if (!ofWater && !ofPlace && !field.equals(EVERYWHERE)) {
            return;
        }
        Optional<Choice> choice =
                CHOICES.stream().filter(c -> c.word().equals(word)).findFirst();
        String waterId = ofWater ? field.substring(WATER.length()) : null;
        String spotId = ofPlace ? field.substring(PLACE.length()) : null;
        boolean there = waterId != null
                ? waters.all(person.viewer()).stream().anyMatch(w -> w.id().equals(waterId))
                : spotId == null
                        || places.one(person.viewer(), spotId)
                                .filter(spot ->
                                        spot.keptBy() != null && spot.keptBy().equals(person.anglerId()))
                                .isPresent();
        if (!there) {
            errors.put(field, "That is not yours to say. Choose of your own places and the club’s waters.");
        } else if (choice.isPresent()) {
            wanted.add(new Sharing.Said(waterId, spotId, Level.of(choice.get().word())));
        } else if (!word.isEmpty()) {
            errors.put(field, "Choose one of the list.");
        }
    }
}
