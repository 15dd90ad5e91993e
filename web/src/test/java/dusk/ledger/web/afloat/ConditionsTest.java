package dusk.ledger.web.afloat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Invalid;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.Sign;
import dusk.ledger.web.records.TripRows;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ConditionsTest extends Aboard {
    private Reading last() {
        return boat.club
                .get(TripRows.class)
                .lastReading(boat.club.guide.viewer(), boat.trip, boat.club.clock.instant());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "water_temp_c | 12.5 | reading: water temperature",
                "water_temp_c | 54 F | reading: water temperature",
                "clarity_m | 1.4 | reading: clarity",
                "sky | overcast | reading: sky",
                "wind_mps | 15 km/h | reading: wind",
                "level_trend | falling | reading: level",
                "tide | flood | reading: tide",
            })
    void oneValueIsReadInWhateverUnitItSays(String column, String typed, String said) {
        boat.conditions.read(boat.now(), Boat.map(column, typed));
        assertThat(boat.lastSaid()).isEqualTo(said);
        assertThat(boat.deck().seen()).containsOnlyKeys(column);
        assertThat(last().source()).isEqualTo("hand");
    }

    /** A word stands for the middle of its band, and the reading says that nobody measured. */
    @ParameterizedTest
    @CsvSource({
        "clarity_m, stained, 0.6, judged",
        "clarity_m, 0.6, 0.6, measured",
        "wind_mps, choppy, 7, judged",
        "current_mps, steady, 0.5, judged"
    })
    void aWordThatIsJudgedByIsKeptAsJudged(String column, String typed, double stands, String how) {
        boat.conditions.read(boat.now(), Boat.map(column, typed));
        double kept = switch (column) {
            case "clarity_m" -> last().clarity().metres();
            case "wind_mps" -> last().wind().metresPerSecond();
            default -> last().current().metresPerSecond();
        };
        assertThat(kept).isEqualTo(stands);
        assertThat(last().how()).isEqualTo(how);
        boat.after(100);
        boat.conditions.still(boat.now(), column);
        assertThat(last().how()).isEqualTo(how);
        boat.after(1);
        boat.conditions.read(boat.now(), Boat.map("water_temp_c", "12"));
        assertThat(last().how()).isEqualTo("measured");
    }

    @Test
    void aNewValueCarriesTheOthersOverAndSaysWhenEachWasSeen() {
        boat.conditions.read(boat.now(), Boat.map("water_temp_c", "12"));
        boat.after(30);
        boat.conditions.read(boat.now(), Boat.map("clarity_m", "2"));
        Reading now = last();
        assertThat(now.waterTemp().celsius()).isEqualTo(12);
        assertThat(now.clarity().metres()).isEqualTo(2);
        assertThat(Duration.between(
                        boat.deck().seen().get("water_temp_c"),
                        boat.deck().seen().get("clarity_m")))
                .isEqualTo(Duration.ofMinutes(30));
        assertThat(boat.club.all(LedgerFormat.READINGS)).hasSize(2);
    }

    /** Two touches within a thousandth of a second: the later is the newest, however its id came out. */
    @Test
    void ofReadingsOfOneMomentTheLaterCarriesOn() {
        List<String> typed = List.of("12", "13", "14", "15", "16", "17", "18", "19");
        typed.forEach(t -> boat.conditions.read(boat.now(), Boat.map("water_temp_c", t)));
        assertThat(last().waterTemp().celsius()).isEqualTo(19);
        assertThat(boat.club.get(TripRows.class).readings(boat.club.guide.viewer(), boat.trip))
                .extracting(r -> String.valueOf(Math.round(r.waterTemp().celsius())))
                .isEqualTo(typed);
    }

    @Test
    void aValueThatStandsAsItWasKeepsItsExactFigure() {
        assertThatThrownBy(() -> boat.conditions.still(boat.now(), "water_temp_c"))
                .isInstanceOf(Refusal.class)
                .hasMessage("There is no reading to confirm yet.");
        boat.conditions.read(boat.now(), Boat.map("water_temp_c", "53.3 F"));
        double exact = last().waterTemp().celsius();
        boat.after(200);
        boat.conditions.still(boat.now(), "water_temp_c");
        assertThat(last().waterTemp().celsius()).isEqualTo(exact);
        assertThat(boat.deck().seen().get("water_temp_c")).isEqualTo(boat.club.clock.instant());
    }

    @ParameterizedTest
    @CsvSource({"water_temp_c, warm", "clarity_m, -1", "wind_mps, gale", "water_temp_c, 80"})
    void whatIsNoReadingIsRefusedAtItsColumnAndNothingIsStored(String column, String typed) {
        assertThatThrownBy(() -> boat.conditions.read(boat.now(), Boat.map(column, typed)))
                .isInstanceOfSatisfying(
                        Invalid.class,
                        e -> assertThat(e.problems())
                                .extracting(Invalid.Problem::column)
                                .containsExactly(column));
        assertThat(boat.club.all(LedgerFormat.READINGS)).isEmpty();
        assertThat(boat.deck().seen()).isEmpty();
    }

    @Test
    void aColumnWavedOffStaysOff() {
        boat.conditions.wave(boat.now(), "sky");
        boat.conditions.wave(boat.now(), "sky");
        assertThat(boat.deck().waved()).containsExactly("sky");
        assertThat(boat.lastSaid()).isEqualTo("not asked again: sky");
    }

    @Test
    void aSignIsSeenWhereTheRodsAreFished() {
        boat.conditions.sign(boat.now(), "birds");
        boat.rods.down(boat.now(), boat.id(1));
        boat.rods.down(boat.now(), boat.id(2));
        boat.after(1);
        boat.conditions.sign(boat.now(), "fish breaking");
        List<Sign> signs = boat.club.get(TripRows.class).signs(boat.club.guide.viewer(), boat.trip);
        assertThat(signs).extracting(Sign::kind).containsExactly("birds", "fish breaking");
        assertThat(signs).extracting(Sign::spotId).containsExactly("point", null);
    }

    @Test
    void everyColumnThatIsAskedForIsAColumnOfTheReadings() {
        List<String> columns = LedgerFormat.READINGS.columns().stream()
                .map(dusk.ledger.format.FileColumn::name)
                .toList();
        assertThat(ConditionWords.all())
                .hasSizeGreaterThan(8)
                .allSatisfy(condition -> assertThat(columns).contains(condition.column()));
        assertThat(ConditionWords.knows("trip_id")).isFalse();
        assertThat(ConditionWords.name("forage")).isEqualTo("prey");
    }
}
