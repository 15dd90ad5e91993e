package dusk.ledger.web.afloat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Loss;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.journal.Trip;
import dusk.ledger.units.Length;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.form.TimeOfDay;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.store.NotYours;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a day on the deck comes to in the records, minute by minute. */
class DeckDayTest extends Aboard {
    private static List<Double> minutes(List<Stint> stints) {
        return stints.stream().map(Stint::minutes).toList();
    }

    @Test
    void aTripBeginsWithAStintOnEveryRodThatIsUp() {
        assertThat(boat.deck().live()).isTrue();
        assertThat(boat.deck().rods()).extracting(RodOut::number).containsExactly(1, 2);
        assertThat(boat.stints()).hasSize(2).allSatisfy(stint -> {
            assertThat(stint.startedAt()).isEqualTo(TestClub.START);
            assertThat(stint.spotId()).isEqualTo("point");
            assertThat(stint.depth()).isEqualTo(Length.ofMetres(4));
            assertThat(stint.presentation()).isEqualTo("dead-stick");
        });
        assertThat(boat.stints()).extracting(Stint::setUpId).containsExactly("jig", "drop");
        assertThat(boat.stints())
                .extracting(Stint::anglerId)
                .containsExactly(boat.club.guide.anglerId(), boat.club.member.anglerId());
    }

    @Test
    void rodsThatAreDownAtFirstHaveNoStintUntilTheyArePickedUp(@TempDir Path other) {
        try (Boat down = new Boat(other, false)) {
            assertThat(down.stints()).isEmpty();
            down.after(12);
            down.rods.up(down.now(), down.id(2));
            assertThat(down.stints()).hasSize(1);
            assertThat(down.stints().get(0).startedAt()).isEqualTo(TestClub.START.plus(Duration.ofMinutes(12)));
            assertThat(down.rod(1).down()).isTrue();
            assertThat(down.rod(2).down()).isFalse();
        }
    }

    @Test
    void theEndOfTheTripEndsEveryRodThatIsUp() {
        boat.after(20);
        boat.rods.down(boat.now(), boat.id(1));
        boat.after(25.5);
        boat.trips.end(boat.now());
        assertThat(minutes(boat.stints())).containsExactly(20.0, 45.5);
        Trip trip = boat.club.all(LedgerFormat.TRIPS).get(0);
        assertThat(trip.endedAt()).isEqualTo(TestClub.START.plus(Duration.ofSeconds(45 * 60 + 30)));
        assertThat(boat.deck().live()).isFalse();
        assertThat(boat.deck().rods()).allMatch(RodOut::down);
    }

    @Test
    void aRodPutDownAndPickedUpHasTwoStintsAndTheTimeBetweenBelongsToNeither() {
        boat.after(10);
        boat.rods.down(boat.now(), boat.id(1));
        boat.after(7);
        boat.rods.up(boat.now(), boat.id(1));
        boat.after(3);
        boat.trips.end(boat.now());
        assertThat(minutes(boat.stintsOf("light"))).containsExactly(10.0, 3.0);
        assertThat(boat.stintsOf("light").get(1).startedAt()).isEqualTo(TestClub.START.plus(Duration.ofMinutes(17)));
    }

    @Test
    void aSwapEndsOneStintAndBeginsTheNextAtTheSameMoment() {
        boat.after(8);
        boat.rods.swap(boat.now(), boat.id(1), Boat.map("weight", "up"));
        boat.after(4);
        boat.trips.end(boat.now());
        List<Stint> stints = boat.stintsOf("light");
        assertThat(minutes(stints)).containsExactly(8.0, 4.0);
        assertThat(stints.get(1).setUpId()).isNotEqualTo("jig");
        assertThat(boat.lastSaid()).isEqualTo("the trip ended");
    }

    /** Shorter than half a minute and nothing seen: it was never fished, and the next takes over its start. */
    @ParameterizedTest
    @CsvSource({"29, 1", "31, 2"})
    void aStintOfLessThanHalfAMinuteThatSawNothingWasNeverFished(int seconds, int stints) {
        boat.after(seconds / 60.0);
        boat.rods.swap(boat.now(), boat.id(1), Boat.map("colour", "violet"));
        boat.after(10);
        boat.trips.end(boat.now());
        assertThat(boat.stintsOf("light")).hasSize(stints);
        assertThat(boat.stintsOf("light").stream().mapToDouble(Stint::minutes).sum())
                .as("no time is lost")
                .isEqualTo(Math.round((10 + seconds / 60.0) * 100) / 100.0);
    }

