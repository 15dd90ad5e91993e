package dusk.ledger.web.instruments;

import dusk.ledger.instruments.Feed;
import dusk.ledger.instruments.FeedState;
import dusk.ledger.instruments.Kind;
import dusk.ledger.instruments.Quantity;
import dusk.ledger.instruments.Sample;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Water;
import dusk.ledger.units.Figures;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Anglers;
import dusk.ledger.web.records.Instrument;
import dusk.ledger.web.records.Instruments;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.NewId;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The club's instruments, for its records officer: which are listened to, how each is, what it says. */
@Controller
@RequestMapping("/club/instruments")
class InstrumentsController {
    private static final int LONGEST_NAME = 40;

    private final Instruments instruments;
    private final Listening listening;
    private final Anglers anglers;
    private final Waters waters;
    private final NewId newId;
    private final Clock clock;

    InstrumentsController(
            Instruments instruments, Listening listening, Anglers anglers, Waters waters, NewId newId, Clock clock) {
        this.instruments = instruments;
        this.listening = listening;
        this.anglers = anglers;
        this.waters = waters;
        this.newId = newId;
        this.clock = clock;
    }

    /**
     * One of the list.
     *
     * @param of whose boat, or which water
     * @param says what it said last, in words; a boat's position is for those aboard, so it is not among them
     */
    record Line(
            String id,
            String name,
            String kind,
            String of,
            String address,
            boolean well,
            String state,
            List<String> says) {}

    @GetMapping
    String page(Person person, Model model) {
        return page(person, model, Map.of(), Map.of());
    }

    private String page(Person person, Model model, Map<String, String> typed, Map<String, String> errors) {
        person.onlyOfficer();
        Map<String, Angler> people = byId(anglers.all(person.viewer()), Angler::id);
        Map<String, Water> places = byId(waters.all(person.viewer()), Water::id);
        model.addAttribute(
                "lines",
                instruments.of(person.viewer()).stream()
                        .sorted(Comparator.comparing(Instrument::kind))
                        .map(one -> line(one, of(one, people, places)))
                        .toList());
        model.addAttribute("kinds", Kind.values());
        model.addAttribute("anglers", anglers.all(person.viewer()));
        model.addAttribute("waters", waters.all(person.viewer()));
        model.addAttribute("typed", typed);
        model.addAttribute("errors", errors);
        return "instruments/instruments";
    }

    private static <T> Map<String, T> byId(List<T> all, Function<T, String> id) {
        return all.stream().collect(Collectors.toMap(id, one -> one));
    }

    private static String of(Instrument one, Map<String, Angler> anglers, Map<String, Water> waters) {
        Angler angler = anglers.get(String.valueOf(one.anglerId()));
        Water water = waters.get(String.valueOf(one.waterId()));
        return angler != null ? "in the boat of " + angler.called() : water != null ? water.name() : "";
    }

    private Line line(Instrument one, String of) {
        Ear ear = listening.ear(one.clubId(), one.id());
        FeedState state = ear == null
                ? new FeedState(
                        FeedState.Trouble.UNREACHED,
                        "Not listened to: whoever runs the server does not allow that host.")
                : ear.feed().state(clock.instant());
        return new Line(
                one.id(),
                one.name(),
                one.kind().words(),
                of,
                one.address(),
                state.well(),
                state.words(),
                ear == null ? List.of() : says(ear.feed()));
    }

    private List<String> says(Feed feed) {
        List<String> says = new ArrayList<>();
        for (Quantity quantity : Quantity.values()) {
            Sample last = feed.last(quantity);
            if (last != null && !quantity.places()) {
                says.add(quantity.word() + " " + Figures.trimmed(last.value(), 2) + quantity.unit() + ", "
                        + Feed.span(Duration.between(last.at(), clock.instant())) + " ago");
            }
        }
        return says;
    }

    @PostMapping
    String add(
            Person person,
            @RequestParam Map<String, String> typed,
            Model model,
            HttpServletResponse response,
            RedirectAttributes flash) {
        person.onlyOfficer();
        Typed fields = new Typed(typed, person.units());
        Instrument added = read(person, fields);
        if (added == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(person, model, typed, fields.errors());
        }
        instruments.keep(added);
        listening.follow();
        flash.addFlashAttribute("said", added.name() + " is listened to from now on.");
        return "redirect:/club/instruments";
    }

    private @Nullable Instrument read(Person person, Typed typed) {
        Kind kind = typed.known("kind", word -> Kind.of(word).orElse(null), "Choose what it is.");
        if (kind == null) {
            typed.required("kind", "Choose what it is.");
        }
        String name = typed.required("name", "Give it a name, such as Boat or Mill gauge.");
        if (name.length() > LONGEST_NAME) {
            typed.wrong("name", "A name may have " + LONGEST_NAME + " letters at most.");
        }
        String address = typed.required("address", "Say where it is reached.");
        if (kind != null && !address.isEmpty()) {
            typed.read("address", text -> allowed(Address.parse(kind, text)));
        }
        boolean aboard = kind != null && kind.lines();
        if (kind != null) {
            typed.required(
                    aboard ? "angler_id" : "water_id",
                    aboard ? "Say in whose boat it is." : "Say which water it is of.");
        }
        Angler angler = typed.known(
                "angler_id", byId(anglers.all(person.viewer()), Angler::id)::get, "Choose one of the list.");
        Water water =
                typed.known("water_id", byId(waters.all(person.viewer()), Water::id)::get, "Choose one of the list.");
        if (typed.errors().isEmpty() && instruments.of(person.viewer()).size() >= Instruments.MOST) {
            typed.wrong("name", "A club has " + Instruments.MOST + " instruments at most. Take one away first.");
        }
        return kind == null || !typed.errors().isEmpty()
                ? null
                : new Instrument(
                        person.clubId(),
                        newId.next(),
                        kind,
                        name,
                        address.strip(),
                        aboard && angler != null ? angler.id() : null,
                        !aboard && water != null ? water.id() : null);
    }

    private Address allowed(Address address) {
        if (!listening.allowed(address)) {
            throw new IllegalArgumentException(
                    "Whoever runs the server does not allow that host; they name those that are with dusk.instruments.hosts.");
        }
        return address;
    }

    @PostMapping("/{id}/delete")
    String remove(Person person, @PathVariable String id, RedirectAttributes flash) {
        person.onlyOfficer();
        flash.addFlashAttribute("deleted", instruments.remove(person.viewer(), id));
        listening.follow();
        return "redirect:/club/instruments";
    }
}
