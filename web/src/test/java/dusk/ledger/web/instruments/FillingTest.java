package dusk.ledger.web.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.instruments.Feed;
import dusk.ledger.instruments.Kind;
import dusk.ledger.instruments.Quantity;
import dusk.ledger.instruments.Sample;
import dusk.ledger.instruments.SimulatedBoat;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Reading;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.afloat.By;
import dusk.ledger.web.afloat.Conditions;
import dusk.ledger.web.afloat.Place;
import dusk.ledger.web.afloat.RodActs;
import dusk.ledger.web.afloat.TakingBack;
import dusk.ledger.web.afloat.TripActs;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.HeardColumns;
import dusk.ledger.web.records.Instrument;
import dusk.ledger.web.records.Instruments;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.records.TripRows;
import dusk.ledger.web.store.Acts;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.Viewer;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Readings and lengths that fill themselves on the deck of a trip, and what goes before them. */
class FillingTest {
    /** The trip's water; the boat drifts there. */
    private static final Position HERE = new Position(44.5, -14);

    @TempDir
    Path folder;

    private TestClub club;
    private String trip;
    private int acts;
    private final SimulatedBoat boat = new SimulatedBoat(HERE);

    @BeforeEach
    void begin() {
        club = new TestClub(folder);
        trip = club.get(TripActs.class)
                .begin(
                        club.guide,
                        club.lake,
                        club.clock.instant(),
                        null,
                        List.of(
                                new TripActs.Wanted(club.guide.anglerId(), null, "jig", "light", null),
                                new TripActs.Wanted(club.member.anglerId(), null, "drop", null, null)),
                        new Place("point", Length.ofMetres(4)),
                        true);
        keep("boat", Kind.BOAT, club.guide.anglerId(), null);
        keep("board", Kind.BOARD, club.guide.anglerId(), null);
        keep("gauge", Kind.GAUGE, null, "lake");
        keep("station", Kind.STATION, null, "lake");
        club.get(Listening.class).start();
    }

    @AfterEach
    void close() {
        club.get(Listening.class).stop();
        club.close();
    }

    /** Nobody is there: what is heard is put into its ear here. */
    private void keep(String id, Kind kind, String angler, String water) {
        String address = kind.lines() ? "127.0.0.1:9" : "http://127.0.0.1:9/";
        club.get(Instruments.class)
                .keep(new Instrument(club.officer.clubId(), id, kind, "The " + id, address, angler, water));
    }

    private Feed feed(String id) {
        return club.get(Listening.class).ear(club.officer.clubId(), id).feed();
    }

    private void boatSays() {
        Instant now = club.clock.instant();
        boat.sentences(now).forEach(line -> feed("boat").hear(line, now));
    }

    private void gaugeSays(String more) {
        feed("gauge").hear("{\"at\":\"" + club.clock.instant() + "\"," + more + "}", club.clock.instant());
    }

    private void fill() {
        club.get(Filling.class).fill();
    }

    private void after(double minutes) {
        club.clock.turn(Duration.ofMillis(Math.round(minutes * 60_000)));
    }

    private By now() {
        return by(club.guide);
    }

    private By by(Person person) {
        return new By(person, trip, "act-" + ++acts, club.clock.instant());
    }

    private List<Reading> readings() {
        return club.get(TripRows.class).readings(club.guide.viewer(), trip);
    }

    private Reading last() {
        return readings().get(readings().size() - 1);
    }

    private Deck deck() {
        return club.get(Decks.class).deck(club.guide.viewer(), trip);
    }

    private String rod(int number) {
        return deck().rods().stream()
                .filter(rod -> rod.number() == number)
                .map(RodOut::id)
                .findFirst()
                .orElseThrow();
    }

    private String lastAct() {
        return club.get(Acts.class)
                .latest(club.guide.viewer(), trip)
                .get(0)
                .act()
                .what();
    }

    private void byHand(String column, String typed) {
        club.get(Conditions.class).read(now(), Map.of(column, typed));
    }

