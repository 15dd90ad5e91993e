package dusk.ledger.web.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Trip;
import dusk.ledger.web.TestClub;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Copies of a store while it is written, what is done with damaged and newer ones, and the way back. */
class BackUpTest {
    @TempDir
    Path folder;

    private TestClub club;
    private Path store;

    @BeforeEach
    void open() {
        club = new TestClub(folder);
        store = folder.resolve("club.db");
        club.store(LedgerFormat.TRIPS, List.of(new Trip("t", "lake", TestClub.START, null, null)));
    }

    @AfterEach
    void close() {
        club.close();
    }

    private Ledger in(Path file) {
        try (Store opened = Store.open(file)) {
            return new LedgerRows(opened).ledger(Viewer.club(club.officer.clubId()));
        }
    }

    private void sql(Path file, String text) throws Exception {
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
                Statement statement = connection.createStatement()) {
            statement.execute(text);
        }
    }

    private void touch(int number) {
        // one act, one row: the version counts them
        club.get(Store.class).write(club.officer.clubId(), tx -> {
            club.get(LedgerRows.class)
                    .insert(
                            tx,
                            club.officer.clubId(),
                            LedgerFormat.SIGNS,
                            new Sign("sign" + number, "t", null, TestClub.START, "birds", null));
            return number;
        });
    }

    @Test
    void oneTakenDuringFortyTouchesASecondRestoresToAStateThatWas() throws Exception {
        long begun = club.get(Store.class).version(club.officer.clubId());
        AtomicBoolean stop = new AtomicBoolean();
        AtomicInteger written = new AtomicInteger();
        Thread hands = new Thread(() -> {
            while (!stop.get()) {
                touch(written.incrementAndGet());
                try {
                    Thread.sleep(20);
                } catch (InterruptedException e) {
                    return;
                }
            }
        });
        hands.start();
        List<Path> copies = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            int before = written.get();
            copies.add(BackUp.make(store, folder.resolve("copy" + i + ".db")).file());
            while (written.get() < before + 3) {
                Thread.sleep(5);
            }
        }
        stop.set(true);
        hands.join();
        int last = -1;
        for (Path copy : copies) {
            Path restored = folder.resolve("restored-" + copy.getFileName());
            BackUp.restore(copy, restored);
            int signs = in(restored).signs().size();
            try (Store opened = Store.open(restored)) {
                assertThat(opened.version(club.officer.clubId()) - begun).isEqualTo(signs);
            }
            assertThat(signs).isBetween(last, written.get());
            last = signs;
        }
        assertThat(last).isPositive();
        assertThat(in(store).signs()).hasSize(written.get());
    }

    @Test
    void nothingIsEverWrittenOver() throws Exception {
        Path there = Files.writeString(folder.resolve("there.db"), "mine");
        assertThatThrownBy(() -> BackUp.make(store, there))
                .isInstanceOf(StoreFault.class)
                .hasMessage(
                        there + " is there already, and no back-up is written over anything. Name a file that is not.");
        BackUp.make(store, folder.resolve("copy.db"));
        assertThatThrownBy(() -> BackUp.restore(folder.resolve("copy.db"), store))
                .hasMessageContaining("no store is written over anything");
        Path moved = folder.resolve("moved.db");
        Files.writeString(Path.of(moved + "-wal"), "left");
        assertThatThrownBy(() -> BackUp.restore(folder.resolve("copy.db"), moved))
                .hasMessageContaining("belongs to a store that was moved away or is open");
        assertThat(Files.readString(there)).isEqualTo("mine");
        assertThat(moved).doesNotExist();
    }

    @Test
    void aCopyThatAnotherIsMakingIsLeftToIt() throws Exception {
        Path others = Files.writeString(folder.resolve("copy.db.being-written"), "half of it");
        assertThatThrownBy(() -> BackUp.make(store, folder.resolve("copy.db")))
                .isInstanceOf(StoreFault.class)
                .hasMessageContaining("another back-up is being made");
        assertThat(others).hasContent("half of it");
    }

    @Test
    void onlyItsOwnerReadsIt() throws Exception {
        Path copy = BackUp.make(store, folder.resolve("copy.db")).file();
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(copy)))
                .isEqualTo("rw-------");
        try (var left = Files.list(folder)) {
            assertThat(left.map(p -> p.getFileName().toString())).noneMatch(n -> n.contains("being-written"));
        }
    }

    @Test
    void whatIsNoBackUpIsNotRestored() throws Exception {
        Path to = folder.resolve("new.db");
        assertThatThrownBy(() -> BackUp.restore(folder.resolve("none.db"), to)).hasMessageContaining("is not there");
        Path letter = Files.writeString(folder.resolve("letter.db"), "Dear diary");
        assertThatThrownBy(() -> BackUp.restore(letter, to)).hasMessageContaining("is not a store of Dusk Ledger");
        Path empty = Files.createFile(folder.resolve("empty.db"));
        assertThatThrownBy(() -> BackUp.restore(empty, to)).hasMessageContaining("is not a store of Dusk Ledger");
        Path copy = BackUp.make(store, folder.resolve("copy.db")).file();
        byte[] bytes = Files.readAllBytes(copy);
        Random random = new Random(3);
        for (int at = 8192; at < bytes.length; at += 7) {
            bytes[at] = (byte) random.nextInt();
        }
        Files.write(copy, bytes);
        assertThatThrownBy(() -> BackUp.restore(copy, to))
                .isInstanceOf(StoreFault.class)
                .hasMessageContaining("damaged");
        assertThat(to).doesNotExist();
    }

    @Test
    void aDamagedStoreMakesNoBackUp() throws Exception {
        Path broken = folder.resolve("broken.db");
        BackUp.make(store, broken);
        sql(broken, "pragma writable_schema = on");
        sql(broken, "pragma foreign_keys = off");
        sql(broken, "delete from waters where water_id = 'lake'");
        assertThatThrownBy(() -> BackUp.make(broken, folder.resolve("copy.db")))
                .isInstanceOf(StoreFault.class)
                .hasMessageContaining("not whole (a row points to none)");
        assertThat(folder.resolve("copy.db")).doesNotExist();
    }

    @Test
    void aStoreOfAnOlderApplicationIsKeptAsItWasBeforeItIsBroughtUpToDate() throws Exception {
        Path older = folder.resolve("older.db");
        BackUp.make(store, older);
        sql(older, "delete from flyway_schema_history where version = '12'");
        for (String table : List.of("links", "devices", "changes", "sharing", "words")) {
            sql(older, "drop table " + table);
        }
        for (String column : List.of("most_mm", "gear", "bait", "prey")) {
            sql(older, "alter table rules drop column " + column);
        }
        sql(older, "alter table waters drop column outline");
        sql(older, "alter table people drop column left_at");
        sql(
                older,
                "create table invitations (digest text not null primary key, club_id text not null, role text not null, ends_at text not null) strict");
        byte[] was = Files.readAllBytes(older);
        assertThat(in(older).trips()).extracting(Trip::id).containsExactly("t");
        Path kept = folder.resolve("older.db.as-of-version-11");
        assertThat(kept).exists();
        assertThat(Files.size(kept)).isEqualTo(was.length);
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + kept);
                Statement statement = connection.createStatement();
                var row = statement.executeQuery("select max(cast(version as integer)) from flyway_schema_history")) {
            assertThat(row.getInt(1)).isEqualTo(11);
        }
    }
}
