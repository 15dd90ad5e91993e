package dusk.ledger.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The column command, against the closed forms. */
class ColumnCommandTest {
    private static final double HALF_A_PERCENT = 0.005;

    static Stream<JsonNode> vectors() throws IOException {
        try (InputStream in = ColumnCommandTest.class.getResourceAsStream("/vectors/water.json")) {
            return JsonMapper.shared().readTree(in).valueStream();
        }
    }

    private static void same(double actual, JsonNode expected, double share) {
        assertThat(actual).isCloseTo(expected.asDouble(), within(Math.abs(expected.asDouble()) * share + 1e-6));
    }

    @Test
    void whatFloatsHasNoTimes() {
        JsonNode said = column(
                0,
                "--plastic",
                "stick worm",
                "--plastic-length-mm",
                "120",
                "--plastic-material",
                "floating elastomer",
                "--hook-mass-g",
                "0.1",
                "--line-diameter-mm",
                "0.2",
                "--depth-m",
                "5",
                "--cast-m",
                "20");
        assertThat(said.path("terminal_mps").isNull()).isTrue();
        assertThat(said.path("arrivals")).isEmpty();
    }

    private static JsonNode column(int exit, String... options) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        List<String> all = new ArrayList<>(List.of("column"));
        all.addAll(List.of(options));
        assertThat(Dusk.run(new PrintWriter(out), new PrintWriter(err), all.toArray(String[]::new)))
                .as(err.toString())
                .isEqualTo(exit);
        return exit == 0
                ? JsonMapper.shared().readTree(out.toString())
                : JsonMapper.shared().valueToTree(err.toString());
    }

    @ParameterizedTest
    @MethodSource("vectors")
    void theCommandSaysTheSame(JsonNode v) {
        JsonNode said = column(
                0,
                "--head-mass-g",
                v.path("head_mass_g").asString(),
                "--head-material",
                v.path("head_material").asString(),
                "--plastic",
                v.path("plastic").asString(),
                "--plastic-length-mm",
                v.path("plastic_length_mm").asString(),
                "--plastic-material",
                v.path("plastic_material").asString(),
                "--hook-mass-g",
                v.path("hook_mass_g").asString(),
                "--blade-m2",
                v.path("blade_m2").asString(),
                "--line-diameter-mm",
                v.path("line_diameter_mm").asString(),
                "--depth-m",
                v.path("depth_m").asString(),
                "--cast-m",
                v.path("cast_m").asString(),
                "--rod-tip-m",
                v.path("rod_tip_m").asString());
        same(said.path("weight_n").asDouble(), v.path("weight_n"), 1e-6);
        assertThat(said.path("arrivals")).hasSize(3);
        same(said.path("arrivals").path(0).path("seconds").asDouble(), v.path("slack_seconds"), HALF_A_PERCENT);
        JsonNode tight = said.path("arrivals").path(1);
        assertThat(tight.path("reaches").asBoolean())
                .isEqualTo(v.path("tight_reaches").asBoolean());
        assertThat(tight.path("hangs_at_m").isNull())
                .isEqualTo(tight.path("reaches").asBoolean());
        assertThat(said.path("retrieve").path("path")).isNotEmpty();
    }

    @Test
    void theCommandSaysWhatIsWrong() {
        String[] sound = {"--head-mass-g", "7", "--line-diameter-mm", "0.2", "--depth-m", "5", "--cast-m", "20"};
        column(0, sound);
        assertThat(column(2, "--head-mass-g", "7", "--line-diameter-mm", "0.2", "--depth-m", "0", "--cast-m", "20")
                        .asString())
                .contains("a depth and a density above 0");
        assertThat(column(2, "--plastic", "sausage", "--line-diameter-mm", "0.2", "--depth-m", "5", "--cast-m", "20")
                        .asString())
                .contains("--plastic: \"sausage\" is not one of");
    }
}
