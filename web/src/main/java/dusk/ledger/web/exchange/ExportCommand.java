package dusk.ledger.web.exchange;

import dusk.ledger.interchange.PackageWriter;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.Viewer;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;

@Command(
        name = "export",
        description =
                "Writes a club's records as a ledger package; the name and position of places kept private stay out of it")
final class ExportCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "PACKAGE", description = "a folder to make, or a file ending in .zip")
    @SuppressWarnings("NullAway.Init") // set by picocli
    private Path place;

    @Mixin
    private final StoreOption option = new StoreOption();

    @Override
    public Integer call() throws Exception {
        try (StoreOption.Opened opened = option.openExisting()) {
            Clubs.Club club = option.choose(opened.clubs());
            PackageWriter.write(opened.rows().ledger(Viewer.club(club.id())), club.name(), place);
        }
        return 0;
    }
}
