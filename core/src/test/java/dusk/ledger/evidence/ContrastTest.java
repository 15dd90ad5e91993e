package dusk.ledger.evidence;

import static dusk.ledger.evidence.Vectors.CLOSED;
import static dusk.ledger.evidence.Vectors.close;
import static dusk.ledger.evidence.Vectors.numbers;
import static dusk.ledger.evidence.Vectors.texts;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

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

    /** Rows by themselves with a column for every level, against cells with a constant for each level of the widest factor. */
    @Test
    void cellsAndConstantsFitAsRowsAndColumnsDo() {
        SplittableRandom random = new SplittableRandom(11);
        for (int run = 0; run < 20; run++) {
            int rows = 400;
            int[] group = random.ints(rows, 0, 7).toArray();
            int[] level = random.ints(rows, 0, 4).toArray();
            int[] own = random.ints(rows, 0, 2).toArray();
            int[] trip = IntStream.range(0, rows).map(i -> i / 9).toArray();
            double[] fish = random.ints(rows, 0, 5).asDoubleStream().toArray();
            double[] effort = random.doubles(rows, 0.2, 1.5).toArray();
            int trips = trip[rows - 1] + 1;
            int[][] byRow = new int[rows][];
            int[][] byCell = new int[7 * 4 * 2][];
            int[] cellOf = new int[rows];
            int[] groupOf = new int[byCell.length];
            for (int i = 0; i < rows; i++) {
                int at = level[i];
                int of = group[i];
                int column = own[i];
                byRow[i] = IntStream.of(at == 0 ? -1 : at - 1, of == 0 ? -1 : 2 + of, column == 0 ? -1 : 9)
                        .filter(c -> c >= 0)
                        .toArray();
                cellOf[i] = (of * 4 + at) * 2 + column;
                byCell[cellOf[i]] = IntStream.of(at == 0 ? -1 : at - 1, column == 0 ? -1 : 3)
                        .filter(c -> c >= 0)
                        .toArray();
                groupOf[cellOf[i]] = of;
            }
            PoissonFit plain = PoissonFit.of(new PoissonFit.Data(
                    10,
                    byRow,
                    ones(byRow),
                    new int[rows],
                    1,
                    IntStream.range(0, rows).toArray(),
                    fish,
                    effort,
                    trip,
                    trips));
            PoissonFit quick = PoissonFit.of(new PoissonFit.Data(
                    4, filled(byCell), ones(filled(byCell)), groupOf, 7, cellOf, fish, effort, trip, trips));
            assertThat(plain).isNotNull();
            assertThat(quick).isNotNull();
            assertThat(new double[] {
                        quick.coefficient(3),
                        quick.standardError(3),
                        quick.coefficient(1),
                        quick.constant(0),
                        quick.constantError(0),
                        quick.constant(3)
                    })
                    .containsExactly(
                            new double[] {
                                plain.coefficient(9),
                                plain.standardError(9),
                                plain.coefficient(1),
                                plain.constant(0),
                                plain.constantError(0),
                                plain.constant(0) + plain.coefficient(5)
                            },
                            within(1e-8));
        }
    }

    private static int[][] filled(int[][] columns) {
        return Arrays.stream(columns).map(c -> c == null ? new int[0] : c).toArray(int[][]::new);
    }

    private static double[][] ones(int[][] columns) {
        return Arrays.stream(columns)
                .map(c -> IntStream.of(c).mapToDouble(one -> 1).toArray())
                .toArray(double[][]::new);
    }

    @Test
    void stintsAreNumberedByWhatTheyShareHoweverManyKindsThereMayBe() {
        int[] rows = IntStream.range(0, 500).toArray();
        List<Grouping.By> few = List.of(new Grouping.By(row -> row % 7, 7), new Grouping.By(row -> row % 3, 3));
        assertThat(Grouping.of(rows, few).count()).isEqualTo(21);
        assertThat(Grouping.of(rows, List.of()).count()).isEqualTo(1);
        // a width that no number holds: kinds are numbered on the way
        List<Grouping.By> wide = List.of(
                new Grouping.By(row -> row % 7 * 300_000_000, Integer.MAX_VALUE),
                new Grouping.By(row -> row % 5 * 400_000_000, Integer.MAX_VALUE),
                new Grouping.By(row -> row % 3 * 700_000_000, Integer.MAX_VALUE));
        Grouping grouping = Grouping.of(rows, wide);
        assertThat(grouping.count()).isEqualTo(105);
        for (int row : rows) {
            assertThat(grouping.of()[row]).isEqualTo(grouping.of()[row % 105]);
        }
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
