package dusk.ledger.web.exchange;

import dusk.ledger.web.store.BackUp;
import dusk.ledger.web.store.Store;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(name = "restore", description = "Makes a new store of a back-up; never over one that is there")
final class RestoreCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "BACK-UP", description = "a back-up's file")
    @SuppressWarnings("NullAway.Init") // set by picocli
    private Path from;

    @Option(
            names = {"--into", "--store"},
            required = true,
            description = "the new store's file, where nothing is yet")
    @SuppressWarnings("NullAway.Init") // set by picocli
    private Path into;

    @Spec
    @SuppressWarnings("NullAway.Init") // set by picocli
    private CommandSpec spec;

    @Override
    public Integer call() {
        BackUp.Made made = BackUp.restore(from, into);
        // as a server would open it: of a newer application it is refused here and not on the day it is needed
        Store.open(into).close();
        spec.commandLine().getOut().println(BackUpCommand.told(made));
        return 0;
    }
}
