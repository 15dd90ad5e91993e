package dusk.ledger.evidence;

import static dusk.ledger.evidence.Vectors.CLOSED;
import static dusk.ledger.evidence.Vectors.FITTED;
import static dusk.ledger.evidence.Vectors.close;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

class RatesTest {
    static Stream<JsonNode> exact() {
        return Vectors.of("poisson_exact");
    }

    @ParameterizedTest
    @MethodSource("exact")
    void theExactIntervalAgreesWithR(JsonNode v) {
        CatchRate rate = CatchRate.of(List.of(
                new Effort(v.path("fish").asDouble(), v.path("rod_hours").asDouble())));
        close("rate", rate.perRodHour(), v.path("rate").asDouble(), CLOSED);
        close("low", rate.interval().low(), v.path("low").asDouble(), CLOSED);
        close("high", rate.interval().high(), v.path("high").asDouble(), CLOSED);
    }

    static Stream<JsonNode> clustered() {
        return Vectors.of("rate_clustered");
    }

    @ParameterizedTest
    @MethodSource("clustered")
    void theIntervalThatAllowsForTripsAgreesWithR(JsonNode v) {
        CatchRate rate = CatchRate.of(Vectors.efforts(v.path("trip_fish"), v.path("trip_rod_hours")));
        close("rate", rate.perRodHour(), v.path("rate").asDouble(), CLOSED);
        close("low", rate.interval().low(), v.path("low").asDouble(), CLOSED);
        close("high", rate.interval().high(), v.path("high").asDouble(), CLOSED);
    }

    static Stream<JsonNode> swings() {
        return Vectors.of("swing");
    }

    @ParameterizedTest
    @MethodSource("swings")
    void theSwingOfTripsAgreesWithR(JsonNode v) {
        Map<String, List<Effort>> levels = Vectors.grouped(v, "level", "trip");
        TripSwing swing = TripSwing.of(List.copyOf(levels.values()));
        close("swing", swing.all(), v.path("swing").asDouble(), CLOSED);
        List<String> names = List.copyOf(levels.keySet());
        for (int l = 0; l < names.size(); l++) {
            double expected = v.path("by_level").path(names.get(l)).asDouble();
            close(names.get(l), swing.byLevel().get(l), expected, CLOSED);
        }
    }

    static Stream<JsonNode> priors() {
        return Vectors.of("prior_ml");
    }

    @ParameterizedTest
    @MethodSource("priors")
    void thePriorAndWhatItMakesOfTheLevelsAgreeWithR(JsonNode v) {
        List<Effort> levels = Vectors.efforts(v.path("fish"), v.path("rod_hours"));
        GammaPrior prior = GammaPrior.fit(levels).orElseThrow();
        close("shape", prior.shape(), v.path("shape").asDouble(), FITTED);
        close("rate", prior.rate(), v.path("rate").asDouble(), FITTED);
        for (int i = 0; i < levels.size(); i++) {
            ShrunkRate shrunk = prior.given(levels.get(i));
            close("mean", shrunk.mean(), v.path("mean").path(i).asDouble(), FITTED);
            close("low", shrunk.interval().low(), v.path("low").path(i).asDouble(), FITTED);
            close("high", shrunk.interval().high(), v.path("high").path(i).asDouble(), FITTED);
        }
    }

    static Stream<JsonNode> posteriors() {
        return Vectors.of("posterior");
    }

    @ParameterizedTest
    @MethodSource("posteriors")
    void thePosteriorOfALevelAgreesWithR(JsonNode v) {
        GammaPrior prior =
                new GammaPrior(v.path("shape").asDouble(), v.path("rate").asDouble());
        ShrunkRate shrunk = prior.given(
                new Effort(v.path("fish").asDouble(), v.path("rod_hours").asDouble()));
        close("mean", shrunk.mean(), v.path("mean").asDouble(), CLOSED);
        close("low", shrunk.interval().low(), v.path("low").asDouble(), CLOSED);
        close("high", shrunk.interval().high(), v.path("high").asDouble(), CLOSED);
    }

    static Stream<JsonNode> discoveries() {
        return Vectors.of("bh");
    }

    @ParameterizedTest
    @MethodSource("discoveries")
    void theControlOfFalseDiscoveryAgreesWithR(JsonNode v) {
        double[] q = FalseDiscovery.q(Vectors.numbers(v.path("p")));
        double[] expected = Vectors.numbers(v.path("q"));
        for (int i = 0; i < q.length; i++) {
            close("q", q[i], expected[i], CLOSED);
        }
    }

    static Stream<JsonNode> trials() {
        return Vectors.of("trial_hours");
    }

    @ParameterizedTest
    @MethodSource("trials")
    void theSizeOfATrialAgreesWithR(JsonNode v) {
        double hours = TrialSize.rodHoursEach(
                v.path("r0").asDouble(),
                v.path("ratio").asDouble(),
                v.path("dispersion").asDouble(),
                v.path("power").asDouble());
        close("rod-hours each", hours, v.path("rod_hours_each").asDouble(), CLOSED);
    }

    @Test
    void shrinkingNeverMovesALevelPastThePooledRate() {
        SplittableRandom random = new SplittableRandom(7);
        for (int run = 0; run < 200; run++) {
            List<Effort> levels = random.ints(3 + run % 6, 0, 40)
                    .mapToObj(y -> new Effort(y, 0.5 + 20 * random.nextDouble()))
                    .toList();
            GammaPrior prior = GammaPrior.fit(levels).orElseThrow();
            double centre = prior.shape() / prior.rate();
            for (Effort level : levels) {
                double crude = level.fish() / level.rodHours();
                double mean = prior.given(level).mean();
                assertThat(mean).isBetween(Math.min(crude, centre) - 1e-9, Math.max(crude, centre) + 1e-9);
            }
        }
    }

    @Test
    void withTwoLevelsThePriorIsOneFishAtThePooledRate() {
        GammaPrior prior =
                GammaPrior.fit(List.of(new Effort(3, 2), new Effort(1, 2))).orElseThrow();
        assertThat(prior).isEqualTo(new GammaPrior(1, 1));
    }

    @Test
    void withoutFishThereIsNoPrior() {
        assertThat(GammaPrior.fit(List.of(new Effort(0, 2), new Effort(0, 5), new Effort(0, 1))))
                .isEmpty();
    }

    @Test
    void aTrialOfNoDifferenceIsRefused() {
        assertThatThrownBy(() -> TrialSize.rodHoursEach(1, 1, 1, 0.8)).isInstanceOf(IllegalArgumentException.class);
    }
}
