package dusk.ledger.web.exchange;

import dusk.ledger.web.store.BackUp;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
        name = "backup",
        description = "Copies a store as it is now, also while a server runs on it, and looks the copy through")
final class BackUpCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "FILE", description = "the back-up, where nothing is yet")
    @SuppressWarnings("NullAway.Init") // set by picocli
    private Path to;

    @Mixin
    private final StoreOption option = new StoreOption();

    @Spec
    @SuppressWarnings("NullAway.Init") // set by picocli
    private CommandSpec spec;

    @Override
    public Integer call() {
        spec.commandLine().getOut().println(told(BackUp.make(option.file(), to)));
        return 0;
    }

    static String told(BackUp.Made made) {
        return made.file() + ": looked through and whole; " + made.clubs() + " clubs, " + made.trips() + " trips, "
                + made.stints() + " stints, " + made.bytes() + " bytes";
    }
}
