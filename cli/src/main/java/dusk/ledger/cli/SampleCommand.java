package dusk.ledger.cli;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.interchange.PackageWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(name = "sample", description = "Writes the invented demo club as a ledger package")
final class SampleCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "PACKAGE", description = "a folder to make, or a file ending in .zip")
    @SuppressWarnings("NullAway.Init") // set by picocli
    private Path place;

    @Option(names = "--seed", description = "another seed draws another club")
    private long seed = DemoClub.SEED;

    @Override
    public Integer call() throws Exception {
        PackageWriter.write(DemoClub.ledger(seed), DemoClub.NAME + " (invented)", place);
        return 0;
    }
}
