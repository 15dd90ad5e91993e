package dusk.ledger.web.form;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TimeOfDayTest {
    private static final ZoneId LAKE = ZoneId.of("Etc/GMT+1");

    @ParameterizedTest
    @CsvSource({
        "17:30, 17:30",
        "1730, 17:30",
        "7:05, 07:05",
        "705, 07:05",
        "17, 17:00",
        "0, 00:00",
        "' 23:59 ', 23:59",
        "00:00, 00:00"
    })
    void isReadAsItIsTyped(String text, LocalTime time) {
        assertThat(TimeOfDay.parse(text).time()).isEqualTo(time);
    }

    @ParameterizedTest
    @ValueSource(strings = {"24", "17:60", "noon", "-1", "12345", "", "17.30", "1:2:3:4"})
    void elseItSaysHowToWriteIt(String text) {
        assertThatThrownBy(() -> TimeOfDay.parse(text))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage("“" + text + "” is not a time of day. Write it like 17:30, or 17.");
    }

    /** The lake's clock is an hour behind: 23:30 there is half past midnight. */
    @ParameterizedTest
    @CsvSource({
        "23:30, 2026-10-03T00:30:00Z",
        "22:00, 2026-10-02T23:00:00Z",
        "01:00, 2026-10-02T02:00:00Z",
        "00:00, 2026-10-02T01:00:00Z"
    })
    void theLatestMomentUpToNowMayLieBeforeMidnight(String typed, Instant meant) {
        Instant now = Instant.parse("2026-10-03T00:40:00Z");
        assertThat(TimeOfDay.parse(typed).upTo(now, LAKE)).isEqualTo(meant);
    }

    @ParameterizedTest
    @CsvSource({
        "23:40, 2026-10-04T00:40:00Z, 2026-10-03T00:40:00Z",
        "23:50, 2026-10-03T00:50:00Z, 2026-10-03T00:50:00Z",
        "01:00, 2026-10-03T02:00:00Z, 2026-10-03T02:00:00Z"
    })
    void theNextMomentMayLieAfterMidnight(String typed, Instant after, Instant from) {
        Instant now = Instant.parse("2026-10-03T00:40:00Z");
        assertThat(TimeOfDay.parse(typed).after(now, LAKE)).isEqualTo(after);
        assertThat(TimeOfDay.parse(typed).from(now, LAKE)).isEqualTo(from);
    }

    @Test
    void aDayOfTwentyFiveHoursIsWalkedByTheClock() {
        ZoneId zone = ZoneId.of("Europe/Dublin");
        Instant evening = Instant.parse("2026-10-24T20:00:00Z");
        assertThat(TimeOfDay.parse("9").after(evening, zone)).isEqualTo(Instant.parse("2026-10-25T09:00:00Z"));
    }
}
