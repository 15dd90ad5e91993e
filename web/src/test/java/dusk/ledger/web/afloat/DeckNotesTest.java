package dusk.ledger.web.afloat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Touch;
import dusk.ledger.units.Length;
import dusk.ledger.water.LaidFan;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.Fans;
import dusk.ledger.web.records.RodOut;
import dusk.ledger.web.store.NotYours;
import dusk.ledger.web.words.TimeText;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is noted on the deck beside stints and fish: what was left out, drops, casts; and who may note it. */
class DeckNotesTest extends Aboard {
    @Test
    void aFishIsCompletedAfterwardsEvenOnATripThatHasEnded() {
        boat.rods.landed(boat.now(), boat.id(1), "walleye", 1);
        String fish = boat.fish().get(0).id();
        boat.trips.end(boat.now());
        boat.rods.complete(
                boat.now(),
                boat.id(1),
                fish,
                "completed",
                was -> LedgerFormat.CATCHES.changed(
                        was, java.util.Map.of("length_mm", 430.0, "length_how", "measured")));
        assertThat(boat.fish().get(0).length()).isEqualTo(Length.ofMillimetres(430));
        assertThat(boat.lastSaid()).isEqualTo("rod 1: walleye completed");
        assertThatThrownBy(() -> boat.rods.complete(boat.now(), boat.id(1), "no fish", "completed", was -> was))
                .isInstanceOf(NotYours.class);
    }

    @Test
    void aBiteSaysMoreOneTouchAfterAnother() {
        assertThatThrownBy(() -> boat.rods.said(boat.now(), boat.id(1), "fall", null))
                .isInstanceOf(Refusal.class)
                .hasMessage("No bite was noted here since the rod was last changed.");
        boat.rods.touch(boat.now(), boat.id(1), "bite", "bottom", null);
        boat.after(1);
        boat.rods.touch(boat.now(), boat.id(1), "bite");
        boat.after(1);
        boat.rods.touch(boat.now(), boat.id(1), "follow");
        boat.rods.said(boat.now(), boat.id(1), "fall", null);
        assertThat(boat.lastSaid()).isEqualTo("rod 1: the bite: on fall");
        boat.rods.said(boat.now(), boat.id(1), null, "line jump");
        assertThat(boat.lastSaid()).isEqualTo("rod 1: the bite: felt as line jump");
        assertThat(boat.touches())
                .extracting(touch -> touch.kind() + " " + touch.biteOn() + " " + touch.felt())
                .containsExactlyInAnyOrder("bite bottom null", "bite fall line jump", "follow null null");
        assertThat(boat.stints().get(0).bites()).as("nothing is counted twice").isEqualTo(2);
    }

    @Test
    void linesUpStopsEveryClockAndLinesInStartsThemAgain() {
        boat.after(10);
        boat.rods.down(boat.now(), boat.id(2));
        boat.after(5);
        By up = boat.now();
        boat.trips.lines(up, true);
        assertThat(boat.lastSaid()).isEqualTo("lines up");
        assertThatThrownBy(() -> boat.trips.lines(boat.now(), true))
                .isInstanceOf(Refusal.class)
                .hasMessage("All lines are up already.");
        boat.after(20);
        boat.trips.lines(boat.now(), false);
        assertThatThrownBy(() -> boat.trips.lines(boat.now(), false))
                .isInstanceOf(Refusal.class)
                .hasMessage("All lines are in already.");
        boat.after(5);
        boat.trips.lines(boat.now(), true);
        assertThat(boat.stintsOf("light")).extracting(Stint::minutes).containsExactly(15.0, 5.0);
        assertThat(boat.stintsOf("r2")).extracting(Stint::minutes).containsExactly(10.0, 5.0);
    }

    @Test
    void linesUpIsTakenBackForAllRodsAtOnce() {
        boat.after(10);
        By up = boat.now();
        boat.trips.lines(up, true);
        boat.after(1);
        boat.back.undo(boat.now(), up.id());
        assertThat(boat.deck().rods()).noneMatch(RodOut::down);
        assertThat(boat.stints()).hasSize(2);
    }

    @Test
    void theNextPlaceIsOfTheSameKindNamedByItsHourAndFishedAsDeep() {
        boat.after(10);
        boat.trips.next(boat.now(), null);
        Spot here = boat.spot(1);
        Spot point = boat.club.all(LedgerFormat.SPOTS).stream()
                .filter(spot -> spot.id().equals("point"))
                .findFirst()
                .orElseThrow();
        String hour = TimeText.hour(boat.club.clock.instant(), boat.club.lake.zone());
        assertThat(here.label()).isEqualTo(point.structure() + " " + hour);
        assertThat(here.id()).isNotEqualTo("point");
        assertThat(List.of(
                        String.valueOf(here.structure()), String.valueOf(here.bottom()), String.valueOf(here.cover())))
                .containsExactly(
                        String.valueOf(point.structure()),
                        String.valueOf(point.bottom()),
                        String.valueOf(point.cover()));
        assertThat(here.position()).as("nobody knows it").isNull();
        assertThat(here.keptBy()).as("as any place found on the deck").isEqualTo(boat.club.guide.anglerId());
        assertThat(boat.deck().rods()).allSatisfy(rod -> {
            assertThat(rod.spotId()).isEqualTo(here.id());
            assertThat(rod.depth()).isEqualTo(Length.ofMetres(4));
        });
        assertThat(boat.stints()).hasSize(4);
    }

