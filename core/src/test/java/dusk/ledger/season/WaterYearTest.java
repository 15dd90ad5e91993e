package dusk.ledger.season;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.units.Temperature;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WaterYearTest {
    private static Instant day(String date) {
        return Instant.parse(date + "T08:00:00Z");
    }

    /** What was read ten days before and what is read now tell the stage, whatever the month. */
    @ParameterizedTest
    @CsvSource({
        "2026-03-20, 8, 9.9, WINTER",
        "2026-03-20, 8, 10, PRE_SPAWN",
        "2026-05-01, 13, 15.5, SPAWN",
        "2026-05-01, 17, 15, AUTUMN",
        "2026-10-20, 19, 16, AUTUMN",
        "2026-10-20, 12, 15, PRE_SPAWN",
        "2026-06-10, 19, 20, POST_SPAWN",
        "2026-06-10, 21, 22, SUMMER"
    })
    void theWaterTellsTheStage(String date, double before, double now, Season season) {
        WaterYear year = new WaterYear(false);
        year.read(day(date).minusSeconds(10 * 86_400), Temperature.ofCelsius(before));
        year.read(day(date), Temperature.ofCelsius(now));
        assertThat(year.at(day(date), Temperature.ofCelsius(now))).isEqualTo(season);
    }

    @Test
    void postSpawnEndsThreeWeeksAfterTheWaterPassedTwenty() {
        WaterYear year = new WaterYear(false);
        year.read(day("2026-05-28"), Temperature.ofCelsius(19));
        year.read(day("2026-06-01"), Temperature.ofCelsius(20.5));
        year.read(day("2026-06-20"), Temperature.ofCelsius(22));
        year.read(day("2026-06-25"), Temperature.ofCelsius(22.5));
        assertThat(year.at(day("2026-06-20"), Temperature.ofCelsius(22))).isEqualTo(Season.POST_SPAWN);
        assertThat(year.at(day("2026-06-25"), Temperature.ofCelsius(22.5))).isEqualTo(Season.SUMMER);
    }

    @Test
    void withoutATrendTheCalendarDecidesAndTurnsRoundInTheSouth() {
        Temperature mild = Temperature.ofCelsius(14);
        assertThat(new WaterYear(false).at(day("2026-04-01"), mild)).isEqualTo(Season.PRE_SPAWN);
        assertThat(new WaterYear(true).at(day("2026-04-01"), mild)).isEqualTo(Season.AUTUMN);
        assertThat(new WaterYear(false).at(day("2026-01-10"), null)).isEqualTo(Season.WINTER);
        assertThat(new WaterYear(true).at(day("2026-01-10"), null)).isEqualTo(Season.SUMMER);
    }
}
