package dusk.ledger.web.frame;

import dusk.ledger.journal.Water;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.BandWords;
import dusk.ledger.vocabulary.Meanings;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.security.CurrentPerson;
import dusk.ledger.web.store.ClubWords;
import dusk.ledger.web.store.Clubs;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletRequest;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page its frame. */
@ControllerAdvice
class FrameAdvice {
    private static final Map<String, String> PLACES = new LinkedHashMap<>();
    /** What is there for a guest reader. */
    private static final Map<String, String> READERS = new LinkedHashMap<>();

    private static final Set<String> LIKELY = Set.of("/deck", "/trips", "/findings", "/cards");

    static {
        PLACES.put("/today", "Today");
        PLACES.put("/deck", "Deck");
        PLACES.put("/trips", "Trips");
        PLACES.put("/tackle", "Tackle");
        PLACES.put("/findings", "Findings");
        PLACES.put("/plan", "Plan");
        PLACES.put("/column", "Column");
        PLACES.put("/club", "Club");
        PLACES.put("/account", "Account");
        READERS.put("/findings", "Findings");
        READERS.put("/cards", "Cards");
        READERS.put("/account", "Account");
    }

    private final CurrentPerson current;
    private final Horizon horizon;
    private final Clubs clubs;
    private final ClubWords words;
    private final boolean demo;

    FrameAdvice(
            CurrentPerson current, Horizon horizon, Clubs clubs, ClubWords words, @Value("${dusk.demo}") boolean demo) {
        this.current = current;
        this.horizon = horizon;
        this.clubs = clubs;
        this.words = words;
        this.demo = demo;
    }

    /** The units of whoever reads. */
    @ModelAttribute("units")
    UnitSystem units() {
        return current.get().map(Person::units).orElse(UnitSystem.METRIC);
    }

    /** The page's own address, so that one more thing may be asked of it behind. */
    @ModelAttribute("here")
    String here(HttpServletRequest request) {
        String query = request.getQueryString();
        return request.getRequestURI() + (query == null || query.isEmpty() ? "?" : "?" + query + "&");
    }

    /** Bands of the record in those units. */
    @ModelAttribute("bands")
    BandWords bands() {
        BandWords bands = BandWords.of(units());
        return current.get()
                .map(person -> bands.and(words.said(person.clubId())))
                .orElse(bands);
    }

    /** What the words of a column mean, for whoever asks "what is this?" beside a choice: see {@link Meanings#of(String)}. */
    @ModelAttribute("meaning")
    Function<String, Map<String, String>> meaning() {
        return Meanings::of;
    }

    @ModelAttribute("frame")
    Frame frame(HttpServletRequest request) {
        Optional<Person> person = current.get();
        if (person.isEmpty()) {
            return new Frame("dusk", "sun", List.of(), null, "", "", "", false, demo);
        }
        boolean part = request.getHeader("HX-Request") != null || request.getHeader("X-Deck") != null;
        return part ? bare(person.get()) : frame(person.get(), request.getRequestURI());
    }

    /** Of an answer that goes into a page that stands already: nothing is drawn around it. */
    private Frame bare(Person person) {
        return new Frame(
                "",
                person.theme(),
                List.of(),
                null,
                "",
                person.name(),
                "",
                person.viewer().guest(),
                demo);
    }

    private Frame frame(Person person, String path) {
        Optional<Water> home = horizon.home(person.viewer());
        String theme = person.theme();
        if (theme.equals("sun")) {
            theme = home.map(horizon::theme).orElse("glare");
        }
        List<Frame.Place> places = (person.viewer().guest() ? READERS : PLACES)
                .entrySet().stream()
                        .map(p -> new Frame.Place(
                                p.getKey(), p.getValue(), LIKELY.contains(p.getKey()), path.startsWith(p.getKey())))
                        .toList();
        return new Frame(
                theme,
                person.theme(),
                places,
                home.map(horizon::today).orElse(null),
                home.map(Water::name).orElse(""),
                person.name(),
                clubs.byId(person.clubId()).map(Clubs.Club::name).orElse(""),
                person.viewer().guest(),
                demo);
    }

    /** The page's own address as its reader sees it, where it is shown as everyone else does; else nothing. */
    @ModelAttribute("asAnybody")
    @Nullable
    String asAnybody(HttpServletRequest request) {
        return CurrentPerson.asAnybody(request) && current.get().isPresent() ? request.getRequestURI() : null;
    }

    /** Whether the answer goes into a page that stands already. */
    @ModelAttribute("part")
    boolean part(HtmxRequest htmx) {
        return htmx.isHtmxRequest() && !htmx.isBoosted() && !htmx.isHistoryRestoreRequest();
    }
}
