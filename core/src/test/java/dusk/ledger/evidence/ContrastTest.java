package dusk.ledger.evidence;

import static dusk.ledger.evidence.Vectors.CLOSED;
import static dusk.ledger.evidence.Vectors.close;
import static dusk.ledger.evidence.Vectors.numbers;
import static dusk.ledger.evidence.Vectors.texts;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

class ContrastTest {
    static Stream<JsonNode> matched() {
        return Vectors.of("mh_rate");
    }

    @ParameterizedTest
    @MethodSource("matched")
    void theMatchedRatioAgreesWithR(JsonNode v) {
        List<String> trips = texts(v.path("trip"));
        double[] x = numbers(v.path("a_fish"));
        double[] n1 = numbers(v.path("a_rod_hours"));
        double[] z = numbers(v.path("b_fish"));
        double[] n0 = numbers(v.path("b_rod_hours"));
        List<Block> blocks = IntStream.range(0, x.length)
                .mapToObj(i -> new Block(trips.indexOf(trips.get(i)), x[i], n1[i], z[i], n0[i]))
                .toList();
        MatchedRatio ratio = MatchedRatio.of(blocks);
        assertThat(ratio.blocks()).isEqualTo(v.path("blocks").asInt());
        if (v.path("rr").isNull()) {
            assertThat(ratio.estimate()).isInstanceOf(Estimate.None.class);
            return;
        }
        assertThat(ratio.clusters()).isEqualTo(v.path("informative_trips").asInt());
        Estimate.Figure figure = (Estimate.Figure) ratio.estimate();
        close("rr", figure.ratio(), v.path("rr").asDouble(), CLOSED);
        if (v.path("low").isNull()) {
            assertThat(figure.interval()).isNull();
            assertThat(figure.caveat()).isNotEmpty();
        } else {
            close("low", figure.interval().low(), v.path("low").asDouble(), CLOSED);
            close("high", figure.interval().high(), v.path("high").asDouble(), CLOSED);
            close("p", figure.p(), v.path("p").asDouble(), CLOSED);
        }
    }

    static Stream<JsonNode> regressions() {
        return Vectors.of("poisson_regression");
    }

    @ParameterizedTest
    @MethodSource("regressions")
    void theRegressionAgreesWithR(JsonNode v) {
        List<double[]> columns = v.path("columns")
                .valueStream()
                .map(c -> numbers(c.path("values")))
                .toList();
        List<String> names = v.path("columns")
                .valueStream()
                .map(c -> c.path("name").asString())
                .toList();
        PoissonFit fit = PoissonFit.of(data(v, columns));
        assertThat(fit).isNotNull();
        for (String dropped : texts(v.path("dropped"))) {
            assertThat(fit.has(names.indexOf(dropped))).as(dropped).isFalse();
        }
        List<String> kept = texts(v.path("kept"));
        for (int i = 0; i < kept.size(); i++) {
            int column = names.indexOf(kept.get(i));
            double coefficient = column == 0 ? fit.constant(0) : fit.coefficient(column);
            double error = column == 0 ? fit.constantError(0) : fit.standardError(column);
            close(kept.get(i), coefficient, v.path("coef").path(i).asDouble(), CLOSED);
            close("its error", error, v.path("se").path(i).asDouble(), CLOSED);
            double p = 2 * NormalDistribution.of(0, 1).survivalProbability(Math.abs(coefficient / error));
            close("its p", p, v.path("p").path(i).asDouble(), 1e-4);
        }
    }

    /** R's intercept is here the constant of the only group. */
    private static PoissonFit.Data data(JsonNode v, List<double[]> columns) {
        double[] fish = numbers(v.path("y"));
        double[] effort =
                Arrays.stream(numbers(v.path("offset"))).map(Math::exp).toArray();
        List<String> names = texts(v.path("cluster"));
        List<String> distinct = names.stream().distinct().toList();
        int[] cluster = names.stream().mapToInt(distinct::indexOf).toArray();
        int[][] at = new int[fish.length][];
        double[][] values = new double[fish.length][];
        for (int i = 0; i < fish.length; i++) {
            int row = i;
            at[i] = IntStream.range(1, columns.size())
                    .filter(c -> columns.get(c)[row] != 0)
                    .toArray();
            values[i] =
                    Arrays.stream(at[i]).mapToDouble(c -> columns.get(c)[row]).toArray();
        }
        int[] cells = IntStream.range(0, fish.length).toArray();
        return new PoissonFit.Data(
                columns.size(), at, values, new int[fish.length], 1, cells, fish, effort, cluster, distinct.size());
    }

    @Test
    void turningTheSidesRoundTurnsTheRatioRound() {
        SplittableRandom random = new SplittableRandom(5);
        for (int run = 0; run < 100; run++) {
            List<Block> blocks = new ArrayList<>();
            List<Block> turned = new ArrayList<>();
            for (int i = 0; i < 20; i++) {
                Block block = new Block(
                        i / 2,
                        random.nextInt(5),
                        0.2 + random.nextDouble(),
                        random.nextInt(5),
                        0.2 + random.nextDouble());
                blocks.add(block);
                turned.add(new Block(block.cluster(), block.z(), block.n0(), block.x(), block.n1()));
            }
            Estimate.Figure one = (Estimate.Figure) MatchedRatio.of(blocks).estimate();
            Estimate.Figure other = (Estimate.Figure) MatchedRatio.of(turned).estimate();
            close("ratio", one.ratio(), 1 / other.ratio(), 1e-12);
            close("p", one.p(), other.p(), 1e-9);
            close("low", one.interval().low(), 1 / other.interval().high(), 1e-9);
        }
    }

    @Test
    void aRatioWithoutFishOnTheOtherSideSaysWhyThereIsNone() {
        assertThat(MatchedRatio.of(List.of(new Block(0, 3, 1, 0, 1))).estimate())
                .isEqualTo(new Estimate.None("the other side has no fish where both were fished"));
        assertThat(MatchedRatio.of(List.of(new Block(0, 3, 1, 0, 0))).estimate())
                .isEqualTo(new Estimate.None("the two were never fished in the same block"));
    }

    @Test
    void whatIsNotRecordedIsNoSide() {
        assertThatThrownBy(() -> new Sides("not recorded", null)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Sides("pearl", "pearl")).hasMessageContaining("itself");
    }
}
