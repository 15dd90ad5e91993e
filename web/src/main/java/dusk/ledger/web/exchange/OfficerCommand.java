package dusk.ledger.web.exchange;

import dusk.ledger.web.store.Clubs;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

@Command(
        name = "officer",
        description = "Makes a link that lets one records officer into a club, once and within a week")
final class OfficerCommand implements Callable<Integer> {
    @Mixin
    private final StoreOption option = new StoreOption();

    @Spec
    @SuppressWarnings("NullAway.Init") // set by picocli
    private CommandSpec spec;

    @Override
    public Integer call() {
        try (StoreOption.Opened opened = option.openExisting()) {
            Clubs.Club club = option.choose(opened.clubs());
            OfficerLink.print(spec.commandLine().getOut(), opened, club);
        }
        return 0;
    }
}