    @Test
    void whatTheBoatAndTheGaugeSayBecomesAReading() {
        boatSays();
        gaugeSays("\"clarity_m\":1.3,\"water_temp_c\":8.1,\"level_m\":2.1");
        fill();
        Reading read = last();
        SimulatedBoat.Truth truth = boat.truth(club.clock.instant());
        assertThat(read.waterTemp().celsius())
                .as("the boat's thermometer goes before the gauge's")
                .isCloseTo(truth.waterTempC(), within(0.06));
        assertThat(read.wind().metresPerSecond()).isCloseTo(truth.wind().mps(), within(0.1));
        assertThat(read.current().metresPerSecond()).isCloseTo(0.12, within(0.011));
        assertThat(read.clarity().metres()).isEqualTo(1.3);
        assertThat(read.how()).isEqualTo("measured");
        assertThat(club.get(HeardColumns.class).of(club.guide.viewer(), trip))
                .containsEntry("clarity_m", new HeardColumns.Note(club.clock.instant(), "The gauge"))
                .containsEntry("wind_mps", new HeardColumns.Note(club.clock.instant(), "The boat"));
        assertThat(lastAct()).as("it is no act").isEqualTo("the trip started");
    }

    @Test
    void nothingHeardStoresNothingAndNorDoesWhatIsOld() {
        fill();
        assertThat(readings()).isEmpty();
        boatSays();
        after(2);
        fill();
        assertThat(readings()).isEmpty();
    }

    @Test
    void aValueIsStoredAgainOnceItMovedEnoughAndNotTooOften() {
        gaugeSays("\"clarity_m\":1.3");
        fill();
        fill();
        after(6);
        gaugeSays("\"clarity_m\":1.35");
        fill();
        assertThat(readings()).as("it did not move enough").hasSize(1);
        // an average follows what stays
        for (int i = 0; i < 4; i++) {
            after(2);
            gaugeSays("\"clarity_m\":1.9");
        }
        fill();
        assertThat(readings()).hasSize(2);
        assertThat(last().clarity().metres()).isCloseTo(1.9, within(0.051));
        for (int i = 0; i < 2; i++) {
            after(2);
            gaugeSays("\"clarity_m\":1.3");
        }
        fill();
        assertThat(readings()).as("five minutes lie between two").hasSize(2);
        after(2);
        gaugeSays("\"clarity_m\":1.3");
        fill();
        assertThat(readings()).hasSize(3);
    }

    @Test
    void whatSomebodyLookedAtThemselvesStandsUntilTheLookIsOld() {
        byHand("water_temp_c", "12.5 C");
        after(1);
        boatSays();
        fill();
        assertThat(last().source()).isEqualTo("instrument");
        assertThat(last().waterTemp().celsius()).as("carried over").isEqualTo(12.5);
        assertThat(last().wind()).isNotNull();
        // three hours of it, the deck touched now and then
        for (int i = 0; i < 19; i++) {
            after(10);
            boatSays();
            club.get(RodActs.class).touch(now(), rod(1), "bite");
            fill();
        }
        assertThat(last().waterTemp().celsius()).isLessThan(11);
        byHand("water_temp_c", "12 C");
        after(6);
        boatSays();
        fill();
        assertThat(last().waterTemp().celsius()).isEqualTo(12);
    }

    @Test
    void aLookBetweenTheChoiceAndTheWriteStands() {
        byHand("water_temp_c", "12.5 C");
        Map<String, Object> chosen = Map.of("water_temp_c", 9.7, "wind_mps", 4.0);
        club.get(Conditions.class)
                .hear(Viewer.club(club.officer.clubId()), trip, club.clock.instant(), chosen, "instrument");
        assertThat(last().waterTemp().celsius()).isEqualTo(12.5);
        assertThat(last().wind().metresPerSecond()).isEqualTo(4);
        club.get(Conditions.class)
                .hear(
                        Viewer.club(club.officer.clubId()),
                        trip,
                        club.clock.instant(),
                        Map.of("water_temp_c", 9.7),
                        "instrument");
        assertThat(readings()).hasSize(2);
    }

