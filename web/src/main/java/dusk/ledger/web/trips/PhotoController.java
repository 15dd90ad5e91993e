package dusk.ledger.web.trips;

import dusk.ledger.interchange.Fault;
import dusk.ledger.interchange.PhotoFacts;
import dusk.ledger.interchange.Refused;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Position;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.records.Waters;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** A fish that begins with its photograph: when it was taken says which stint it was. The photograph is read and not kept. */
@Controller
class PhotoController {
    private static final DateTimeFormatter TYPED = DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm", Locale.ROOT);
    private static final DateTimeFormatter SHOWN = DateTimeFormatter.ofPattern("d MMM uuuu, HH:mm", Locale.ENGLISH);

    /** A water whose point is farther than that from the camera is another one. */
    private static final double NEAR_DEGREES = 0.5;

    private final Trips trips;
    private final TripRows rows;
    private final Waters waters;

    PhotoController(Trips trips, TripRows rows, Waters waters) {
        this.trips = trips;
        this.rows = rows;
        this.waters = waters;
    }

    /** A stint that a fish of the photograph may be of. */
    record Of(String address, String words) {}

    @GetMapping("/trips/photo")
    String ask() {
        return "trips/photo";
    }

    @PostMapping("/trips/photo")
    String read(Person person, @RequestParam("photo") MultipartFile photo, Model model, HttpServletResponse response)
            throws IOException {
        PhotoFacts facts;
        try (InputStream in = photo.getInputStream()) {
            facts = PhotoFacts.read(Objects.requireNonNullElse(photo.getOriginalFilename(), "photograph"), in);
        } catch (Refused e) {
            Fault fault = e.faults().get(0);
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("fault", fault.file() + " is " + fault.message() + ".");
            return "trips/photo";
        }
        Optional<Water> water = water(person, facts.position());
        ZoneId zone = water.map(Water::timeZone).orElse(ZoneOffset.UTC);
        Instant at = facts.at(zone);
        if (at == null) {
            model.addAttribute(
                    "fault", "The photograph does not say when it was taken. Add the fish on its trip’s page.");
            return "trips/photo";
        }
        model.addAttribute(
                "taken",
                "Taken " + SHOWN.format(at.atZone(zone))
                        + (facts.position() == null
                                ? "; it does not say where"
                                : water.map(w -> ", near " + w.name()).orElse(", near none of the club’s waters"))
                        + ".");
        model.addAttribute("stints", stints(person, at, zone));
        return "trips/photo";
    }

    /** The water that the camera was at, where it says; else the club's home water, whose clock the camera is taken to go by. */
    private Optional<Water> water(Person person, @Nullable Position position) {
        if (position == null) {
            return waters.home(person.viewer());
        }
        return waters.all(person.viewer()).stream()
                .filter(w -> w.position() != null && apart(w.position(), position) < NEAR_DEGREES)
                .min(Comparator.comparingDouble(w -> apart(Objects.requireNonNull(w.position()), position)));
    }

    private static double apart(Position a, Position b) {
        return Math.hypot(
                a.latitude() - b.latitude(), (a.longitude() - b.longitude()) * Math.cos(Math.toRadians(a.latitude())));
    }

    /** Those that ran then, on trips that one may add to; else all of such a trip, the nearest in time first. */
    private List<Of> stints(Person person, Instant at, ZoneId zone) {
        List<Of> all = new ArrayList<>();
        for (Trip trip : trips.during(person.viewer(), at)) {
            List<Stint> ofTrip = rows.stints(person.viewer(), trip.id()).stream()
                    .sorted(Comparator.comparing(s -> away(s, at)))
                    .toList();
            for (Stint stint : ofTrip) {
                if (trips.changeableStints(person.viewer(), trip.id()).contains(stint.id())) {
                    all.add(new Of(
                            "/trips/" + trip.id() + "/fish/new?stint=" + stint.id() + "&at="
                                    + TYPED.format(at.atZone(zone)),
                            "the stint from " + SHOWN.format(stint.startedAt().atZone(zone))
                                    + (away(stint, at).isZero() ? ", which ran then" : "")));
                }
            }
        }
        return all;
    }

    private static Duration away(Stint stint, Instant at) {
        Instant end = stint.startedAt().plus(Duration.ofSeconds(Math.round(stint.minutes() * 60)));
        if (at.isBefore(stint.startedAt())) {
            return Duration.between(at, stint.startedAt());
        }
        return at.isAfter(end) ? Duration.between(end, at) : Duration.ZERO;
    }
}
