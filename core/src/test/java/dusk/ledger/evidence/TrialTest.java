package dusk.ledger.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import org.apache.commons.statistics.distribution.GammaDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

class TrialTest {
    static Stream<JsonNode> dispersions() {
        return Vectors.of("dispersion");
    }

    @ParameterizedTest
    @MethodSource("dispersions")
    void theDispersionOfStintsAgreesWithR(JsonNode v) {
        Map<String, Integer> numbers = new HashMap<>();
        List<Integer> trips = new ArrayList<>();
        v.path("trip").forEach(t -> trips.add(numbers.computeIfAbsent(t.asString(), k -> numbers.size())));
        int[] fish = new int[trips.size()];
        double[] hours = new double[trips.size()];
        for (int i = 0; i < fish.length; i++) {
            fish[i] = v.path("fish").get(i).asInt();
            hours[i] = v.path("rod_hours").get(i).asDouble();
        }
        int[] trip = trips.stream().mapToInt(Integer::intValue).toArray();
        Vectors.close(
                "dispersion",
                StintDispersion.of(trip, fish, hours),
                v.path("dispersion").asDouble(),
                Vectors.CLOSED);
    }

    @Test
    void stintsWithoutFishOrAloneInTheirTripTellNothingOfDispersion() {
        assertThat(StintDispersion.of(new int[] {0, 0}, new int[] {0, 0}, new double[] {1, 1}))
                .isEqualTo(1);
        assertThat(StintDispersion.of(new int[] {0, 1}, new int[] {3, 0}, new double[] {1, 1}))
                .isEqualTo(1);
    }

    /** Against draws from the posteriors themselves. */
    @ParameterizedTest
    @CsvSource({"12, 10, 5, 10, 1", "3, 8, 3, 8, 1", "9, 6, 14, 7, 2.5", "0, 5, 4, 5, 1.3"})
    void theChanceToBeBetterIsThatOfThePosteriors(int fishA, double hoursA, int fishB, double hoursB, double f) {
        double chance = TrialOutcome.chanceThatABeatsB(new Effort(fishA, hoursA), new Effort(fishB, hoursB), f);
        double prior = 0.5 * (hoursA + hoursB) / (fishA + fishB);
        SplittableRandom random = new SplittableRandom(7);
        var a = GammaDistribution.of(0.5 + fishA / f, 1 / (prior + hoursA / f)).createSampler(random::nextLong);
        var b = GammaDistribution.of(0.5 + fishB / f, 1 / (prior + hoursB / f)).createSampler(random::nextLong);
        int draws = 200_000;
        int better = 0;
        for (int i = 0; i < draws; i++) {
            better += a.sample() > b.sample() ? 1 : 0;
        }
        assertThat(chance).isCloseTo((double) better / draws, within(0.005));
    }

    @Test
    void equalTrialsAreEvenAndNoFishingIsRefused() {
        assertThat(TrialOutcome.chanceThatABeatsB(new Effort(4, 6), new Effort(4, 6), 1))
                .isCloseTo(0.5, within(1e-9));
        assertThat(TrialOutcome.chanceThatABeatsB(new Effort(0, 6), new Effort(0, 6), 1))
                .isCloseTo(0.5, within(1e-9));
        assertThatThrownBy(() -> TrialOutcome.chanceThatABeatsB(new Effort(1, 0), new Effort(1, 1), 1))
                .hasMessageContaining("rod-hours above 0");
    }
}
