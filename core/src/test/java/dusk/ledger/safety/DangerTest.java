package dusk.ledger.safety;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.units.Speed;
import dusk.ledger.units.Temperature;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DangerTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "4 | 2 | COLD_WATER",
                "14.9 | 2 | COLD_WATER",
                "15 | 2 | ''",
                "24 | 7.9 | ''",
                "24.1 | 2 | WARM_WATER",
                "27 | 2 | WARM_WATER",
                "27.1 | 2 | VERY_WARM_WATER",
                "18 | 8 | STRONG_WIND",
                "9 | 12 | COLD_WATER STRONG_WIND"
            })
    void appliesFromItsThresholdOn(double celsius, double wind, String expected) {
        List<Danger> dangers = Danger.of(ReadingBuilder.builder()
                .id("r")
                .tripId("t")
                .at(Instant.EPOCH)
                .waterTemp(Temperature.ofCelsius(celsius))
                .wind(Speed.ofMetresPerSecond(wind))
                .build());
        assertThat(dangers)
                .isEqualTo(Arrays.stream(expected.split(" "))
                        .filter(word -> !word.isEmpty())
                        .map(Danger::valueOf)
                        .toList());
    }

    @Test
    void nothingIsSaidOfWhatWasNotRead() {
        assertThat(Danger.of(null)).isEmpty();
        assertThat(Danger.of(ReadingBuilder.builder()
                        .id("r")
                        .tripId("t")
                        .at(Instant.EPOCH)
                        .build()))
                .isEmpty();
    }

    @Test
    void everyOneIsSaidInWholeSentences() {
        assertThat(Danger.values())
                .allSatisfy(danger -> assertThat(danger.words()).matches("[A-Z].*\\."));
    }
}
