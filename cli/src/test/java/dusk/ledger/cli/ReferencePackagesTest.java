package dusk.ledger.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.net.URISyntaxException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The compare command on three small packages, against answers made with R. */
class ReferencePackagesTest {
    private static final double CLOSED = 1e-6;
    private static final double FITTED = 1e-3;
    private static final Set<String> OF_THE_FIT =
            Set.of("shrunk", "shrunk_low", "shrunk_high", "shape", "rate of prior");

    private static Path resource(String name) {
        try {
            return Path.of(Objects.requireNonNull(ReferencePackagesTest.class.getResource("/vectors/" + name))
                    .toURI());
        } catch (URISyntaxException e) {
            throw new IllegalStateException(e);
        }
    }

    static Stream<Arguments> questions() {
        return Stream.of("pkg-a", "pkg-b", "pkg-c")
                .flatMap(p -> JsonMapper.shared()
                        .readTree(resource(p + ".answers.json").toFile())
                        .valueStream()
                        .map(q -> Arguments.of(
                                p,
                                q.path("args")
                                        .valueStream()
                                        .map(JsonNode::asString)
                                        .toList(),
                                q.path("answer"))));
    }

    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("questions")
    void theAnswerAgreesWithR(String pkg, List<String> args, JsonNode expected) {
        JsonNode actual = compare(pkg, args);
        assertThat(actual.path("factor")).isEqualTo(expected.path("factor"));
        assertThat(actual.path("species")).isEqualTo(expected.path("species"));
        assertThat(actual.path("levels").size())
                .isEqualTo(expected.path("levels").size());
        for (JsonNode level : expected.path("levels")) {
            same(
                    level,
                    named(actual.path("levels"), level.path("level").asString()),
                    level.path("level").asString());
        }
        assertThat(actual.path("contrasts").size())
                .isEqualTo(expected.path("contrasts").size());
        for (JsonNode contrast : expected.path("contrasts")) {
            JsonNode found =
                    named(actual.path("contrasts"), contrast.path("level").asString());
            String what = contrast.path("level").asString() + " against "
                    + contrast.path("versus").asString();
            assertThat(found.path("versus")).isEqualTo(contrast.path("versus"));
            same(contrast.path("matched"), found.path("matched"), what);
            same(contrast.path("adjusted"), found.path("adjusted"), what);
        }
        JsonNode prior = expected.path("prior");
        close("shape", actual.path("prior").path("shape"), prior.path("shape"));
        close("rate of prior", actual.path("prior").path("rate"), prior.path("rate"));
        close("swing", actual.path("prior").path("swing"), prior.path("swing"));
    }

    private static JsonNode compare(String pkg, List<String> args) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        List<String> line = new ArrayList<>(List.of("compare", resource(pkg).toString()));
        line.addAll(args);
        int code = Dusk.run(new PrintWriter(out), new PrintWriter(err), line.toArray(String[]::new));
        assertThat(code).as(err.toString()).isZero();
        return JsonMapper.shared().readTree(out.toString());
    }

    private static JsonNode named(JsonNode levels, String name) {
        return levels.valueStream()
                .filter(l -> l.path("level").asString().equals(name))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no level " + name));
    }

    private static void same(JsonNode expected, JsonNode actual, String what) {
        expected.propertyStream().forEach(p -> {
            if (p.getValue().isNumber()) {
                close(p.getKey(), actual.path(p.getKey()), p.getValue());
            } else {
                assertThat(actual.path(p.getKey())).as(what + " " + p.getKey()).isEqualTo(p.getValue());
            }
        });
    }

    private static void close(String key, JsonNode actual, JsonNode expected) {
        double tolerance = OF_THE_FIT.contains(key) ? FITTED : CLOSED;
        assertThat(actual.isNumber()).as(key + " is a number: " + actual).isTrue();
        assertThat(Math.abs(actual.asDouble() - expected.asDouble()))
                .as("%s: %s against %s", key, actual, expected)
                .isLessThanOrEqualTo(tolerance * Math.max(Math.abs(expected.asDouble()), 1e-9));
    }

    @Test
    void badInputExitsWithTwoAndOneLineAFault() {
        StringWriter err = new StringWriter();
        int code = Dusk.run(
                new PrintWriter(new StringWriter()),
                new PrintWriter(err),
                "compare",
                resource("pkg-a").toString(),
                "--factor",
                "lunch");
        assertThat(code).isEqualTo(2);
        assertThat(err.toString().lines())
                .hasSize(1)
                .first()
                .asString()
                .startsWith("\"lunch\" is not a factor, expected one of: rig,");
        StringWriter unknown = new StringWriter();
        assertThat(Dusk.run(new PrintWriter(new StringWriter()), new PrintWriter(unknown), "check", "--wrong"))
                .isEqualTo(2);
        assertThat(unknown.toString().lines()).hasSize(1);
    }

    /** Beside each contrast, of measured fish; nulls where too few were measured side by side. */
    @Test
    void sizeStandsBesideEachContrast() {
        for (String pkg : List.of("pkg-a", "pkg-b", "pkg-c")) {
            JsonNode answer = compare(pkg, List.of("--factor", "colour"));
            assertThat(answer.path("contrasts").isEmpty()).isFalse();
            for (JsonNode contrast : answer.path("contrasts")) {
                JsonNode size = contrast.path("size");
                assertThat(size.propertyNames())
                        .containsExactly("fish_a", "fish_b", "blocks", "shift_mm", "low", "high", "p");
                boolean told = size.path("blocks").asInt() >= 3;
                assertThat(size.path("p").isNull()).isEqualTo(!told);
                if (told) {
                    assertThat(size.path("p").asDouble()).isBetween(0.0, 1.0);
                }
            }
        }
    }

    @Test
    void aSideThatWasNotFishedHasNoFigureAtAll() {
        JsonNode contrast = compare("pkg-a", List.of("--factor", "colour", "--level", "a colour nobody has"))
                .path("contrasts")
                .path(0);
        assertThat(contrast.path("matched").path("blocks").asInt()).isZero();
        assertThat(contrast.path("matched").path("rr").isNull()).isTrue();
        assertThat(contrast.path("adjusted").path("rr").isNull()).isTrue();
        assertThat(contrast.path("size").path("blocks").asInt()).isZero();
        assertThat(contrast.path("size").path("shift_mm").isNull()).isTrue();
    }
}
