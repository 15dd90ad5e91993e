package dusk.ledger.web.first;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Water;
import dusk.ledger.light.Sun;
import dusk.ledger.units.Position;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.form.UnitText;
import dusk.ledger.web.portrait.Portrait;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.words.SetUpWords;
import dusk.ledger.web.words.TimeText;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Leads an empty ledger to its first fish, one step at a time. */
@Controller
class FirstController {
    /** The globe's picture, as it stands on the page. */
    private static final double GLOBE_WIDE_PX = 300;

    private static final double DEGREES_PER_PX = 360 / GLOBE_WIDE_PX;

    private final Waters waters;
    private final SetUps setUps;
    private final NewId newId;
    private final Clock clock;

    FirstController(Waters waters, SetUps setUps, NewId newId, Clock clock) {
        this.waters = waters;
        this.setUps = setUps;
        this.newId = newId;
        this.clock = clock;
    }

    /** A set-up of the box. */
    record Boxed(String rig, String words, String portrait) {}

    @GetMapping("/first")
    String page(Person person, Model model) {
        return show(person, model, Map.of("kind", Words.closed("kind", "waters").get(0)), Map.of());
    }

    private String show(Person person, Model model, Map<String, String> typed, Map<String, String> errors) {
        List<Water> all = waters.all(person.viewer());
        model.addAttribute("officer", person.viewer().officer());
        model.addAttribute("waters", all);
        model.addAttribute("kinds", Words.closed("kind", "waters"));
        model.addAttribute("typed", typed);
        model.addAttribute("errors", errors);
        model.addAttribute("sun", sun(typed));
        model.addAttribute("boxed", setUps.all(person.viewer()).size());
        model.addAttribute(
                "box",
                StarterBox.rigs().stream()
                        .map(rig -> {
                            SetUp setUp = StarterBox.of(rig, "boxed");
                            String words = SetUpWords.of(setUp, person.units());
                            return new Boxed(rig, words, Portrait.svg(setUp, words));
                        })
                        .toList());
        return "first/first";
    }

    /** What the sun does today at the position that was typed, for whoever sees whether it is theirs; empty where it is none. */
    private String sun(Map<String, String> typed) {
        Position where = position(typed);
        if (where == null) {
            return "";
        }
        ZoneId zone = zone(typed, where);
        Instant now = clock.instant();
        Sun.Day day = Sun.day(LocalDate.ofInstant(now, zone), zone, where);
        String clockThere = "It is " + TimeText.hour(now, zone) + " there";
        return day.rise() == null || day.set() == null
                ? clockThere + "."
                : clockThere + "; the sun is up at " + TimeText.hour(day.rise(), zone) + " and down at "
                        + TimeText.hour(day.set(), zone) + " today.";
    }

    private ZoneId zone(Map<String, String> typed, Position where) {
        String written = typed.getOrDefault("time_zone", "");
        return ZoneGuess.of(
                where, written.isBlank() ? typed.getOrDefault("device_zone", "") : written, clock.instant());
    }

    private static @Nullable Position position(Map<String, String> values) {
        Typed typed = new Typed(values, UnitSystem.METRIC);
        Double latitude = typed.number("latitude", -90, 90, "");
        Double longitude = typed.number("longitude", -180, 180, "");
        return latitude == null || longitude == null ? null : new Position(latitude, longitude);
    }

    /**
     * Names the first water; a touch of the globe only says where it is.
     *
     * @param x where the globe was touched, in pixels; null for the button
     */
    @PostMapping("/first/water")
    String water(
            Person person,
            @RequestParam(name = "globe.x", required = false) @Nullable Integer x,
            @RequestParam(name = "globe.y", required = false) @Nullable Integer y,
            @RequestParam Map<String, String> asked,
            Model model,
            HttpServletResponse response) {
        if (!person.viewer().officer()) {
            throw new NotYours();
        }
        Map<String, String> typed = new HashMap<>(asked);
        if (x != null && y != null) {
            typed.put("latitude", degrees(90 - y * DEGREES_PER_PX, 90));
            typed.put("longitude", degrees(x * DEGREES_PER_PX - 180, 180));
            typed.put("time_zone", "");
        }
        Position where = position(typed);
        if (where != null && typed.getOrDefault("time_zone", "").isBlank()) {
            typed.put("time_zone", zone(typed, where).getId());
        }
        if (x != null) {
            return show(person, model, typed, Map.of());
        }
        Map<String, String> errors = new HashMap<>();
        if (where == null) {
            errors.put(
                    "latitude",
                    "Touch the globe where it lies, or write its latitude and longitude in degrees: light and season go by the"
                            + " sun there.");
        }
        try {
            Water water = new RecordForm<>(LedgerFormat.WATERS, new UnitText(person.units(), ZoneOffset.UTC))
                    .read(typed, Map.of("water_id", newId.next()), null);
            if (errors.isEmpty()) {
                waters.add(person.viewer(), water);
                return "redirect:/first";
            }
        } catch (Invalid e) {
            e.problems().forEach(problem -> errors.putIfAbsent(problem.column(), problem.message()));
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return show(person, model, typed, errors);
    }

    private static String degrees(double degrees, double most) {
        return String.valueOf(Math.round(Math.max(-most, Math.min(most, degrees)) * 10) / 10.0);
    }

    /** Puts what was picked into the box. */
    @PostMapping("/first/box")
    String box(
            Person person,
            @RequestParam(name = "rig", required = false) @Nullable List<String> picked,
            Model model,
            HttpServletResponse response) {
        List<String> rigs = picked == null
                ? List.of()
                : picked.stream().filter(StarterBox.rigs()::contains).distinct().toList();
        if (rigs.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(
                    person,
                    model,
                    Map.of(),
                    Map.of("rig", "Pick at least one that you fish, or put together your own."));
        }
        rigs.forEach(rig -> setUps.add(person.viewer(), StarterBox.of(rig, newId.next())));
        return "redirect:/first";
    }
}
