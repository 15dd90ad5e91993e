package dusk.ledger.tackle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.units.Mass;
import dusk.ledger.vocabulary.Words;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class HeadTest {
    /** Seven grams of lead at 11.34 g to the cm³ are 0.617 cm³: a ball of 5.28 mm. */
    @Test
    void theBallOfAMassIsOfItsMetal() {
        assertThat(Head.ballRadius(Mass.ofGrams(7), "lead").millimetres()).isCloseTo(5.28, within(0.1));
        assertThat(Head.ballRadius(Mass.ofGrams(7), "tungsten").millimetres())
                .isLessThan(Head.ballRadius(Mass.ofGrams(7), "lead").millimetres());
    }

    @ParameterizedTest
    @ValueSource(doubles = {1, 3.5, 10, 28})
    void eightTimesTheMassIsTwiceTheRadius(double grams) {
        assertThat(Head.ballRadius(Mass.ofGrams(8 * grams), "lead").millimetres())
                .isCloseTo(2 * Head.ballRadius(Mass.ofGrams(grams), "lead").millimetres(), within(1e-9));
    }

    @Test
    void hardBaitsAreToldFromPlasticsOfTheVocabulary() {
        assertThat(HardBait.is("crankbait")).isTrue();
        assertThat(HardBait.hangsOnTrebles("crankbait")).isTrue();
        assertThat(HardBait.is("spinnerbait")).isTrue();
        assertThat(HardBait.hangsOnTrebles("spinnerbait")).isFalse();
        assertThat(HardBait.is("straight worm")).isFalse();
        assertThat(HardBait.is(null)).isFalse();
        assertThat(Words.of("plastic").stream().filter(HardBait::is).count())
                .as("those of the vocabulary")
                .isEqualTo(7);
    }
}
