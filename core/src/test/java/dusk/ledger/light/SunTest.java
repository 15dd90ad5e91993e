package dusk.ledger.light;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.units.Position;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SunTest {
    /** Published almanac times, to the minute, of two places: one at 51.5 N on the longest day, one at 33.87 S there. */
    @ParameterizedTest
    @CsvSource({
        "51.5074, -0.1278, 0, 2024-06-20, 2024-06-20T03:43:00Z, 2024-06-20T20:21:00Z",
        "51.5074, -0.1278, 0, 2024-12-21, 2024-12-21T08:04:00Z, 2024-12-21T15:53:00Z",
        "-33.8688, 151.2093, 11, 2024-12-21, 2024-12-20T18:41:00Z, 2024-12-21T09:05:00Z",
        "-33.8688, 151.2093, 10, 2024-06-21, 2024-06-20T21:00:00Z, 2024-06-21T06:54:00Z"
    })
    void sunriseAndSunsetAreThoseOfTheAlmanac(
            double latitude, double longitude, int offset, LocalDate date, Instant rise, Instant set) {
        Sun.Day day = Sun.day(date, ZoneOffset.ofHours(offset), new Position(latitude, longitude));
        assertThat(day.rise()).isBetween(rise.minusSeconds(90), rise.plusSeconds(90));
        assertThat(day.set()).isBetween(set.minusSeconds(90), set.plusSeconds(90));
    }

    @ParameterizedTest
    @CsvSource({
        "2024-03-20T00:00:00Z, NIGHT",
        "2024-03-20T05:20:00Z, DAWN",
        "2024-03-20T06:20:00Z, DAWN",
        "2024-03-20T06:50:00Z, LOW_SUN",
        "2024-03-20T12:00:00Z, DAY",
        "2024-03-20T17:30:00Z, LOW_SUN",
        "2024-03-20T18:00:00Z, DUSK",
        "2024-03-20T18:50:00Z, DUSK",
        "2024-03-20T19:30:00Z, NIGHT"
    })
    void lightFollowsTheSunAtTheEquatorOnTheEquinox(Instant at, Light light) {
        assertThat(Sun.lightAt(at, new Position(0, 0))).isEqualTo(light);
    }

    /** The minute before is the same light, the minute itself another. */
    @ParameterizedTest
    @CsvSource({
        "2024-03-20T00:00:00Z",
        "2024-03-20T06:00:00Z",
        "2024-03-20T06:50:00Z",
        "2024-03-20T12:00:00Z",
        "2024-03-20T17:30:00Z",
        "2024-03-20T18:49:00Z",
        "2024-03-20T19:30:00Z"
    })
    void aLightEndsToTheMinute(Instant now) {
        Position where = new Position(44.4, -14);
        Light light = Sun.lightAt(now, where);
        Instant end = Sun.lightEnds(now, where);
        assertThat(end).isAfter(now).isBefore(now.plus(Duration.ofHours(14)));
        assertThat(Sun.lightAt(end.minusSeconds(60), where)).isEqualTo(light);
        assertThat(Sun.lightAt(end, where)).isNotEqualTo(light);
    }

    @Test
    void aLightThatLastsAllDayDoesNotEnd() {
        assertThat(Sun.lightEnds(Instant.parse("2024-12-20T12:00:00Z"), new Position(88, 15)))
                .isNull();
    }

    @Test
    void farNorthInSummerTheSunStaysUp() {
        Sun.Day day = Sun.day(LocalDate.parse("2024-06-20"), ZoneOffset.UTC, new Position(78, 15));
        assertThat(day.alwaysUp()).isTrue();
        assertThat(day.rise()).isNull();
    }

    @Test
    void theCourseOfADateHoldsBothItsMidnights() {
        ZoneId zone = ZoneId.of("Etc/GMT+1");
        List<Sun.Moment> course = Sun.course(LocalDate.parse("2026-05-01"), zone, new Position(44.4, -14));
        assertThat(course.get(0).at()).isEqualTo(Instant.parse("2026-05-01T01:00:00Z"));
        assertThat(Duration.between(
                        course.get(0).at(), course.get(course.size() - 1).at()))
                .isEqualTo(Duration.ofDays(1));
    }
}
