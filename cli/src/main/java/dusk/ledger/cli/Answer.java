package dusk.ledger.cli;

import java.io.PrintWriter;
import picocli.CommandLine.Model.CommandSpec;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Writes a command's answer, and nothing else, to standard output. */
final class Answer {
    private Answer() {}

    static void print(CommandSpec spec, JsonNode json) {
        PrintWriter out = spec.commandLine().getOut();
        out.println(JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(json));
        out.flush();
    }
}
