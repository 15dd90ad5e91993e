package dusk.ledger.light;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.units.Position;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SunHourTest {
    private static final Position NORTH = new Position(54.2, -3.1);
    private static final Position FAR_EAST = new Position(-35.0, 150.2);

    @ParameterizedTest
    @CsvSource({
        "-150, NIGHT", "-119, TWO_BEFORE_SUNRISE", "-61, TWO_BEFORE_SUNRISE", "-59, ONE_BEFORE_SUNRISE",
        "1, ONE_AFTER_SUNRISE", "61, MORNING", "179, MORNING", "181, MIDDLE"
    })
    void theMorningIsCountedFromSunrise(int minutes, SunHour expected) {
        for (Position where : new Position[] {NORTH, FAR_EAST}) {
            Sun.Day day = Sun.day(LocalDate.of(2026, 4, 10), SunHour.zone(where), where);
            assertThat(SunHour.of(day.rise().plus(Duration.ofMinutes(minutes)), where))
                    .as("at %s", where)
                    .isEqualTo(expected);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "-181, MIDDLE",
        "-179, AFTERNOON",
        "-61, AFTERNOON",
        "-59, ONE_BEFORE_SUNSET",
        "1, ONE_AFTER_SUNSET",
        "61, TWO_AFTER_SUNSET",
        "121, NIGHT"
    })
    void theEveningIsCountedFromSunset(int minutes, SunHour expected) {
        for (Position where : new Position[] {NORTH, FAR_EAST}) {
            Sun.Day day = Sun.day(LocalDate.of(2026, 4, 10), SunHour.zone(where), where);
            assertThat(SunHour.of(day.set().plus(Duration.ofMinutes(minutes)), where))
                    .as("at %s", where)
                    .isEqualTo(expected);
        }
    }

    @Test
    void whereTheSunStaysUpItIsTheMiddleOfTheDayAndWhereItStaysDownNight() {
        Position pole = new Position(80, 15);
        assertThat(SunHour.of(Instant.parse("2026-06-21T03:00:00Z"), pole)).isEqualTo(SunHour.MIDDLE);
        assertThat(SunHour.of(Instant.parse("2026-12-21T11:00:00Z"), pole)).isEqualTo(SunHour.NIGHT);
    }
}
