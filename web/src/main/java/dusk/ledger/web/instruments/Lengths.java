package dusk.ledger.web.instruments;

import dusk.ledger.instruments.Kind;
import dusk.ledger.instruments.Quantity;
import dusk.ledger.instruments.Sample;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.units.Length;
import dusk.ledger.web.afloat.By;
import dusk.ledger.web.afloat.Refusal;
import dusk.ledger.web.afloat.RodActs;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.Instrument;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Viewer;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Lengths off a measuring board. The one fish of a trip that waits for its length gets it, as an act that can be undone;
 * where none waits, or more than one, nobody guesses: the length is offered by the sheet of each.
 */
@Component
public class Lengths {
    /** A fish is measured soon after it was landed. */
    private static final Duration WAITS = Duration.ofMinutes(10);

    private final People people;
    private final Decks decks;
    private final TripRows rows;
    private final RodActs rods;
    private final NewId newId;
    private final Clock clock;
    private final Map<Instrument, Measured> unused = new ConcurrentHashMap<>();

    Lengths(People people, Decks decks, TripRows rows, RodActs rods, NewId newId, Clock clock) {
        this.people = people;
        this.decks = decks;
        this.rows = rows;
        this.rods = rods;
        this.newId = newId;
        this.clock = clock;
    }

    /**
     * A length off a board.
     *
     * @param by name of the board
     */
    public record Measured(Length length, Instant at, String by) {}

    /** A fish that waits for its length, and the rod it came on. */
    private record Waiting(String rodId, String catchId) {}

    void heard(Instrument board, List<Sample> samples) {
        for (Sample sample : samples) {
            if (sample.quantity() == Quantity.LENGTH_MM) {
                Measured measured =
                        new Measured(Length.ofMillimetres(Math.round(sample.value())), sample.at(), board.name());
                // an earlier one is of a fish before, whether it was used or not
                unused.remove(board);
                if (!given(board, measured)) {
                    unused.put(board, measured);
                }
            }
        }
    }

    private boolean given(Instrument board, Measured measured) {
        Person person = people.ofClub(board.clubId()).stream()
                .filter(one -> one.anglerId() != null && one.anglerId().equals(board.anglerId()))
                .findFirst()
                .orElse(null);
        if (person == null) {
            return false;
        }
        // an officer is on every trip; a board is on those that its owner fishes
        Viewer fishing = new Viewer(person.clubId(), person.id(), person.anglerId(), Viewer.Role.MEMBER);
        for (String trip : decks.live(fishing)) {
            Waiting fish = waiting(person.viewer(), decks.deck(fishing, trip));
            if (fish != null) {
                return given(new By(person, trip, newId.next(), clock.instant()), fish, measured);
            }
        }
        return false;
    }

    /** False where a hand was quicker. */
    private boolean given(By by, Waiting fish, Measured measured) {
        try {
            rods.complete(by, fish.rodId(), fish.catchId(), "measured by " + measured.by(), landed -> {
                if (landed.length() != null) {
                    throw new Refusal("It has its length.");
                }
                return CatchBuilder.builder(landed)
                        .length(measured.length())
                        .lengthHow("measured")
                        .build();
            });
            return true;
        } catch (Refusal e) {
            return false;
        }
    }

    /** The one fish that it can be; null for none and for several. */
    private @Nullable Waiting waiting(Viewer viewer, Deck deck) {
        Instant since = clock.instant().minus(WAITS);
        List<Stint> stints = rows.stints(viewer, deck.trip().id());
        List<Catch> fish = rows.catches(viewer, stints).stream()
                .filter(one -> one.length() == null && one.count() == 1)
                .filter(one -> since.isBefore(Objects.requireNonNullElse(one.at(), Instant.EPOCH)))
                .toList();
        if (fish.size() != 1) {
            return null;
        }
        String angler = stints.stream()
                .filter(stint -> stint.id().equals(fish.get(0).stintId()))
                .map(Stint::anglerId)
                .findFirst()
                .orElse("");
        return deck.rods().stream()
                .filter(rod -> fish.get(0).stintId().equals(rod.stintId())
                        || rod.anglerId().equals(angler))
                .min((a, b) -> Boolean.compare(
                        !fish.get(0).stintId().equals(a.stintId()),
                        !fish.get(0).stintId().equals(b.stintId())))
                .map(RodOut::id)
                .map(rod -> new Waiting(rod, fish.get(0).id()))
                .orElse(null);
    }

    /** The newest that nobody got; null where it is too old. */
    @Nullable
    Measured newest(List<Instrument> boards, Instant now) {
        return boards.stream()
                .map(unused::get)
                .filter(one -> one != null && Duration.between(one.at(), now).compareTo(Kind.BOARD.holds()) <= 0)
                .max((a, b) -> a.at().compareTo(b.at()))
                .orElse(null);
    }
}
