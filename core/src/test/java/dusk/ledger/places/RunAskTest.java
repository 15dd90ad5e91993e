package dusk.ledger.places;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.demo.SimulatedClub;
import dusk.ledger.light.Sun;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Position;
import dusk.ledger.vocabulary.Factor;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RunAskTest {
    private static final Position WHERE = new Position(44.5, -14.0);
    private static final Instant NOON = Instant.parse("2026-06-10T12:00:00Z");
    private static final StintTable TABLE = StintTable.of(
            SimulatedClub.draw(new SimulatedClub.Plan(1500, 0, false), 3).ledger());

    @ParameterizedTest
    @CsvSource({
        "0, high slack",
        "20, high slack",
        "120, ebb",
        "360, low slack",
        "500, flood",
        "730, high slack",
        "865, ebb",
        "-120, flood"
    })
    void theTideFollowsHighWater(int minutes, String word) {
        RunAsk ask = new RunAsk(List.of("a"), NOON, NOON.plusSeconds(7200), WHERE, 10, NOON);
        assertThat(ask.tide(NOON.plusSeconds(60L * minutes))).isEqualTo(word);
    }

    @Test
    void aWaterWithoutTideHasNone() {
        assertThat(new RunAsk(List.of("a"), NOON, NOON.plusSeconds(7200), WHERE, 10, null).tide(NOON))
                .isNull();
    }

    @Test
    void eachSlotHasTheBitesOfItsLight() {
        PlaceRates rates = PlaceRates.of(TABLE);
        RunAsk ask = new RunAsk(List.of("nowhere", "s4"), NOON, NOON.plusSeconds(9 * 3600), WHERE, 15, null);
        DayRun.Day day = ask.day(rates);
        assertThat(day.bites()).hasDimensions(2, 54);
        assertThat(day.move()[0]).containsExactly(0, 2);
        String last = Sun.lightAt(ask.at(53).plusSeconds(300), WHERE).word();
        assertThat(last).isEqualTo("dusk");
        assertThat(day.bites()[1][53]).isCloseTo(rates.at("s4", last, null) / 6, within(1e-12));
        assertThat(day.bites()[0][53]).as("dusk is better by nature").isGreaterThan(day.bites()[0][0]);
    }

    /** A place that nobody fished is as good as any; where much was fished the records have the word. */
    @Test
    void placesAreShrunkTowardTheUsual() {
        PlaceRates rates = PlaceRates.of(TABLE);
        double unknown = rates.at("nowhere", "day", null);
        double bites = 0;
        double hours = 0;
        for (int row = 0; row < TABLE.size(); row++) {
            if (TABLE.codes(Factor.SPOT).level(row).equals("s1")
                    && TABLE.codes(Factor.LIGHT).level(row).equals("day")) {
                bites += TABLE.bites(row);
                hours += TABLE.rodHours(row);
            }
        }
        assertThat(hours).isGreaterThan(10);
        double crude = bites / hours;
        assertThat(Math.abs(rates.at("s1", "day", null) - crude)).isLessThan(Math.abs(unknown - crude));
    }

    /** In these clubs no place wears, which the records move the two hours of the start away from. */
    @Test
    void howFastPlacesWearIsReadOffTheStintsOfAStay() {
        assertThat(PlaceRates.of(TABLE).wearHours()).isGreaterThan(4);
        assertThat(PlaceRates.of(TABLE.where(row -> false)).wearHours()).isCloseTo(2, within(0.01));
        DayRun.Day day = new RunAsk(List.of("a"), NOON, NOON.plusSeconds(3600), WHERE, 10, null)
                .day(PlaceRates.of(TABLE.where(row -> false)));
        assertThat(Math.pow(day.kept(), 12)).as("two hours of ten minutes").isCloseTo(0.5, within(0.01));
    }

    @Test
    void nothingIsKnownOfAnEmptyLedger() {
        assertThat(PlaceRates.of(TABLE.where(row -> false)).at("s1", "dusk", "ebb"))
                .isZero();
    }

    @Test
    void aDayThatCannotBeIsRefused() {
        assertThatThrownBy(() -> new RunAsk(List.of(), NOON, NOON.plusSeconds(60), WHERE, 10, null))
                .hasMessage("expected 1 to 12 places, not 0");
        assertThatThrownBy(() -> new RunAsk(List.of("a"), NOON, NOON, WHERE, 10, null))
                .hasMessageContaining("expected an end within a day after the start");
    }
}
