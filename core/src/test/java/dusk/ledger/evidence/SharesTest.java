package dusk.ledger.evidence;

import static dusk.ledger.evidence.Vectors.CLOSED;
import static dusk.ledger.evidence.Vectors.close;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

class SharesTest {
    static Stream<JsonNode> shares() {
        return Vectors.of("wilson");
    }

    @ParameterizedTest
    @MethodSource("shares")
    void aShareAndItsIntervalAgreeWithR(JsonNode v) {
        Share share = Share.of(v.path("x").asInt(), v.path("n").asInt());
        close("share", share.share(), v.path("share").asDouble(), CLOSED);
        assertThat(share.interval().low()).isCloseTo(v.path("low").asDouble(), within(1e-9));
        close("high", share.interval().high(), v.path("high").asDouble(), CLOSED);
    }

    static Stream<JsonNode> risks() {
        return Vectors.of("mh_risk");
    }

    @ParameterizedTest
    @MethodSource("risks")
    void theRatioOfSharesAgreesWithR(JsonNode v) {
        double[] x = column(v, "a_yes");
        double[] n1 = column(v, "a_n");
        double[] z = column(v, "b_yes");
        double[] n0 = column(v, "b_n");
        List<RiskRatio.Table> blocks = new ArrayList<>();
        for (int i = 0; i < x.length; i++) {
            blocks.add(new RiskRatio.Table(x[i], n1[i], z[i], n0[i]));
        }
        Estimate.Figure figure = (Estimate.Figure) RiskRatio.of(blocks);
        assertThat(figure.ratio()).isCloseTo(v.path("rr").asDouble(), within(CLOSED));
        if (v.path("low").isNull()) {
            assertThat(figure.ratio()).isZero();
            assertThat(figure.interval()).isNull();
            return;
        }
        close("low", figure.interval().low(), v.path("low").asDouble(), CLOSED);
        close("high", figure.interval().high(), v.path("high").asDouble(), CLOSED);
    }

    private static double[] column(JsonNode v, String name) {
        JsonNode node = v.path(name);
        return node.isArray() ? Vectors.numbers(node) : new double[] {node.asDouble()};
    }

    @Test
    void favouritesAreToldByWhatTheyEarn() {
        StintTable table = StintTable.of(DemoClub.ledger(DemoClub.SEED));
        Comparison comparison = Comparison.of(table, new Question(Factor.PRESENTATION, Map.of(), null, null));
        Favourites favourites = Favourites.of(comparison, 1);
        assertThat(favourites.levels()).isSortedAccordingTo((a, b) -> Double.compare(b.share(), a.share()));
        assertThat(favourites.levels().stream()
                        .mapToDouble(Favourites.Favourite::share)
                        .sum())
                .isCloseTo(1, within(1e-9));
        assertThat(favourites.levels().stream()
                        .mapToDouble(Favourites.Favourite::chanceBest)
                        .sum())
                .isCloseTo(1, within(1e-9));
        assertThat(favourites.levels())
                .filteredOn(f -> f.rank() == 1)
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.figures().level()).isEqualTo("dead-stick");
                    assertThat(favourites.levels()).allMatch(o -> o.chanceBest() <= f.chanceBest());
                });
        assertThat(Favourites.of(comparison, 1)).isEqualTo(favourites);
    }
}
