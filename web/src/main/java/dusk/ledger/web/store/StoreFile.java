package dusk.ledger.web.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The file behind a store: made so that only its owner reads it, looked at before it is opened, and watched while it is. */
final class StoreFile {
    private static final byte[] SQLITE = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);
    private static final Set<PosixFilePermission> OWNER = PosixFilePermissions.fromString("rw-------");

    private final Path file;
    private final @Nullable Object key;

    private StoreFile(Path file) throws IOException {
        this.file = file;
        key = keyOf(file);
    }

    private static @Nullable Object keyOf(Path file) throws IOException {
        return Files.readAttributes(file, BasicFileAttributes.class).fileKey();
    }

    /**
     * The file, made empty where it is not there.
     *
     * @throws StoreFault where it cannot be a store of ours, or cannot be written
     */
    static StoreFile at(Path file) {
        Path whole = file.toAbsolutePath();
        if (Files.isDirectory(whole)) {
            throw new StoreFault(whole + " is a folder. Name a file in it with --store.");
        }
        try {
            Files.createDirectories(Objects.requireNonNull(whole.getParent()));
            make(whole);
            if (!Files.isReadable(whole) || !Files.isWritable(whole)) {
                throw new StoreFault(whole
                        + " may not be read and written by this user. Let them, or name another file with --store.");
            }
            look(whole);
            return new StoreFile(whole);
        } catch (IOException e) {
            throw new StoreFault(
                    whole + " cannot be made or read (" + e.getMessage()
                            + "). Make room for it, or name another file with --store.",
                    e);
        }
    }

    private static void make(Path file) throws IOException {
        boolean posix = FileSystems.getDefault().supportedFileAttributeViews().contains("posix");
        try {
            if (posix) {
                Files.createFile(file, PosixFilePermissions.asFileAttribute(OWNER));
            } else {
                Files.createFile(file);
            }
        } catch (FileAlreadyExistsException e) {
            if (posix
                    && Files.isWritable(file)
                    && Files.getOwner(file).getName().equals(System.getProperty("user.name"))) {
                Files.setPosixFilePermissions(file, OWNER);
            }
        }
    }

    /**
     * Looks at a file that is not opened as a store.
     *
     * @throws StoreFault where it is not ours, or damaged
     */
    static void lookAt(Path file) {
        try {
            if (Files.size(file) == 0) {
                throw foreign(file);
            }
            look(file);
        } catch (IOException e) {
            throw new StoreFault(file + " cannot be read (" + e.getMessage() + ").", e);
        }
    }

    private static void look(Path file) throws IOException {
        if (Files.size(file) == 0) {
            return;
        }
        try (InputStream in = Files.newInputStream(file)) {
            if (!Arrays.equals(in.readNBytes(SQLITE.length), SQLITE)) {
                throw foreign(file);
            }
        }
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file + "?busy_timeout=5000");
                Statement statement = connection.createStatement()) {
            if (count(statement, "select count(*) from sqlite_master where type = 'table'") > 0
                    && count(statement, "select count(*) from sqlite_master where name = 'flyway_schema_history'")
                            == 0) {
                throw foreign(file);
            }
            try (ResultSet row = statement.executeQuery("pragma quick_check(1)")) {
                if (!row.next() || !row.getString(1).equals("ok")) {
                    throw damaged(file, null);
                }
            }
        } catch (SQLException e) {
            throw damaged(file, e);
        }
    }

    private static int count(Statement statement, String query) throws SQLException {
        try (ResultSet row = statement.executeQuery(query)) {
            return row.getInt(1);
        }
    }

    private static StoreFault foreign(Path file) {
        return new StoreFault(
                file + " is not a store of Dusk Ledger. Name another file with --store; this one was left as it is.");
    }

    private static StoreFault damaged(Path file, @Nullable SQLException e) {
        return new StoreFault(
                file
                        + " is damaged. Put a back-up in its place, or read out what can be read with SQLite's own .recover;"
                        + " it was left as it is.",
                e);
    }

    /**
     * Whether what is written will be on the disk under the store's name.
     *
     * @throws StoreFault where the file was taken away or another one put in its place
     */
    void there() {
        try {
            if (Objects.equals(key, keyOf(file))) {
                return;
            }
        } catch (IOException e) {
            // gone, which is said below
        }
        throw new StoreFault("The store's file " + file
                + " was taken away or replaced, so nothing is stored any more."
                + " Stop the server, put the file back, start it again.");
    }

    /**
     * Takes a store away for a new one.
     *
     * @throws StoreFault where a running server holds it
     */
    static void forget(Path file) {
        if (!Files.isRegularFile(file)) {
            return;
        }
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file + "?busy_timeout=0");
                Statement statement = connection.createStatement()) {
            // nobody else has it open then, not even for reading
            statement.execute("pragma locking_mode = exclusive");
            statement.execute("begin exclusive");
            statement.execute("rollback");
        } catch (SQLException e) {
            throw new StoreFault(
                    file.toAbsolutePath()
                            + " is in use by a running server, so it is not made anew. Stop that one first.",
                    e);
        }
        try {
            for (String end : new String[] {"", "-wal", "-shm"}) {
                Files.deleteIfExists(Path.of(file + end));
            }
        } catch (IOException e) {
            throw new StoreFault(file.toAbsolutePath() + " cannot be taken away (" + e.getMessage() + ").", e);
        }
    }
}
