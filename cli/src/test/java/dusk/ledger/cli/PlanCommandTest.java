package dusk.ledger.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The plan command on the made-up club. */
class PlanCommandTest {
    @TempDir
    static Path folder;

    private static Path club;

    @BeforeAll
    static void sample() {
        club = folder.resolve("club");
        assertThat(run("sample", club.toString()).exit()).isZero();
    }

    private record Ran(int exit, String out, String err) {}

    private static Ran run(String... args) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        int exit = Dusk.run(new PrintWriter(out), new PrintWriter(err), args);
        return new Ran(exit, out.toString(), err.toString());
    }

    private static Ran plan(String conditions, String... more) throws IOException {
        Path file = Files.writeString(folder.resolve("c.json"), conditions);
        List<String> args = new ArrayList<>(List.of("plan", club.toString(), "--conditions", file.toString()));
        args.addAll(List.of(more));
        return run(args.toArray(String[]::new));
    }

    @Test
    void aPlanHasCallsWithReasonsAndASpread() throws IOException {
        Ran ran = plan("""
                {"water_temp_c": 8, "at": "2026-01-10T16:30:00Z", "latitude": 44.46, "longitude": -14.02,
                 "clarity_m": 0.5, "depth_m": 7, "weather": "after a front", "on_foot": false, "species": "largemouth"}
                """, "--rods", "2");
        assertThat(ran.err()).isEmpty();
        JsonNode plan = JsonMapper.shared().readTree(ran.out());
        assertThat(plan.path("stage").asString()).isEqualTo("winter");
        assertThat(plan.path("calls")).isNotEmpty().allSatisfy(call -> {
            assertThat(call.path("rate").doubleValue())
                    .isBetween(call.path("low").doubleValue(), call.path("high").doubleValue());
            assertThat(call.path("records_share").doubleValue()).isBetween(0.0, 1.0);
            assertThat(call.path("reasons"))
                    .isNotEmpty()
                    .allSatisfy(
                            reason -> assertThat(reason.path("from").asString()).isIn("rules", "records", "both"));
            assertThat(call.path("setup").path("plastic").isString()).isTrue();
        });
        assertThat(plan.path("spread")).hasSize(2);
        assertThat(plan.path("unknown").get(0).path("matters").doubleValue()).isPositive();
        assertThat(plan.path("cautions").toString()).contains("Cold water");
        assertThat(plan.path("schools"))
                .isNotEmpty()
                .allSatisfy(
                        question -> assertThat(question.path("answers").size()).isGreaterThan(1));
        assertThat(plan("{}").exit()).as("anything may be unknown").isZero();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "{\"moon\": 1} | \"moon\" is not a condition of a plan",
                "{\"water_temp_c\": \"8\"} | water_temp_c: expected a number, not \"8\"",
                "{\"water_temp_c\": 80} | A temperature must lie between -60 and 60 °C, not 80.0.",
                "{\"clarity_m\": -1} | 0 or more",
                "{\"season\": \"lent\"} | season: expected one of winter, pre-spawn",
                "{\"weather\": \"odd\"} | weather: expected one of settled",
                "{\"water_kind\": \"puddle\"} | water_kind: expected one of reservoir",
                "{\"sky\": 3} | sky: expected a word, not 3",
                "{\"on_foot\": \"yes\"} | on_foot: expected true or false",
                "{\"at\": \"soon\"} | at: expected a time with its offset",
                "{\"latitude\": 4} | longitude: expected both of latitude and longitude, or neither",
                "[1] | expected one object",
                "{ | this is not JSON",
            })
    void aConditionThatCannotBeIsRefusedByName(String conditions, String said) throws IOException {
        Ran ran = plan(conditions);
        assertThat(ran.exit()).isEqualTo(2);
        assertThat(ran.out()).isEmpty();
        assertThat(ran.err()).contains("c.json").contains(said);
    }

    @Test
    void rodsAndSchoolsAreChecked() throws IOException {
        assertThat(plan("{}", "--rods", "9").err()).contains("--rods: expected 1 to 8, not 9");
        assertThat(plan("{}", "--follow", "colour=bright").err()).contains("is not a question and one of its schools");
        assertThat(plan("{\"clarity_m\": 0.2}", "--follow", "Which colour where one does not see far=bright")
                        .exit())
                .isZero();
    }
}
