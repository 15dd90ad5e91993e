package dusk.ledger.web.keeping;

import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.StoreFault;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** How the server and its store are, now. Nothing of the records is in it. */
@Component
class Health {
    /** Less room than that on the disk, and the next large import or back-up may not fit. */
    private static final long LEAST_ROOM = 200L << 20;

    private static final Duration OLD_BACK_UP = Duration.ofHours(50);

    private final Store store;
    private final Path file;
    private final BackUps backUps;
    private final Clock clock;
    private final Instant started;

    Health(Store store, @Value("${dusk.store}") Path file, BackUps backUps, Clock clock) {
        this.store = store;
        this.file = file.toAbsolutePath();
        this.backUps = backUps;
        this.clock = clock;
        started = clock.instant();
    }

    /**
     * The state of things.
     *
     * @param well whether it answers and stores
     * @param worries what should be looked after, in sentences
     */
    record State(
            boolean well,
            List<String> worries,
            long storeBytes,
            long roomBytes,
            long usedBytes,
            long mostBytes,
            Duration up) {}

    State now() {
        List<String> worries = new ArrayList<>();
        boolean well = true;
        try {
            store.tryOut();
        } catch (StoreFault e) {
            worries.add(String.valueOf(e.getMessage()));
            well = false;
        }
        long room = room();
        if (room < LEAST_ROOM) {
            worries.add("There is little room left on the store's disk: " + (room >> 20)
                    + " MB. Make some before the next import.");
        }
        if (!backUps.fault().isEmpty()) {
            worries.add("The last back-up was not made: " + backUps.fault());
        }
        boolean old = backUps.age().map(age -> age.compareTo(OLD_BACK_UP) > 0).orElse(true);
        if (backUps.nights() > 0
                && old
                && Duration.between(started, clock.instant()).compareTo(OLD_BACK_UP) > 0) {
            worries.add("There is no back-up of the last two nights.");
        }
        Runtime runtime = Runtime.getRuntime();
        return new State(
                well,
                worries,
                size(),
                room,
                runtime.totalMemory() - runtime.freeMemory(),
                runtime.maxMemory(),
                Duration.between(started, clock.instant()));
    }

    private long room() {
        try {
            return Files.getFileStore(file).getUsableSpace();
        } catch (IOException e) {
            return 0;
        }
    }

    private long size() {
        long size = 0;
        for (String end : new String[] {"", "-wal"}) {
            try {
                Path part = Path.of(file + end);
                size += Files.exists(part) ? Files.size(part) : 0;
            } catch (IOException e) {
                // counted as nothing
            }
        }
        return size;
    }
}
