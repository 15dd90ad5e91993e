package dusk.ledger.cli;

import dusk.ledger.interchange.Refused;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/**
 * The reading commands over a ledger package. Answers go to standard output as JSON, faults to standard error, one a
 * line, with exit code 2.
 */
@Command(
        name = "dusk",
        subcommands = {
            CheckCommand.class,
            CompareCommand.class,
            PatternsCommand.class,
            PlanCommand.class,
            TeachCommand.class,
            ColumnCommand.class,
            SampleCommand.class
        },
        description = "Reads a ledger package and answers")
public final class Dusk {
    private static final int BAD_INPUT = 2;

    private Dusk() {}

    public static void main(String[] args) {
        PrintWriter out = new PrintWriter(System.out, true, StandardCharsets.UTF_8);
        PrintWriter err = new PrintWriter(System.err, true, StandardCharsets.UTF_8);
        System.exit(run(out, err, args));
    }

    /** Runs one command; its exit code. */
    public static int run(PrintWriter out, PrintWriter err, String... args) {
        return new CommandLine(new Dusk())
                .setOut(out)
                .setErr(err)
                .setParameterExceptionHandler((e, given) -> {
                    err.println(String.valueOf(e.getMessage()).replace('\n', ' '));
                    return BAD_INPUT;
                })
                .setExecutionExceptionHandler((e, line, parsed) -> {
                    if (e instanceof Refused || e instanceof CommandFailure) {
                        err.println(e.getMessage());
                        return BAD_INPUT;
                    }
                    if (e instanceof IOException) {
                        err.println("the disk does not give it or take it: " + e.getMessage());
                        return BAD_INPUT;
                    }
                    throw e;
                })
                .execute(args);
    }
}
