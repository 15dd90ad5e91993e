package dusk.ledger.web.first;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.units.Position;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Words;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What a new ledger begins with. */
class StarterBoxTest {
    @Test
    void theBoxHoldsADozen() {
        assertThat(StarterBox.rigs()).hasSize(12).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @MethodSource("dusk.ledger.web.first.StarterBox#rigs")
    void eachIsAWholeSetUpOfKnownWordsThatGoesTogether(String rig) {
        SetUp setUp = StarterBox.of(rig, "one");
        assertThat(setUp.rig()).isEqualTo(rig);
        assertThat(Words.of("plastic")).contains(String.valueOf(setUp.plastic()));
        assertThat(Words.of("colour")).contains(String.valueOf(setUp.colour()));
        assertThat(TackleChecks.of(setUp, new TackleChecks.Use(null, null, null, false, false), UnitSystem.METRIC))
                .as("nothing about it is warned of")
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "44.4, -14,  '',            Etc/GMT+1",
        "44.4, -14,  Etc/GMT+2,     Etc/GMT+2",
        "44.4, -14,  Asia/Tokyo,    Etc/GMT+1",
        "44.4, -14,  Nowhere/Land,  Etc/GMT+1",
        "0,    0,    '',            Etc/GMT",
        "0,    7.4,  '',            Etc/GMT",
        "0,    7.6,  '',            Etc/GMT-1",
        "-40,  174,  '',            Etc/GMT-12",
        "10,   -178, '',            Etc/GMT+12",
        "48,   -3,   Europe/Paris,  Europe/Paris"
    })
    void theHourIsTheDevicesWhereItCanBeElseTheSuns(double latitude, double longitude, String device, String zone) {
        assertThat(ZoneGuess.of(new Position(latitude, longitude), device, Instant.parse("2026-07-01T12:00:00Z")))
                .hasToString(zone);
    }
}
