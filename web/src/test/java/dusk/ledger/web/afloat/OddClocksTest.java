package dusk.ledger.web.afloat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Stint;
import dusk.ledger.web.TestClub;
import java.time.Duration;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Clocks that jump, decks that were forgotten, touches that come late: no fished time is lost to them, none is made up. */
class OddClocksTest extends Aboard {
    private Stint light() {
        return boat.stintsOf("light").get(0);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 45, 180, 100_000})
    void aClockSetBackTakesNothingFromWhatWasFished(int minutesBack) {
        boat.after(40);
        boat.rods.touch(boat.now(), boat.id(1), "bite");
        boat.after(-minutesBack);
        boat.rods.touch(boat.now(), boat.id(1), "follow");
        assertThat(light().minutes()).isEqualTo(40);
        boat.rods.swap(boat.now(), boat.id(1), Boat.map("colour", "violet"));
        assertThat(light().minutes()).isEqualTo(40);
        assertThat(boat.stintsOf("light"))
                .extracting(Stint::minutes)
                .allSatisfy(minutes -> assertThat(minutes).isGreaterThanOrEqualTo(0.1));
        boat.trips.end(boat.now());
        assertThat(light().minutes()).isEqualTo(40);
        assertThat(boat.deck().trip().endedAt()).isNotNull().isAfterOrEqualTo(TestClub.START);
    }

    @Test
    void aRodForgottenForDaysWasFishedForADayAtMost() {
        boat.after(3 * 24 * 60);
        boat.rods.touch(boat.now(), boat.id(1), "bite");
        assertThat(light().minutes()).isEqualTo(1440);
        boat.rods.down(boat.now(), boat.id(1));
        assertThat(light().minutes()).isEqualTo(1440);
    }

    @Test
    void aTripForgottenForAMonthEndsAFortnightAfterItBegan() {
        boat.after(30 * 24 * 60);
        boat.trips.end(boat.now());
        assertThat(boat.deck().trip().endedAt()).isEqualTo(TestClub.START.plus(Duration.ofDays(14)));
        assertThat(boat.club.all(LedgerFormat.TRIPS)).hasSize(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"0", "1", "604800000"})
    void aTouchThatWaitedUpToAWeekIsStoredAtItsTime(String waited) {
        boat.after(8 * 24 * 60);
        Acting acting = boat.club.get(Acting.class);
        assertThat(acting.by(boat.club.guide, boat.trip, Map.of("waited_ms", waited))
                        .at())
                .isEqualTo(boat.club.clock.instant().minusMillis(Long.parseLong(waited)));
    }

    @ParameterizedTest
    @ValueSource(strings = {"604800001", "9e15", "1e300"})
    void oneThatWaitedLongerIsRefusedAndShown(String waited) {
        Acting acting = boat.club.get(Acting.class);
        assertThatThrownBy(() -> acting.by(boat.club.guide, boat.trip, Map.of("waited_ms", waited)))
                .isInstanceOf(Refusal.class)
                .hasMessage(
                        "It waited on the device for more than 7 days, so it was not stored. Add it on the trip's page.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "soon", "-1", "NaN"})
    void whatIsNoTimeIsNoWait(String waited) {
        Acting acting = boat.club.get(Acting.class);
        assertThat(acting.by(boat.club.guide, boat.trip, Map.of("waited_ms", waited))
                        .at())
                .isEqualTo(boat.club.clock.instant());
    }
}