    @Test
    void aLookThatIsTakenBackIsTakenBackFromWhatCarriedIt() {
        byHand("clarity_m", "0.6 m");
        after(1);
        byHand("clarity_m", "6 m");
        String wrong = "act-" + acts;
        after(1);
        boatSays();
        fill();
        assertThat(last().clarity().metres()).isEqualTo(6);
        club.get(TakingBack.class).undo(now(), wrong);
        assertThat(last().source()).isEqualTo("instrument");
        assertThat(last().clarity().metres()).isEqualTo(0.6);
        assertThat(last().wind()).isNotNull();
        club.get(TakingBack.class).undo(now(), "act-1");
        assertThat(last().clarity()).isNull();
    }

    @Test
    void aLookThatWaitedWithoutASignalIsCarriedByWhatCameMeanwhile() {
        byHand("clarity_m", "0.6 m");
        By earlier = now();
        after(10);
        boatSays();
        fill();
        assertThat(last().clarity().metres()).isEqualTo(0.6);
        club.get(Conditions.class)
                .read(new By(club.guide, trip, "late", earlier.at().plusSeconds(60)), Map.of("clarity_m", "1.1 m"));
        assertThat(last().source()).isEqualTo("instrument");
        assertThat(last().clarity().metres()).isEqualTo(1.1);
        club.get(TakingBack.class).undo(now(), "late");
        assertThat(last().clarity().metres()).isEqualTo(0.6);
    }

    @Test
    void onlyTripsWithItsOwnerAboardAndOnItsWaterAreTold() {
        String other = club.get(TripActs.class)
                .begin(
                        club.member,
                        club.sound,
                        club.clock.instant(),
                        null,
                        List.of(new TripActs.Wanted(club.member.anglerId(), null, "jig", null, null)),
                        new Place("pass", null),
                        true);
        boatSays();
        gaugeSays("\"clarity_m\":1.3");
        fill();
        assertThat(readings()).hasSize(1);
        assertThat(club.get(TripRows.class).readings(club.officer.viewer(), other))
                .isEmpty();
    }

    @Test
    void anEndedTripAndAForgottenDeckAreLeftAlone() {
        after(200);
        boatSays();
        fill();
        assertThat(readings()).as("nobody touched it for three hours").isEmpty();
        club.get(RodActs.class).touch(now(), rod(1), "bite");
        fill();
        assertThat(readings()).hasSize(1);
        club.get(TripActs.class).end(now());
        after(10);
        boatSays();
        fill();
        assertThat(readings()).hasSize(1);
        assertThat(club.get(Aboard.class).now(club.guide, deck())).isEmpty();
    }

    @Test
    void anInstrumentThatIsTakenAwayIsHeardNoMoreUntilItComesBack() {
        String deletion = club.get(Instruments.class).remove(club.officer.viewer(), "boat");
        club.get(Listening.class).follow();
        assertThat(club.get(Listening.class).ear(club.officer.clubId(), "boat")).isNull();
        club.get(Deletions.class).undo(club.officer.viewer(), deletion);
        club.get(Listening.class).follow();
        assertThat(club.get(Listening.class).ear(club.officer.clubId(), "boat")).isNotNull();
        assertThat(club.get(Instruments.class).of(club.stranger.viewer())).isEmpty();
    }

    @Test
    void aDayOfItLeavesFewReadings() {
        for (int minute = 0; minute < 24 * 60; minute++) {
            after(1);
            boatSays();
            if (minute % 60 == 0) {
                club.get(RodActs.class).touch(now(), rod(1), "bite");
            }
            fill();
        }
        assertThat(readings().size()).isBetween(10, 24 * 60 / 5);
        assertThat(readings())
                .allSatisfy(r -> assertThat(r.waterTemp().celsius()).isBetween(9.0, 10.5));
    }

    private void landed(int rod) {
        club.get(RodActs.class).landed(now(), rod(rod), "walleye", 1);
    }

    private Catch fish(int number) {
        return club.all(LedgerFormat.CATCHES).stream()
                .filter(one -> one.id().equals("act-" + number))
                .findFirst()
                .orElseThrow();
    }

