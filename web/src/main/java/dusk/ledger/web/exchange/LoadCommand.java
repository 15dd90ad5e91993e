package dusk.ledger.web.exchange;

import dusk.ledger.interchange.PackageReader;
import dusk.ledger.interchange.PackageReading;
import dusk.ledger.journal.Ledger;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.Intake;
import dusk.ledger.web.store.Progress;
import dusk.ledger.web.store.Viewer;
import dusk.ledger.web.words.LedgerWords;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
        name = "load",
        description = "Loads a ledger package into a club, whole or not at all; an empty store gets the club too")
final class LoadCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "PACKAGE", description = "a package's folder or zip")
    @SuppressWarnings("NullAway.Init") // set by picocli
    private Path place;

    @Mixin
    private final StoreOption option = new StoreOption();

    @Spec
    @SuppressWarnings("NullAway.Init") // set by picocli
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        PrintWriter heard = spec.commandLine().getOut();
        heard.println("Reading and checking " + place + ".");
        heard.flush();
        PackageReading reading = PackageReader.toStore(place, Clock.systemUTC().instant());
        try (StoreOption.Opened opened = option.open()) {
            Clubs clubs = opened.clubs();
            boolean empty = clubs.all().isEmpty();
            if (empty) {
                clubs.found(new Clubs.Club(opened.newId().next(), option.clubName()), reading.ledger(), telling(heard));
            } else {
                bring(option.choose(clubs), reading.ledger(), opened, telling(heard));
            }
            if (empty) {
                OfficerLink.print(spec.commandLine().getOut(), opened, option.choose(clubs));
            }
        }
        return 0;
    }

    /** What is here already is passed over; what stands here otherwise is not for this command to choose between. */
    private void bring(Clubs.Club club, Ledger ledger, StoreOption.Opened opened, Progress progress) {
        Intake intake = opened.intake();
        int otherwise = intake.compare(club.id(), ledger).conflicting();
        if (otherwise > 0) {
            throw new IllegalArgumentException(
                    place + ": " + otherwise
                            + " rows stand in the club otherwise, so nothing was stored; ./dusk bring --keep ours or theirs says which are kept");
        }
        intake.bring(
                Viewer.club(club.id()),
                ledger,
                String.valueOf(place.getFileName()),
                LedgerWords.of(ledger),
                Intake.Keep.OURS,
                progress);
    }

    /** A line each tenth; whoever ends the command before the last of them has stored nothing. */
    private static Progress telling(PrintWriter heard) {
        long[] said = {-1};
        return (done, of) -> {
            long tenths = of == 0 ? 10 : 10 * done / of;
            if (tenths > said[0]) {
                said[0] = tenths;
                heard.println("Stored " + done + " of " + of + " rows.");
                heard.flush();
            }
            return true;
        };
    }
}
