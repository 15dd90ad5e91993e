package dusk.ledger.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The teach command on the made-up club. */
class TeachCommandTest {
    @TempDir
    static Path folder;

    private static Path club;

    private record Ran(int exit, String out, String err) {}

    @BeforeAll
    static void sample() {
        club = folder.resolve("club");
        assertThat(run("sample", club.toString()).exit()).isZero();
    }

    private static Ran run(String... args) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        int exit = Dusk.run(new PrintWriter(out), new PrintWriter(err), args);
        return new Ran(exit, out.toString(), err.toString());
    }

    @Test
    void questionsComeInTheShapeOfTheFormatTheMostProfitableFirst() {
        Ran ran = run("teach", club.toString(), "--top", "3");
        assertThat(ran.err()).isEmpty();
        JsonNode questions = JsonMapper.shared().readTree(ran.out()).path("questions");
        assertThat(questions).hasSize(3).allSatisfy(question -> {
            assertThat(question.propertyNames())
                    .containsExactly(
                            "factor",
                            "a",
                            "b",
                            "conditions",
                            "log_ratio",
                            "sd",
                            "rod_hours_each",
                            "worth_fish_a_year",
                            "price_fish",
                            "text");
            assertThat(question.path("worth_fish_a_year").doubleValue())
                    .isGreaterThan(question.path("price_fish").doubleValue());
        });
    }

    @Test
    void underConditionsOnlyTheseAreAsked() throws IOException {
        Path file = Files.writeString(folder.resolve("c.json"), "{\"clarity_m\": 1.2}");
        Ran ran = run("teach", club.toString(), "--conditions", file.toString());
        assertThat(JsonMapper.shared().readTree(ran.out()).path("questions"))
                .isNotEmpty()
                .allSatisfy(question -> assertThat(
                                question.path("conditions").path("clarity").asString())
                        .isEqualTo("0.9-2 m"));
    }

    @Test
    void whatCannotBeIsRefusedByName() throws IOException {
        assertThat(run("teach", club.toString(), "--top", "0").err()).contains("--top: expected 1 or more, not 0");
        Path file = Files.writeString(folder.resolve("bad.json"), "{\"moon\": \"full\"}");
        assertThat(run("teach", club.toString(), "--conditions", file.toString())
                        .err())
                .contains("\"moon\" is not a condition of a plan");
    }
}
