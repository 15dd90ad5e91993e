package dusk.ledger.cli;

import dusk.ledger.interchange.PackageReader;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(name = "check", description = "Counts the rows of each file of a ledger package, and lists every fault")
final class CheckCommand implements Callable<Integer> {
    /** All of them, as far as anybody reads. */
    private static final int MOST_FAULTS = 100_000;

    @Parameters(index = "0", paramLabel = "PACKAGE", description = "a package's folder or zip")
    @SuppressWarnings("NullAway.Init") // set by picocli
    private Path place;

    @Spec
    @SuppressWarnings("NullAway.Init")
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Answer.print(spec, Printed.reading(PackageReader.read(place, MOST_FAULTS)));
        return 0;
    }
}
