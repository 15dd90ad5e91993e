package dusk.ledger.web.store;

import static dusk.ledger.web.schema.Tables.CLUBS;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What may have happened to a store's file: each is said in one sentence, and the file is left as it is. */
class StoreFileTest {
    @TempDir
    Path folder;

    private Path file;

    @BeforeEach
    void file() {
        file = folder.resolve("club.db");
    }

    private Store filled() {
        Store store = Store.open(file);
        new Clubs(store, new LedgerRows(store)).found(new Clubs.Club("c1", "One"));
        return store;
    }

    private void refusedAndLeft(String sentence) throws Exception {
        byte[] before = Files.readAllBytes(file);
        assertThatThrownBy(() -> Store.open(file).close())
                .isInstanceOf(StoreFault.class)
                .hasMessage(sentence);
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
    }

    private void sql(String text) throws Exception {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
                Statement statement = connection.createStatement()) {
            statement.execute(text);
        }
    }

    @Test
    void onlyItsOwnerReadsIt() throws Exception {
        assumeThat(FileSystems.getDefault().supportedFileAttributeViews()).contains("posix");
        try (Store store = filled()) {
            for (String end : new String[] {"", "-wal", "-shm"}) {
                assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(Path.of(file + end))))
                        .as("the store's file" + end)
                        .isEqualTo("rw-------");
            }
            assertThat(store.version("c1")).isZero();
        }
    }

    @Test
    void oneThatOthersCouldReadIsClosedToThem() throws Exception {
        assumeThat(FileSystems.getDefault().supportedFileAttributeViews()).contains("posix");
        filled().close();
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-r--r--"));
        reopened().close();
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-------");
    }

    private Store reopened() {
        return Store.open(file);
    }

    @Test
    void anotherKindOfFileIsNoStore() throws Exception {
        Files.writeString(file, "Dear diary, two pike today.");
        refusedAndLeft(
                file + " is not a store of Dusk Ledger. Name another file with --store; this one was left as it is.");
    }

    @Test
    void anotherProgramsDatabaseIsNoStore() throws Exception {
        sql("create table songs (name text)");
        refusedAndLeft(
                file + " is not a store of Dusk Ledger. Name another file with --store; this one was left as it is.");
    }

    @Test
    void aFolderIsNoStore() throws Exception {
        Files.createDirectory(file);
        assertThatThrownBy(() -> Store.open(file))
                .isInstanceOf(StoreFault.class)
                .hasMessage(file + " is a folder. Name a file in it with --store.");
    }

    @Test
    void aStoreOfANewerApplicationIsLeftToIt() throws Exception {
        filled().close();
        sql("insert into flyway_schema_history (installed_rank, version, description, type, script, checksum,"
                + " installed_by, installed_on, execution_time, success)"
                + " values (99, '99', 'moon', 'SQL', 'V99__moon.sql', 1, 'x', '2030-01-01 00:00:00.000', 1, 1)");
        refusedAndLeft(
                file
                        + " was made by a newer Dusk Ledger (V99__moon.sql). Start that one; this one leaves the file as it is.");
    }

    @Test
    void aDamagedStoreIsSaidToBeSo() throws Exception {
        filled().close();
        byte[] bytes = Files.readAllBytes(file);
        Random random = new Random(7);
        for (int i = 4096; i < bytes.length; i++) {
            bytes[i] = (byte) random.nextInt();
        }
        Files.write(file, bytes);
        refusedAndLeft(file
                + " is damaged. Put a back-up in its place, or read out what can be read with SQLite's own .recover;"
                + " it was left as it is.");
    }

    @Test
    void aStoreCutShortIsSaidToBeSo() throws Exception {
        filled().close();
        byte[] bytes = Files.readAllBytes(file);
        Files.write(file, Arrays.copyOf(bytes, bytes.length / 2));
        assertThatThrownBy(() -> Store.open(file).close())
                .isInstanceOf(StoreFault.class)
                .hasMessageContaining("is damaged. Put a back-up in its place");
    }

    /** A file that was unlinked takes writes as before, and loses them when the server ends: none is acknowledged. */
    @Test
    void nothingIsStoredInAFileThatWasTakenAway() throws Exception {
        try (Store store = filled()) {
            Files.delete(file);
            taken(store);
        }
    }

    @Test
    void norWhereAnotherFileWasPutInItsPlace() throws Exception {
        Path copy = folder.resolve("copy.db");
        try (Store store = filled()) {
            Files.copy(file, copy);
            Files.move(copy, file, StandardCopyOption.REPLACE_EXISTING);
            taken(store);
        }
    }

    private void taken(Store store) {
        String name = store.read().select(CLUBS.NAME).from(CLUBS).fetchSingle(CLUBS.NAME);
        assertThatThrownBy(() -> store.write(
                        "c1", tx -> tx.update(CLUBS).set(CLUBS.NAME, "Lost").execute()))
                .isInstanceOf(StoreFault.class)
                .hasMessage("The store's file " + file + " was taken away or replaced, so nothing is stored any more."
                        + " Stop the server, put the file back, start it again.");
        assertThat(store.read().select(CLUBS.NAME).from(CLUBS).fetchSingle(CLUBS.NAME))
                .isEqualTo(name);
    }

    @Test
    void aStoreInUseIsNotMadeAnew() {
        try (Store store = filled()) {
            assertThatThrownBy(() -> StoreFile.forget(file))
                    .isInstanceOf(StoreFault.class)
                    .hasMessage(file + " is in use by a running server, so it is not made anew. Stop that one first.");
            assertThat(store.read().fetchCount(CLUBS)).isEqualTo(1);
        }
        StoreFile.forget(file);
        assertThat(file).doesNotExist();
        StoreFile.forget(file);
    }

    private void unstored(Store store, String limit, String lift, String sentence) {
        String blob =
                "insert into anglers (club_id, angler_id, name) values ('c1', hex(randomblob(16)), hex(zeroblob(20000)))";
        store.writeApart(tx -> tx.execute(limit));
        int before = store.read().fetchCount(org.jooq.impl.DSL.table("anglers"));
        assertThatThrownBy(() -> store.write("c1", tx -> {
                    for (int i = 0; i < 100; i++) {
                        tx.execute(blob);
                    }
                    return 100;
                }))
                .isInstanceOf(StoreFault.class)
                .hasMessage(sentence);
        assertThat(store.read().fetchCount(org.jooq.impl.DSL.table("anglers")))
                .as("nothing of it")
                .isEqualTo(before);
        store.writeApart(tx -> tx.execute(lift));
        store.write("c1", tx -> tx.execute(blob));
        assertThat(store.read().fetchCount(org.jooq.impl.DSL.table("anglers"))).isEqualTo(before + 1);
    }

    @Test
    void aFullDiskIsSaidAndTheStoreGoesOnOnceThereIsRoom() {
        try (Store store = filled()) {
            unstored(
                    store,
                    "pragma max_page_count = 130",
                    "pragma max_page_count = 100000",
                    "The disk is full, so nothing of it was stored. Make room, then send it again.");
        }
    }

    @Test
    void aStoreThatMayOnlyBeReadIsSaidAtAWrite() {
        try (Store store = filled()) {
            assertThatThrownBy(() -> store.write("c1", tx -> {
                        tx.execute("pragma query_only = on");
                        try {
                            return tx.execute("insert into anglers (club_id, angler_id) values ('c1', 'a')");
                        } finally {
                            tx.execute("pragma query_only = off");
                        }
                    }))
                    .isInstanceOf(StoreFault.class)
                    .hasMessage("The store's file may only be read, so nothing of it was stored."
                            + " Let the server write it, then send it again.");
        }
    }
}