    private void measured(double mm) {
        club.get(Lengths.class)
                .heard(
                        new Instrument(
                                club.officer.clubId(),
                                "board",
                                Kind.BOARD,
                                "The board",
                                "127.0.0.1:9",
                                club.guide.anglerId(),
                                null),
                        List.of(new Sample(Quantity.LENGTH_MM, mm, club.clock.instant())));
    }

    @Test
    void theOneFishThatWaitsGetsItsLengthAndItCanBeTakenBack() {
        landed(2);
        after(1);
        measured(384);
        assertThat(fish(1).length().millimetres()).isEqualTo(384);
        assertThat(fish(1).lengthHow()).isEqualTo("measured");
        assertThat(lastAct()).isEqualTo("rod 2: walleye measured by The board");
        assertThat(club.get(Aboard.class).length(club.guide, deck())).isNull();
        club.get(TakingBack.class)
                .undo(
                        now(),
                        club.get(Acts.class)
                                .latest(club.guide.viewer(), trip)
                                .get(0)
                                .act()
                                .id());
        assertThat(fish(1).length()).isNull();
    }

    @Test
    void ofTwoFishNobodyGuessesAndTheLengthIsOffered() {
        landed(1);
        landed(2);
        measured(384);
        assertThat(club.all(LedgerFormat.CATCHES))
                .allSatisfy(one -> assertThat(one.length()).isNull());
        assertThat(club.get(Aboard.class).length(club.guide, deck()))
                .isEqualTo(new Lengths.Measured(Length.ofMillimetres(384), club.clock.instant(), "The board"));
        after(4);
        assertThat(club.get(Aboard.class).length(club.guide, deck())).isNull();
    }

    @Test
    void aLengthIsOfferedNoMoreOnceTheNextOneWasGiven() {
        measured(384);
        assertThat(club.get(Aboard.class).length(club.guide, deck())).isNotNull();
        landed(1);
        measured(291);
        assertThat(fish(1).length().millimetres()).isEqualTo(291);
        assertThat(club.get(Aboard.class).length(club.guide, deck())).isNull();
    }

    @Test
    void aLengthByHandStandsAndOneOfBeforeIsNotGivenToALaterFish() {
        landed(1);
        club.get(RodActs.class)
                .complete(
                        now(),
                        rod(1),
                        "act-1",
                        "completed",
                        fish -> CatchBuilder.builder(fish)
                                .length(Length.ofMillimetres(400))
                                .lengthHow("measured")
                                .build());
        measured(384);
        assertThat(fish(1).length().millimetres()).isEqualTo(400);
        after(20);
        landed(1);
        assertThat(fish(3).length()).isNull();
        after(11);
        measured(350);
        assertThat(fish(3).length()).as("a fish of before is back in the water").isNull();
    }

    @Test
    void aNewPlaceGetsTheBoatsPositionWhereItIsOneOfThatWater() {
        boatSays();
        Position known = club.get(Aboard.class).position(club.guide, deck(), club.clock.instant());
        Position truth = boat.truth(club.clock.instant()).position();
        assertThat(known.latitude()).isCloseTo(truth.latitude(), within(1e-6));
        assertThat(known.longitude()).isCloseTo(truth.longitude(), within(1e-6));
        assertThat(club.get(Aboard.class)
                        .position(club.guide, deck(), club.clock.instant().minusSeconds(120)))
                .as("what waited is of where the boat was then")
                .isNull();
        SimulatedBoat far = new SimulatedBoat(new Position(45.5, -14));
        club.get(Instruments.class).remove(club.officer.viewer(), "boat");
        keep("other boat", Kind.BOAT, club.guide.anglerId(), null);
        club.get(Listening.class).follow();
        Instant now = club.clock.instant();
        far.sentences(now).forEach(line -> feed("other boat").hear(line, now));
        assertThat(club.get(Aboard.class).position(club.guide, deck(), now))
                .as("a hundred kilometres away is another water, or a lie")
                .isNull();
        assertThat(club.get(Aboard.class).boat(club.guide, deck()).depthM()).isNotNull();
    }
}
