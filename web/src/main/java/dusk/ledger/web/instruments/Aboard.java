package dusk.ledger.web.instruments;

import dusk.ledger.instruments.Feed;
import dusk.ledger.instruments.Flow;
import dusk.ledger.instruments.Kind;
import dusk.ledger.instruments.Known;
import dusk.ledger.units.Position;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Person;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the instruments of a trip say now: those in the boats of who is aboard, and those of its water. */
@Component
public class Aboard {
    /** A boat farther from the water than that is on another one, or its feed is wrong. */
    private static final double NEAR_KM = 60;

    private static final double DEGREE_KM = 111.2;

    private final Listening listening;
    private final Lengths lengths;
    private final Clock clock;

    Aboard(Listening listening, Lengths lengths, Clock clock) {
        this.listening = listening;
        this.lengths = lengths;
        this.clock = clock;
    }

    /**
     * An instrument on the deck.
     *
     * @param state in a sentence
     */
    public record Listened(String name, boolean well, String state) {}

    /**
     * How the boat lies, as far as it is known.
     *
     * @param by name of the instrument
     */
    public record Boat(
            String by,
            @Nullable Double depthM,
            @Nullable Flow drift,
            @Nullable Position position) {}

    boolean nobodyIsHeard() {
        return listening.ears().isEmpty();
    }

    private List<Ear> ears(String clubId, String waterId, Set<String> aboard) {
        return listening.ears().stream()
                .filter(ear -> ear.instrument().tellsOf(clubId, waterId, aboard))
                .sorted(Comparator.comparing((Ear ear) -> ear.feed().kind())
                        .thenComparing(ear -> ear.instrument().name()))
                .toList();
    }

    /** What is said of columns of the readings and stands for now: of each by the nearest, the boat before the gauge. */
    Map<String, Live> now(String clubId, String waterId, Set<String> aboard) {
        Instant now = clock.instant();
        Map<String, Live> said = new LinkedHashMap<>();
        for (Ear ear : ears(clubId, waterId, aboard)) {
            Feed feed = ear.feed();
            for (Known known : feed.known()) {
                if (feed.stands(known.at(), now)) {
                    said.putIfAbsent(
                            known.column(),
                            Live.of(
                                    known,
                                    feed.kind().source(),
                                    ear.instrument().name()));
                }
            }
        }
        return said;
    }

    /** The same of a deck; nothing of one that is fished no more. */
    public Map<String, Live> now(Person person, Deck deck) {
        return deck.live() ? now(person.clubId(), deck.water().id(), deck.aboard()) : Map.of();
    }

    /** How each of a deck's instruments is. */
    public List<Listened> states(Person person, Deck deck) {
        List<Listened> told = new ArrayList<>();
        if (deck.live()) {
            for (Ear ear : ears(person.clubId(), deck.water().id(), deck.aboard())) {
                var state = ear.feed().state(clock.instant());
                told.add(new Listened(ear.instrument().name(), state.well(), state.words()));
            }
        }
        return told;
    }

    /** How the boat lies; null where no feed says so now. */
    public @Nullable Boat boat(Person person, Deck deck) {
        if (!deck.live()) {
            return null;
        }
        Instant now = clock.instant();
        for (Ear ear : ears(person.clubId(), deck.water().id(), deck.aboard())) {
            Feed feed = ear.feed();
            if (feed.kind() == Kind.BOAT) {
                Position position = near(feed.position(now), deck.water().position());
                Double depth = feed.depthM(now);
                Flow drift = feed.drift(now);
                if (position != null || depth != null || drift != null) {
                    return new Boat(ear.instrument().name(), depth, drift, position);
                }
            }
        }
        return null;
    }

    private static @Nullable Position near(@Nullable Position boat, @Nullable Position water) {
        if (boat == null || water == null) {
            return boat;
        }
        double east = (boat.longitude() - water.longitude()) * Math.cos(Math.toRadians(water.latitude()));
        return DEGREE_KM * Math.hypot(boat.latitude() - water.latitude(), east) > NEAR_KM ? null : boat;
    }

    /**
     * Where the boat is as something is done, which a new place gets; null where nobody knows, and for what waited on a
     * device: the boat has gone on since.
     *
     * @param at when it was done
     */
    public @Nullable Position position(Person person, Deck deck, Instant at) {
        Boat boat =
                Duration.between(at, clock.instant()).compareTo(Duration.ofMinutes(1)) > 0 ? null : boat(person, deck);
        return boat == null ? null : boat.position();
    }

    /** The length that a board of the deck measured last and that nobody has used; null where it is too old or there is none. */
    public Lengths.@Nullable Measured length(Person person, Deck deck) {
        return deck.live()
                ? lengths.newest(
                        ears(person.clubId(), deck.water().id(), deck.aboard()).stream()
                                .map(Ear::instrument)
                                .toList(),
                        clock.instant())
                : null;
    }
}
