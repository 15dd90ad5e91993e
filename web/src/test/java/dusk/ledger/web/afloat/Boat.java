package dusk.ledger.web.afloat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.RodOut;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A guide's boat on the test club's lake: two rods, the guide's and the member's, at Kiln Point in 4 m. */
final class Boat implements AutoCloseable {
    final TestClub club;
    final TripActs trips;
    final TakingBack back;
    final RodActs rods;
    final Conditions conditions;
    final String trip;
    private int acts;

    Boat(Path folder) {
        this(folder, true);
    }

    /** @param up whether its rods are fished from the start */
    Boat(Path folder, boolean up) {
        club = new TestClub(folder);
        trips = club.get(TripActs.class);
        back = club.get(TakingBack.class);
        rods = club.get(RodActs.class);
        conditions = club.get(Conditions.class);
        trip = trips.begin(
                club.guide,
                club.lake,
                club.clock.instant(),
                null,
                List.of(wanted(club.guide, "jig", "light"), wanted(club.member, "drop", "r2")),
                new Place("point", dusk.ledger.units.Length.ofMetres(4)),
                up);
    }

    private static TripActs.Wanted wanted(Person person, String setUp, String rod) {
        return new TripActs.Wanted(person.anglerId(), null, setUp, rod, "dead-stick");
    }

    void after(double minutes) {
        club.clock.turn(Duration.ofMillis(Math.round(minutes * 60_000)));
    }

    /** The guide does something now. */
    By now() {
        return by(club.guide, club.clock.instant());
    }

    By by(Person person, Instant at) {
        return new By(person, trip, "act-" + ++acts, at);
    }

    Deck deck() {
        return club.get(Decks.class).deck(club.guide.viewer(), trip);
    }

    RodOut rod(int number) {
        return deck().rods().stream()
                .filter(rod -> rod.number() == number)
                .findFirst()
                .orElseThrow();
    }

    /** Where it is, as the guide knows it. */
    Spot spot(int number) {
        return club.get(Places.class)
                .on(
                        club.guide.viewer(),
                        club.lake.id(),
                        String.valueOf(rod(number).spotId()))
                .orElseThrow();
    }

    /** Its id. */
    String id(int number) {
        return rod(number).id();
    }

    Typed typed(String... pairs) {
        return new Typed(map(pairs), club.guide.units());
    }

    static Map<String, String> map(String... pairs) {
        Map<String, String> map = new java.util.HashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            map.put(pairs[i], pairs[i + 1]);
        }
        return map;
    }

    /** All stints, in the order they began, those of the lower rod first. */
    List<Stint> stints() {
        List<Stint> stints = new ArrayList<>(club.all(LedgerFormat.STINTS));
        stints.sort(Comparator.comparing(Stint::startedAt).thenComparing(s -> String.valueOf(s.rodId())));
        return stints;
    }

    /** Stints of a rod of the club. */
    List<Stint> stintsOf(String rodId) {
        return stints().stream().filter(s -> rodId.equals(s.rodId())).toList();
    }

    List<Catch> fish() {
        return club.all(LedgerFormat.CATCHES);
    }

    List<Touch> touches() {
        return club.all(LedgerFormat.TOUCHES);
    }

    /** The words of the newest act that is not undone; null where there is none. */
    @Nullable
    String lastSaid() {
        return club.get(dusk.ledger.web.store.Acts.class).latest(club.guide.viewer(), trip).stream()
                .findFirst()
                .map(done -> done.act().what())
                .orElse(null);
    }

    @Override
    public void close() {
        club.close();
    }
}
