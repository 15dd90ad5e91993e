package dusk.ledger.vocabulary;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.units.Length;
import dusk.ledger.units.Speed;
import java.util.List;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

class JudgedTest {
    private static void aWordForEachBandInItsOrder(String column, Function<String, String> band, List<String> bands) {
        assertThat(Judged.words(column).stream()
                        .map(word -> band.apply(Judged.of(column, word).orElseThrow())))
                .isEqualTo(bands);
    }

    @Test
    void everyBandHasItsWord() {
        aWordForEachBandInItsOrder(
                "clarity_m", said -> Bands.clarity(Length.parse(said, Length.Unit.METRE)), Bands.CLARITY.labels());
        aWordForEachBandInItsOrder(
                "wind_mps", said -> Bands.wind(Speed.parse(said, Speed.Unit.METRE_A_SECOND)), Bands.WIND.labels());
        aWordForEachBandInItsOrder(
                "current_mps",
                said -> Bands.current(Speed.parse(said, Speed.Unit.METRE_A_SECOND)),
                Bands.CURRENT.labels());
    }

    @Test
    void whatIsNoneOfTheWordsStandsForNothing() {
        assertThat(Judged.of("clarity_m", " stained ")).contains("0.6 m");
        assertThat(Judged.of("clarity_m", "2.5 m")).isEmpty();
        assertThat(Judged.of("water_temp_c", "stained")).isEmpty();
        assertThat(Judged.words("water_temp_c")).isEmpty();
    }
}
