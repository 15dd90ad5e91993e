package dusk.ledger.web.exchange;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import org.slf4j.LoggerFactory;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The commands that open a store's file. Faults go to standard error, one a line, with exit code 2. */
@Command(
        name = "dusk",
        subcommands = {
            BackUpCommand.class,
            BringCommand.class,
            ExportCommand.class,
            LoadCommand.class,
            OfficerCommand.class,
            RestoreCommand.class
        })
public final class ExchangeCommands {
    private static final int BAD_INPUT = 2;

    private ExchangeCommands() {}

    public static void main(String[] args) {
        quiet();
        PrintWriter err = new PrintWriter(System.err, true, StandardCharsets.UTF_8);
        PrintWriter out = new PrintWriter(System.out, true, StandardCharsets.UTF_8);
        System.exit(run(out, err, args));
    }

    /** Standard output is for answers, and there is no Spring here to turn the libraries' talk down. */
    private static void quiet() {
        System.setProperty("org.jooq.no-logo", "true");
        System.setProperty("org.jooq.no-tips", "true");
        if (LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME) instanceof Logger root) {
            root.setLevel(Level.WARN);
        }
    }

    static int run(PrintWriter out, PrintWriter err, String... args) {
        return new CommandLine(new ExchangeCommands())
                .setOut(out)
                .setErr(err)
                .setExecutionExceptionHandler((e, line, parsed) -> {
                    err.println(e.getMessage());
                    return BAD_INPUT;
                })
                .execute(args);
    }
}