    @Test
    void aShortStintThatSawAFishStands() {
        boat.after(0.2);
        boat.rods.touch(boat.now(), boat.id(1), "follow");
        boat.rods.swap(boat.now(), boat.id(1), Boat.map("colour", "violet"));
        assertThat(boat.stintsOf("light")).hasSize(2);
        assertThat(boat.stintsOf("light").get(0).follows()).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({"follow, 1, 0", "bite, 0, 1"})
    void whatTouchedIsCountedOnItsStintAndTellsItsMinutes(String kind, int follows, int bites) {
        boat.after(9);
        boat.rods.touch(boat.now(), boat.id(2), kind);
        Stint stint = boat.stintsOf("r2").get(0);
        assertThat(List.of(stint.follows(), stint.bites(), stint.hooked())).containsExactly(follows, bites, 0);
        assertThat(stint.minutes()).isEqualTo(9);
        assertThat(boat.touches()).extracting(Touch::kind).containsExactly(kind);
        assertThat(boat.lastSaid()).isEqualTo("rod 2: " + kind);
    }

    @Test
    void fishLandedAreFishBitesAndHookedOnes() {
        boat.after(5);
        boat.rods.landed(boat.now(), boat.id(1), "yellow perch", 3);
        assertThat(boat.lastSaid()).isEqualTo("rod 1: 3 yellow perch");
        boat.after(1);
        boat.rods.landed(boat.now(), boat.id(1), "walleye", 1);
        assertThat(boat.lastSaid()).isEqualTo("rod 1: walleye");
        Stint stint = boat.stintsOf("light").get(0);
        assertThat(List.of(stint.bites(), stint.hooked())).containsExactly(4, 4);
        assertThat(boat.fish()).extracting(Catch::count).containsExactlyInAnyOrder(3, 1);
    }

    @Test
    void aLostFishWasHookedAndHasItsCause() {
        boat.rods.lost(boat.now(), boat.id(2), "line broke");
        Stint stint = boat.stintsOf("r2").get(0);
        assertThat(List.of(stint.bites(), stint.hooked())).containsExactly(1, 1);
        assertThat(boat.club.all(LedgerFormat.LOSSES)).extracting(Loss::cause).containsExactly("line broke");
        assertThat(boat.lastSaid()).isEqualTo("rod 2: lost, line broke");
    }

    @ParameterizedTest
    @ValueSource(strings = {"touch", "landed", "lost", "down", "still"})
    void aRodThatIsDownIsPickedUpFirst(String what) {
        String rod = boat.id(1);
        boat.rods.down(boat.now(), rod);
        assertThatThrownBy(() -> {
                    switch (what) {
                        case "touch" -> boat.rods.touch(boat.now(), rod, "bite");
                        case "landed" -> boat.rods.landed(boat.now(), rod, "walleye", 1);
                        case "lost" -> boat.rods.lost(boat.now(), rod, "unknown");
                        case "down" -> boat.rods.down(boat.now(), rod);
                        default -> boat.rods.still(boat.now(), rod);
                    }
                })
                .isInstanceOf(Refusal.class)
                .hasMessage("Rod 1 is down. Pick it up first.");
        assertThat(boat.fish()).isEmpty();
        assertThat(boat.touches()).isEmpty();
    }

    @Test
    void aRodThatIsUpIsNotPickedUpTwice() {
        assertThatThrownBy(() -> boat.rods.up(boat.now(), boat.id(1)))
                .isInstanceOf(Refusal.class)
                .hasMessage("Rod 1 is being fished already.");
    }

    @Test
    void aForgottenRodWasDownSinceThenOrIsFishedAfterAll() {
        boat.after(30);
        boat.rods.touch(boat.now(), boat.id(1), "bite");
        boat.after(60);
        boat.rods.still(boat.now(), boat.id(2));
        assertThat(boat.stintsOf("r2").get(0).minutes()).isEqualTo(90);
        // the lake's clock is an hour behind
        assertThatThrownBy(() -> boat.rods.setBack(boat.now(), boat.id(1), TimeOfDay.parse("14:20")))
                .isInstanceOf(Refusal.class)
                .hasMessage("The end must lie between the last thing that was seen on it and now.");
        boat.rods.setBack(boat.now(), boat.id(1), TimeOfDay.parse("14:45"));
        assertThat(boat.stintsOf("light").get(0).minutes()).isEqualTo(45);
        assertThat(boat.rod(1).down()).isTrue();
    }

    @Test
    void aMoveTakesEveryRodAlongAndEndsTheStintsOfThoseThatAreUp() {
        boat.after(15);
        boat.rods.down(boat.now(), boat.id(2));
        boat.after(5);
        boat.trips.move(boat.now(), boat.typed("spot_id", "dock", "depth_m", "2.5"), null);
        assertThat(boat.lastSaid())
                .as("a mark, which each reader's own view fills")
                .isEqualTo("moved to [place dock]");
        assertThat(boat.deck().rods()).allSatisfy(rod -> {
            assertThat(rod.spotId()).isEqualTo("dock");
            assertThat(rod.depth()).isEqualTo(Length.ofMetres(2.5));
        });
        boat.after(6);
        boat.trips.end(boat.now());
        assertThat(minutes(boat.stintsOf("light"))).containsExactly(20.0, 6.0);
        assertThat(boat.stintsOf("light")).extracting(Stint::spotId).containsExactly("point", "dock");
        assertThat(minutes(boat.stintsOf("r2"))).containsExactly(15.0);
    }

    @Test
    void aNewPlaceIsItsMakersOwnAndIsCalledByItsKindAndHourUntilItHasAName() {
        boat.after(61);
        boat.trips.move(boat.now(), boat.typed("structure", "hump"), null);
        boat.trips.move(boat.now(), boat.typed("structure", "dock", "label", "Old Slip"), null);
        List<Spot> mine = boat.club.get(dusk.ledger.web.records.Places.class).of(boat.club.guide.viewer(), "lake");
        assertThat(mine).extracting(Spot::label).contains("hump 15:01", "Old Slip");
        assertThat(boat.club.all(LedgerFormat.SPOTS))
                .as("an officer sees that it is there and not its name")
                .extracting(Spot::label)
                .doesNotContain("hump 15:01", "Old Slip");
    }

    @Test
    void aMoveSaysWhereTo() {
        assertThatThrownBy(() -> boat.trips.move(boat.now(), boat.typed("depth_m", "3"), null))
                .isInstanceOf(Refusal.class)
                .hasMessage("Say where to: a place of the list, or what kind of place it is.");
        assertThatThrownBy(() -> boat.trips.move(boat.now(), boat.typed("spot_id", "dock", "depth_m", "deep"), null))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("deep");
        assertThatThrownBy(() -> boat.trips.move(boat.now(), boat.typed("spot_id", "pass"), null))
                .as("a place of another water")
                .isInstanceOf(NotYours.class);
        assertThat(boat.stints()).hasSize(2);
    }

    @Test
    void anotherRodComesWhereTheOthersAreAndEightAreEnough() {
        for (int number = 3; number <= RodOut.MOST; number++) {
            boat.trips.add(boat.now(), new TripActs.Wanted(boat.club.other.anglerId(), null, "bare", null, null));
        }
        assertThat(boat.deck().rods()).hasSize(8).allMatch(rod -> "point".equals(rod.spotId()));
        assertThat(boat.lastSaid()).isEqualTo("rod 8: on deck");
        assertThatThrownBy(() -> boat.trips.add(
                        boat.now(), new TripActs.Wanted(boat.club.other.anglerId(), null, "bare", null, null)))
                .isInstanceOf(Refusal.class)
                .hasMessage("There are 8 rods out already: more nobody can keep an eye on.");
    }

    @Test
    void aGuestBecomesAnAnglerOnce() {
        int before = boat.club.all(LedgerFormat.ANGLERS).size();
        boat.trips.begin(
                boat.club.guide,
                boat.club.lake,
                boat.club.clock.instant(),
                null,
                List.of(
                        new TripActs.Wanted(null, "Wren Ashdown", "jig", null, null),
                        new TripActs.Wanted(null, "Wren Ashdown", "drop", null, null),
                        new TripActs.Wanted(null, "Ivo Marl", "bare", null, null)),
                Place.UNKNOWN,
                true);
        assertThat(boat.club.all(LedgerFormat.ANGLERS)).hasSize(before + 2);
    }

    @Test
    void nothingIsDoneOnATripThatHasEnded() {
        String rod = boat.id(1);
        boat.trips.end(boat.now());
        for (Runnable late : List.<Runnable>of(
                () -> boat.rods.touch(boat.now(), rod, "bite"),
                () -> boat.rods.up(boat.now(), rod),
                () -> boat.rods.swap(boat.now(), rod, Boat.map("colour", "violet")),
                () -> boat.trips.move(boat.now(), boat.typed("spot_id", "dock"), null),
                () -> boat.trips.add(boat.now(), new TripActs.Wanted("x", null, "jig", null, null)),
                () -> boat.trips.end(boat.now()))) {
            assertThatThrownBy(late::run)
                    .isInstanceOf(Refusal.class)
                    .hasMessage(
                            "This trip has ended. Take its end back first, or add what is missing on the trip's page.");
        }
    }

    @Test
    void theEndIsTakenBackAndTheRodsFishOn() {
        boat.after(10);
        By end = boat.now();
        boat.trips.end(end);
        boat.after(2);
        boat.back.undo(boat.now(), end.id());
        assertThat(boat.deck().live()).isTrue();
        assertThat(boat.deck().rods()).noneMatch(RodOut::down);
        boat.after(8);
        boat.trips.end(boat.now());
        assertThat(minutes(boat.stints())).containsExactly(20.0, 20.0);
    }

    @Test
    void whatIsOvertakenOrUndoneAlreadyIsNotUndone() {
        By bite = boat.now();
        boat.rods.touch(bite, boat.id(1), "bite");
        By fish = boat.now();
        boat.rods.landed(fish, boat.id(1), "walleye", 1);
        assertThatThrownBy(() -> boat.back.undo(boat.now(), bite.id()))
                .isInstanceOf(Refusal.class)
                .hasMessage("Something came after it. Undo that first, or change the stint on the trip's page.");
        boat.back.undo(boat.now(), fish.id());
        boat.back.undo(boat.now(), bite.id());
        assertThatThrownBy(() -> boat.back.undo(boat.now(), bite.id()))
                .isInstanceOf(Refusal.class)
                .hasMessage("That was undone already.");
        assertThat(boat.fish()).isEmpty();
        assertThat(boat.touches()).isEmpty();
    }
}
