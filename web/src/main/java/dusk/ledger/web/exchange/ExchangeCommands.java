package dusk.ledger.web.exchange;

import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The commands that open a store's file. Faults go to standard error, one a line, with exit code 2. */
@Command(
        name = "dusk",
        subcommands = {ExportCommand.class, LoadCommand.class})
public final class ExchangeCommands {
    private static final int BAD_INPUT = 2;

    private ExchangeCommands() {}

    public static void main(String[] args) {
        PrintWriter err = new PrintWriter(System.err, true, StandardCharsets.UTF_8);
        System.exit(run(err, args));
    }

    static int run(PrintWriter err, String... args) {
        return new CommandLine(new ExchangeCommands())
                .setErr(err)
                .setExecutionExceptionHandler((e, line, parsed) -> {
                    err.println(e.getMessage());
                    return BAD_INPUT;
                })
                .execute(args);
    }
}