    @Test
    void aCountedDropIsNotedOrRefusedInWords() {
        boat.rods.counted(boat.now(), boat.id(1), boat.typed("seconds", "9", "depth_m", "4"));
        assertThat(boat.lastSaid()).isEqualTo("rod 1: counted 9 s to 4 m");
        assertThatThrownBy(
                        () -> boat.rods.counted(boat.now(), boat.id(1), boat.typed("seconds", "soon", "depth_m", "4")))
                .isInstanceOf(Refusal.class)
                .hasMessage("“soon” is not a count. Write seconds, more than 0 and at most 300, like 9.");
        assertThatThrownBy(
                        () -> boat.rods.counted(boat.now(), boat.id(1), boat.typed("seconds", "250", "depth_m", "1")))
                .isInstanceOf(Refusal.class)
                .hasMessageStartingWith("That is far from what its weight and size can do.");
        assertThat(boat.club.get(dusk.ledger.web.records.Drops.class).all(boat.club.guide.viewer()))
                .hasSize(1);
    }

    @Test
    void castsOfAFanAreMadeInTheirOrderAndTakenBack() {
        FanActs fans = boat.club.get(FanActs.class);
        Fans laid = boat.club.get(Fans.class);
        assertThatThrownBy(() -> fans.next(boat.now()))
                .isInstanceOf(Refusal.class)
                .hasMessage("No fan is laid here yet.");
        LaidFan five = new LaidFan(40, 60, 20, 5, 60);
        int casts = five.fan().casts();
        fans.lay(boat.now(), five);
        fans.next(boat.now());
        fans.next(boat.now());
        fans.turn(boat.now(), 0);
        assertThat(boat.lastSaid()).isEqualTo("cast 1 not made");
        assertThat(laid.from(boat.club.guide.viewer(), boat.trip, "point").made())
                .containsExactly(1);
        fans.next(boat.now());
        assertThat(boat.lastSaid()).isEqualTo("cast 1");
        for (int i = 2; i < casts; i++) {
            fans.next(boat.now());
        }
        assertThatThrownBy(() -> fans.next(boat.now()))
                .isInstanceOf(Refusal.class)
                .hasMessage("All " + casts + " casts of the fan are made. Lay another, or move.");
        assertThatThrownBy(() -> fans.turn(boat.now(), casts))
                .isInstanceOf(Refusal.class)
                .hasMessage("There is no cast " + (casts + 1) + " in this fan.");
        boat.trips.move(boat.now(), boat.typed("spot_id", "dock"), null);
        assertThat(laid.from(boat.club.guide.viewer(), boat.trip, "dock"))
                .as("another place has a fan of its own")
                .isNull();
    }

    @Test
    void aTouchFromBeforeTheTripCountsFromItsStart() {
        Instant early = TestClub.START.minus(Duration.ofHours(2));
        boat.rods.touch(boat.by(boat.club.guide, early), boat.id(1), "bite");
        assertThat(boat.touches()).extracting(Touch::at).containsExactly(TestClub.START);
    }

    @Test
    void onlyWhoMayChangeATripDoesAnythingOnItsDeck() {
        String rod = boat.id(1);
        for (var person : List.of(boat.club.other, boat.club.stranger)) {
            By by = boat.by(person, boat.club.clock.instant());
            assertThatThrownBy(() -> boat.rods.touch(by, rod, "bite")).isInstanceOf(NotYours.class);
            assertThatThrownBy(() -> boat.trips.end(by)).isInstanceOf(NotYours.class);
            assertThatThrownBy(() -> boat.conditions.sign(by, "birds")).isInstanceOf(NotYours.class);
            assertThatThrownBy(() -> boat.back.undo(by, "act-1")).isInstanceOf(NotYours.class);
        }
        boat.rods.touch(boat.by(boat.club.member, boat.club.clock.instant()), rod, "bite");
        boat.rods.touch(boat.by(boat.club.officer, boat.club.clock.instant()), rod, "bite");
        assertThat(boat.touches()).hasSize(2);
        assertThat(boat.club
                        .get(Decks.class)
                        .rod(boat.club.guide.viewer(), boat.trip, rod)
                        .number())
                .isEqualTo(1);
    }
}
