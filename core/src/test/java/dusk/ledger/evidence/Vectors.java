package dusk.ledger.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reference numbers made with R, independently of this code; see the README beside them. */
final class Vectors {
    /** For closed forms and the regression. */
    static final double CLOSED = 1e-6;

    /** For fitted priors and what depends on them: the likelihood is flat. */
    static final double FITTED = 1e-3;

    private Vectors() {}

    static Stream<JsonNode> of(String kind) {
        try (InputStream in = Vectors.class.getResourceAsStream("/vectors/vectors.json")) {
            JsonNode list = JsonMapper.shared().readTree(in).path(kind);
            assertThat(list.isEmpty()).as("vectors of kind " + kind).isFalse();
            return list.valueStream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static double[] numbers(JsonNode list) {
        return list.valueStream().mapToDouble(JsonNode::asDouble).toArray();
    }

    static List<String> texts(JsonNode list) {
        return list.valueStream().map(JsonNode::asString).toList();
    }

    static void close(String what, double actual, double expected, double relative) {
        assertThat(Math.abs(actual - expected))
                .as("%s: %s against %s", what, actual, expected)
                .isLessThanOrEqualTo(relative * Math.max(Math.abs(expected), 1e-300));
    }

    static List<Effort> efforts(JsonNode fish, JsonNode hours) {
        double[] y = numbers(fish);
        double[] e = numbers(hours);
        List<Effort> efforts = new ArrayList<>();
        for (int i = 0; i < y.length; i++) {
            efforts.add(new Effort(y[i], e[i]));
        }
        return efforts;
    }

    /** Efforts summed by a group and a cluster within it. */
    static Map<String, List<Effort>> grouped(JsonNode vector, String group, String cluster) {
        List<String> groups = texts(vector.path(group));
        List<String> clusters = texts(vector.path(cluster));
        List<Effort> efforts = efforts(vector.path("fish"), vector.path("rod_hours"));
        Map<String, Map<String, Effort>> sums = new LinkedHashMap<>();
        for (int i = 0; i < groups.size(); i++) {
            sums.computeIfAbsent(groups.get(i), g -> new LinkedHashMap<>())
                    .merge(clusters.get(i), efforts.get(i), Effort::plus);
        }
        Map<String, List<Effort>> lists = new LinkedHashMap<>();
        sums.forEach((g, by) -> lists.put(g, List.copyOf(by.values())));
        return lists;
    }
}
