package dusk.ledger.web.club;

import dusk.ledger.interchange.Fault;
import dusk.ledger.interchange.PackageReader;
import dusk.ledger.interchange.PackageReading;
import dusk.ledger.interchange.Refused;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.Progress;
import dusk.ledger.web.store.TakenIds;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/** Packages that are brought in, one at a time, beside the requests: each can be watched and stopped until it is stored. */
@Component
class Imports {
    private final Clubs clubs;
    private final Clock clock;
    private final ExecutorService worker = Executors.newSingleThreadExecutor();
    private final Map<String, Import> byClub = new ConcurrentHashMap<>();

    Imports(Clubs clubs, Clock clock) {
        this.clubs = clubs;
        this.clock = clock;
    }

    /**
     * How one ended.
     *
     * @param said what was taken; empty where nothing was
     * @param faults why it was refused
     * @param count how many faults there are, more than are told
     */
    record Ended(String said, List<String> faults, long count) {}

    /** One of them. */
    static final class Import {
        private final CompletableFuture<Ended> ended = new CompletableFuture<>();
        private volatile boolean stopped;
        private volatile long rows;
        private volatile long done;

        /** How far it is, in words. */
        String words() {
            return rows == 0 ? "Reading and checking the package." : "Storing row " + done + " of " + rows + ".";
        }

        int percent() {
            return rows == 0 ? 0 : (int) (100 * done / rows);
        }

        void stop() {
            stopped = true;
        }

        private boolean at(long rowsDone, long of) {
            rows = of;
            done = rowsDone;
            return !stopped;
        }

        /** How it ended, where it does within a moment. */
        Optional<Ended> ended(long patienceMillis) {
            return Optional.ofNullable(ended.copy()
                    .completeOnTimeout(null, patienceMillis, TimeUnit.MILLISECONDS)
                    .join());
        }
    }

    /** The one of a club that is under way, or ended last and was not told of yet. */
    Optional<Import> of(String clubId) {
        return Optional.ofNullable(byClub.get(clubId));
    }

    void told(String clubId, Import which) {
        byClub.remove(clubId, which);
    }

    /** Starts one, where none of the club is under way. */
    Optional<Import> start(String clubId, String name, InputStream in) throws IOException {
        // on the disk before it counts as under way: what cannot be kept is in nobody's way
        Path kept = Files.createTempFile("dusk-import", ".zip");
        Import started = new Import();
        boolean first = false;
        try {
            Files.copy(in, kept, StandardCopyOption.REPLACE_EXISTING);
            first = byClub.compute(
                            clubId, (club, before) -> before != null && !before.ended.isDone() ? before : started)
                    == started;
        } finally {
            if (!first) {
                Files.delete(kept);
            }
        }
        if (!first) {
            return Optional.empty();
        }
        worker.execute(() -> {
            try {
                started.ended.complete(bring(clubId, name, kept, started));
            } catch (IOException | RuntimeException e) {
                started.ended.completeExceptionally(e);
            }
        });
        return Optional.of(started);
    }

    private Ended bring(String clubId, String name, Path kept, Import started) throws IOException {
        try (InputStream in = Files.newInputStream(kept)) {
            PackageReading reading = PackageReader.toStore(name, in, clock.instant());
            clubs.load(clubId, reading.ledger(), started::at);
            return new Ended(
                    "Taken whole: " + reading.ledger().trips().size() + " trips, "
                            + reading.ledger().stints().size() + " stints.",
                    List.of(),
                    0);
        } catch (Refused e) {
            return new Ended("", e.faults().stream().map(Fault::toString).toList(), e.count());
        } catch (TakenIds e) {
            return new Ended("", List.of(String.valueOf(e.getMessage())), 1);
        } catch (Progress.Stopped e) {
            return new Ended("Stopped: nothing of the package was stored.", List.of(), 0);
        } finally {
            Files.deleteIfExists(kept);
        }
    }

    @PreDestroy
    void end() {
        byClub.values().forEach(Import::stop);
        worker.shutdown();
    }
}
