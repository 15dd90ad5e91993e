package dusk.ledger.web.store;

import java.io.IOException;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Objects;

/**
 * Copies of a store: made by SQLite's own online back-up, so that one taken while others write is as the store was at one
 * moment; looked through whole before it counts; put under its name only then.
 */
public final class BackUp {
    private BackUp() {}

    /**
     * What a copy holds.
     *
     * @param bytes its size
     */
    public record Made(Path file, long bytes, long clubs, long trips, long stints) {}

    /**
     * Copies a store that is there, running or not.
     *
     * @param to where nothing is yet
     * @throws StoreFault where it cannot be read, written, or is not whole
     */
    public static Made make(Path store, Path to) {
        Path source = store.toAbsolutePath();
        if (!Files.isRegularFile(source)) {
            throw new StoreFault(source + " is not there. Name the store's file with --store.");
        }
        return copy(source, to.toAbsolutePath(), "back-up");
    }

    /**
     * Makes a store of a back-up.
     *
     * @param to the new store; never one that is there
     * @throws StoreFault where the back-up is none or not whole, or something is there already
     */
    public static Made restore(Path backUp, Path to) {
        Path source = backUp.toAbsolutePath();
        if (!Files.isRegularFile(source)) {
            throw new StoreFault(source + " is not there. Name a back-up's file.");
        }
        StoreFile.lookAt(source);
        free(to.toAbsolutePath(), "store");
        for (String end : new String[] {"-wal", "-shm", "-journal"}) {
            if (Files.exists(Path.of(to.toAbsolutePath() + end))) {
                throw new StoreFault(to.toAbsolutePath() + end
                        + " is there: it belongs to a store that was moved away or is open. Name another file.");
            }
        }
        return copy(source, to.toAbsolutePath(), "store");
    }

    private static Made copy(Path source, Path to, String what) {
        free(to, what);
        Path passing = Path.of(to + ".being-written");
        begin(passing);
        try {
            copyPages(source, passing);
            Made made = looked(passing, to);
            move(passing, to);
            return made;
        } catch (IOException e) {
            throw new StoreFault(
                    to + " cannot be written (" + e.getMessage() + "). Make room, or name another file.", e);
        } finally {
            forget(passing);
        }
    }

    /** Makes the file that becomes the copy; one that is there is another's, and stays. */
    private static void begin(Path passing) {
        try {
            Files.createDirectories(Objects.requireNonNull(passing.getParent()));
            make(passing);
        } catch (IOException e) {
            throw new StoreFault(
                    passing + " cannot be written (" + e.getMessage() + "). Make room, or name another file.", e);
        }
    }

    private static void free(Path to, String what) {
        if (Files.exists(to)) {
            throw new StoreFault(
                    to + " is there already, and no " + what + " is written over anything. Name a file that is not.");
        }
    }

    private static void make(Path file) throws IOException {
        try {
            if (FileSystems.getDefault().supportedFileAttributeViews().contains("posix")) {
                Files.createFile(
                        file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
            } else {
                Files.createFile(file);
            }
        } catch (FileAlreadyExistsException e) {
            throw new StoreFault(
                    file + " is there: another back-up is being made, or one was cut off. Take it away if none is.", e);
        }
    }

    private static void copyPages(Path source, Path to) {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + source + "?busy_timeout=20000");
                Statement statement = connection.createStatement()) {
            statement.executeUpdate("backup to '" + to.toString().replace("'", "''") + "'");
        } catch (SQLException e) {
            throw new StoreFault(
                    source + " cannot be copied to " + to + " (" + e.getMessage()
                            + "). See whether the disk is full and the store is whole.",
                    e);
        }
    }

    /** Every page, every index and every reference of it. */
    private static Made looked(Path copy, Path name) {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + copy);
                Statement statement = connection.createStatement()) {
            String found = text(statement, "pragma integrity_check(1)");
            boolean loose;
            try (ResultSet row = statement.executeQuery("pragma foreign_key_check")) {
                loose = row.next();
            }
            if (!found.equals("ok") || loose) {
                throw new StoreFault("The copy is not whole (" + (loose ? "a row points to none" : found)
                        + "), so it was not kept: the store itself is damaged. Keep the back-ups there are.");
            }
            return new Made(
                    name,
                    Files.size(copy),
                    count(statement, "clubs"),
                    count(statement, "trips"),
                    count(statement, "stints"));
        } catch (SQLException | IOException e) {
            throw new StoreFault("The copy cannot be read (" + e.getMessage() + "), so it was not kept.", e);
        }
    }

    private static String text(Statement statement, String query) throws SQLException {
        try (ResultSet row = statement.executeQuery(query)) {
            return row.next() ? String.valueOf(row.getString(1)) : "nothing";
        }
    }

    private static long count(Statement statement, String table) throws SQLException {
        try (ResultSet row = statement.executeQuery("select count(*) from " + table)) {
            return row.getLong(1);
        }
    }

    private static void move(Path from, Path to) throws IOException {
        try {
            Files.move(from, to, StandardCopyOption.ATOMIC_MOVE);
        } catch (AtomicMoveNotSupportedException e) {
            Files.move(from, to);
        }
    }

    private static void forget(Path passing) {
        for (String end : new String[] {"", "-journal", "-wal", "-shm"}) {
            try {
                Files.deleteIfExists(Path.of(passing + end));
            } catch (IOException e) {
                // a leftover that the next one names
            }
        }
    }
}
