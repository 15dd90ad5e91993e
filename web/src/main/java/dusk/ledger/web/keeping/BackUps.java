package dusk.ledger.web.keeping;

import dusk.ledger.web.store.BackUp;
import dusk.ledger.web.store.StoreFault;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** The store's back-ups beside it: one each night, kept for some days, and those that an officer asks for. */
@Component
class BackUps {
    private static final Logger LOG = LoggerFactory.getLogger(BackUps.class);
    private static final DateTimeFormatter STAMP =
            DateTimeFormatter.ofPattern("uuuuMMdd-HHmmss", Locale.ROOT).withZone(ZoneOffset.UTC);

    /** Only what this application named is ever taken away again. */
    private static final Pattern OWN = Pattern.compile("dusk-(night|hand)-\\d{8}-\\d{6}\\.db");

    private final Path store;
    private final Path folder;
    private final int nights;
    private final Clock clock;
    private volatile String fault = "";

    /**
     * @param folder of the back-ups; beside the store where it is empty
     * @param nights how many nightly ones are kept; 0 for none being made
     */
    BackUps(
            @Value("${dusk.store}") Path store,
            @Value("${dusk.backup.folder:}") String folder,
            @Value("${dusk.backup.nights:14}") int nights,
            Clock clock) {
        this.store = store.toAbsolutePath();
        this.folder = folder.isEmpty()
                ? Objects.requireNonNull(this.store.getParent()).resolve("backups")
                : Path.of(folder).toAbsolutePath();
        this.nights = nights;
        this.clock = clock;
    }

    /**
     * A back-up that is there.
     *
     * @param night whether it was made by itself
     */
    record Kept(String name, Instant at, long bytes, boolean night) {}

    @Scheduled(cron = "${dusk.backup.at:0 20 2 * * *}")
    void nightly() {
        if (nights < 1) {
            return;
        }
        try {
            make("night");
            forgetOld();
        } catch (StoreFault e) {
            LOG.error("no nightly back-up was made: {}", e.getMessage());
        }
    }

    /**
     * Makes one.
     *
     * @param by {@code night} or {@code hand}
     * @throws StoreFault where it cannot be made, which is remembered and told until one is
     */
    BackUp.Made make(String by) {
        try {
            BackUp.Made made =
                    BackUp.make(store, folder.resolve("dusk-" + by + "-" + STAMP.format(clock.instant()) + ".db"));
            Files.setLastModifiedTime(made.file(), FileTime.from(clock.instant()));
            fault = "";
            LOG.info("a back-up was made: {} bytes", made.bytes());
            return made;
        } catch (StoreFault e) {
            fault = String.valueOf(e.getMessage());
            throw e;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void forgetOld() {
        List<Kept> byNight = all().stream().filter(Kept::night).skip(nights).toList();
        for (Kept old : byNight) {
            try {
                Files.deleteIfExists(folder.resolve(old.name()));
            } catch (IOException e) {
                LOG.warn("an old back-up could not be taken away: {}", e.getMessage());
            }
        }
    }

    /** Those that are there, newest first. */
    List<Kept> all() {
        List<Kept> all = new ArrayList<>();
        if (!Files.isDirectory(folder)) {
            return all;
        }
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.toList()) {
                String name = String.valueOf(file.getFileName());
                if (OWN.matcher(name).matches()) {
                    all.add(new Kept(
                            name,
                            Files.getLastModifiedTime(file).toInstant(),
                            Files.size(file),
                            name.startsWith("dusk-night")));
                }
            }
        } catch (IOException e) {
            LOG.warn("the back-ups could not be listed: {}", e.getMessage());
        }
        all.sort(Comparator.comparing(Kept::at).reversed());
        return all;
    }

    /** What went wrong with the last, where it did. */
    String fault() {
        return fault;
    }

    int nights() {
        return nights;
    }

    Path folder() {
        return folder;
    }

    /** How long ago the newest was made. */
    Optional<Duration> age() {
        return all().stream().findFirst().map(kept -> Duration.between(kept.at(), clock.instant()));
    }
}
