package dusk.ledger.web.exchange;

import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.Intake;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Option;

/** Which store, and which club of it. */
final class StoreOption {
    @Option(
            names = {"--store", "--into"},
            description = "the store's file; the one started last where not given")
    private @Nullable Path file;

    @Option(names = "--club", description = "the club's name; needed where the store holds several")
    private @Nullable String club;

    /** Opened stores and what reads them. */
    record Opened(Store store, LedgerRows rows, Clubs clubs, Clock clock) implements AutoCloseable {
        NewId newId() {
            return new NewId(clock, new SecureRandom());
        }

        Intake intake() {
            return new Intake(store, rows, newId(), clock);
        }

        @Override
        public void close() {
            store.close();
        }
    }

    /** What a club is called that is founded for what comes in. */
    String clubName() {
        return club == null ? "Club" : club;
    }

    Path file() {
        return file == null ? Path.of(System.getProperty("dusk.store", "data/dusk.db")) : file;
    }

    Opened open() {
        return open(file());
    }

    /** The store where it is there, else one that passes: for what only looks and must leave no file behind. */
    Opened look() throws IOException {
        return open(
                Files.isRegularFile(file())
                        ? file()
                        : Files.createTempDirectory("dusk-look").resolve("dusk.db"));
    }

    private static Opened open(Path file) {
        Store store = Store.open(file);
        LedgerRows rows = new LedgerRows(store);
        return new Opened(store, rows, new Clubs(store, rows), Clock.systemUTC());
    }

    Opened openExisting() {
        if (!Files.isRegularFile(file())) {
            throw new IllegalArgumentException(file() + ": not there, expected a store's file; name it with --store");
        }
        return open();
    }

    /** The club asked for, or the only one. */
    Clubs.Club choose(Clubs clubs) {
        List<Clubs.Club> all = clubs.all();
        List<Clubs.Club> fitting =
                all.stream().filter(c -> club == null || c.name().equals(club)).toList();
        if (fitting.size() == 1) {
            return fitting.get(0);
        }
        String names = all.stream().map(Clubs.Club::name).collect(Collectors.joining(", "));
        throw new IllegalArgumentException("--club: "
                + (fitting.isEmpty() ? "no such club" : "several clubs")
                + (all.isEmpty() ? ", the store is empty" : ", expected one of: " + names));
    }
}
