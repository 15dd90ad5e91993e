package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.CLUBS;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.Supplier;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationInfoService;
import org.flywaydb.core.api.MigrationState;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.SQLDialect;
import org.jooq.exception.DataAccessException;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * One SQLite file. One connection writes, several read; a write is on the disk before it is confirmed (WAL, synchronous FULL).
 */
public final class Store implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Store.class);
    private static final int READERS = 4;

    private final StoreFile file;
    private final HikariDataSource writer;
    private final HikariDataSource readers;
    private final DSLContext write;
    private final DSLContext read;
    private final ThreadLocal<@Nullable DSLContext> writing = new ThreadLocal<>();
    private final ThreadLocal<@Nullable Snapshot> reading = new ThreadLocal<>();

    /** The store as it was at one moment; what rises with writes stands still in it and is read once. */
    private record Snapshot(DSLContext tx, Map<List<Object>, Long> versions) {}

    private Store(StoreFile file, HikariDataSource writer, HikariDataSource readers) {
        this.file = file;
        this.writer = writer;
        this.readers = readers;
        write = DSL.using(writer, SQLDialect.SQLITE);
        read = DSL.using(readers, SQLDialect.SQLITE);
    }

    /**
     * Opens the file, makes it and its folder where they are not there, and brings its tables up to date.
     *
     * @throws StoreFault where it is not ours, of a newer application, damaged, or cannot be written
     */
    public static Store open(Path file) {
        StoreFile there = StoreFile.at(file);
        // IMMEDIATE, since a transaction that reads before it writes is otherwise refused at once when another writes
        String url = "jdbc:sqlite:" + file
                + "?journal_mode=WAL&foreign_keys=on&busy_timeout=5000&synchronous=FULL&transaction_mode=IMMEDIATE";
        HikariDataSource writer = pool("writer", url, 1, false);
        try {
            bringUpToDate(file, Flyway.configure().dataSource(writer).load());
            return new Store(there, writer, pool("readers", url.replace("IMMEDIATE", "DEFERRED"), READERS, true));
        } catch (RuntimeException e) {
            writer.close();
            throw e;
        }
    }

    private static void bringUpToDate(Path file, Flyway flyway) {
        for (MigrationInfo migration : flyway.info().all()) {
            if (migration.getState() == MigrationState.FUTURE_SUCCESS
                    || migration.getState() == MigrationState.FUTURE_FAILED) {
                throw new StoreFault(file.toAbsolutePath() + " was made by a newer Dusk Ledger ("
                        + migration.getScript() + "). Start that one; this one leaves the file as it is.");
            }
        }
        boolean older = flyway.info().current() != null && flyway.info().pending().length > 0;
        if (older) {
            keepAsItWas(file, flyway.info());
        }
        flyway.migrate();
    }

    /** A store of an older application is copied before it is brought up to date: what cannot be undone is not done blindly. */
    private static void keepAsItWas(Path file, MigrationInfoService info) {
        String version = String.valueOf(Objects.requireNonNull(info.current()).getVersion());
        Path kept = file.toAbsolutePath().resolveSibling(file.getFileName() + ".as-of-version-" + version);
        if (Files.exists(kept)) {
            return;
        }
        BackUp.make(file, kept);
        LOG.info(
                "the store is of version {} and is brought up to date; as it was it is kept as {}",
                version,
                kept.getFileName());
    }

    private static HikariDataSource pool(String name, String url, int size, boolean readOnly) {
        HikariConfig config = new HikariConfig();
        config.setPoolName(name);
        config.setJdbcUrl(url);
        config.setMaximumPoolSize(size);
        if (readOnly) {
            config.setConnectionInitSql("pragma query_only = on");
        }
        return new HikariDataSource(config);
    }

    /**
     * For reading only. Within a write of this thread it reads what the write sees, after the lock: what an act rests
     * on cannot change under it.
     */
    public DSLContext read() {
        DSLContext within = writing.get();
        Snapshot snapshot = reading.get();
        return within != null ? within : snapshot != null ? snapshot.tx() : read;
    }

    /** Whether this thread is within a write. */
    boolean writing() {
        return writing.get() != null;
    }

    /**
     * Reads several things as they were at one moment, whatever is written meanwhile. A snapshot within a snapshot or
     * a write is part of it.
     */
    public <T> T snapshot(Supplier<T> reads) {
        if (writing.get() != null || reading.get() != null) {
            return reads.get();
        }
        return read.transactionResult(tx -> {
            reading.set(new Snapshot(tx.dsl(), new HashMap<>()));
            try {
                return reads.get();
            } finally {
                reading.remove();
            }
        });
    }

    /** Runs a write to a club's records in one transaction and raises the club's version; all of it is stored or nothing. */
    public <T> T write(String clubId, Function<DSLContext, T> change) {
        return writeApart(tx -> {
            T result = change.apply(tx);
            raise(tx, clubId, CLUBS.VERSION);
            raise(tx, clubId, CLUBS.SETTLED);
            return result;
        });
    }

    /**
     * Runs a write of a trip that is being fished: the version rises, the settled version does not, since what was
     * learnt from ended trips stays as it was.
     */
    <T> T writeAfloat(String clubId, Function<DSLContext, T> change) {
        return writeApart(tx -> {
            T result = change.apply(tx);
            raise(tx, clubId, CLUBS.VERSION);
            return result;
        });
    }

    private static void raise(DSLContext tx, String clubId, Field<Long> version) {
        tx.update(CLUBS)
                .set(version, version.plus(1))
                .where(CLUBS.CLUB_ID.eq(clubId))
                .execute();
    }

    /**
     * Runs a write that changes no club's records, such as to an account, in one transaction. A write within a write is part of it.
     *
     * @throws StoreFault where the disk or the file does not take it; nothing is stored then
     */
    public <T> T writeApart(Function<DSLContext, T> change) {
        DSLContext within = writing.get();
        if (within != null) {
            return change.apply(within);
        }
        if (reading.get() != null) {
            throw new IllegalStateException("what is read as it was at one moment writes nothing");
        }
        try {
            return write.transactionResult(tx -> {
                writing.set(tx.dsl());
                try {
                    T result = change.apply(tx.dsl());
                    file.there();
                    return result;
                } finally {
                    writing.remove();
                }
            });
        } catch (DataAccessException e) {
            throw StoreFault.of(e);
        }
    }

    /**
     * Counts anew what the tables hold, by which the database chooses how to search them: after much came in at once. What
     * it costs is bounded, and it is part of no club's records.
     */
    void gatherStatistics() {
        if (writing.get() == null) {
            write.execute("pragma analysis_limit = 4000");
            write.execute("analyze");
        }
    }

    /** What a store that is used for long needs now and then: statistics where they have grown old, no more notes than are read. */
    public void tend() {
        write.execute("pragma optimize");
        write.transaction(tx -> Written.trim(tx.dsl()));
    }

    /**
     * Tries whether the store answers and would take a write; nothing is written.
     *
     * @throws StoreFault where it does not
     */
    public void tryOut() {
        writeApart(tx -> tx.update(CLUBS)
                .set(CLUBS.VERSION, CLUBS.VERSION)
                .where(CLUBS.CLUB_ID.eq("none"))
                .execute());
    }

    /** Rises with every write to the club's records. */
    public long version(String clubId) {
        return version(clubId, CLUBS.VERSION);
    }

    /** Rises with every write to the club's records but those of a trip while it is fished: for what is learnt from ended trips. */
    public long settled(String clubId) {
        return version(clubId, CLUBS.SETTLED);
    }

    private long version(String clubId, Field<Long> which) {
        Snapshot snapshot = reading.get();
        return snapshot == null
                ? readVersion(clubId, which)
                : snapshot.versions().computeIfAbsent(List.of(clubId, which), key -> readVersion(clubId, which));
    }

    private long readVersion(String clubId, Field<Long> which) {
        Long version =
                read().select(which).from(CLUBS).where(CLUBS.CLUB_ID.eq(clubId)).fetchOne(which);
        return version == null ? 0 : version;
    }

    @Override
    public void close() {
        readers.close();
        writer.close();
    }
}
