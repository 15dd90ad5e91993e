package dusk.ledger.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.interchange.PackageReader;
import dusk.ledger.interchange.PackageWriter;
import dusk.ledger.journal.Ledger;
import dusk.ledger.web.records.Invitations;
import dusk.ledger.web.records.Secrets;
import dusk.ledger.web.store.NewId;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.io.BufferedReader;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Packages into a store and out of it again. */
class ExchangeTest {
    @TempDir
    Path folder;

    private final StringWriter out = new StringWriter();

    private String run(int code, String... args) {
        StringWriter err = new StringWriter();
        assertThat(ExchangeCommands.run(new PrintWriter(out), new PrintWriter(err), args))
                .as(err.toString())
                .isEqualTo(code);
        return err.toString();
    }

    private String store(String name) {
        return folder.resolve(name).toString();
    }

    @Test
    void whatIsLoadedIsExportedRowForRow() throws Exception {
        Ledger ledger = DemoClub.ledger(5);
        PackageWriter.write(ledger, "made up", folder.resolve("in"));
        run(0, "load", store("in"), "--store", store("a.db"), "--club", "First");
        run(0, "export", store("out.zip"), "--store", store("a.db"));
        run(0, "load", store("out.zip"), "--store", store("b.db"));
        run(0, "export", store("again"), "--store", store("b.db"));
        Ledger first = PackageReader.read(folder.resolve("out.zip")).ledger();
        assertThat(first.stints()).containsExactlyInAnyOrderElementsOf(ledger.stints());
        assertThat(first.setUps()).containsExactlyInAnyOrderElementsOf(ledger.setUps());
        assertThat(first.readings()).containsExactlyInAnyOrderElementsOf(ledger.readings());
        assertThat(first.catches()).containsExactlyInAnyOrderElementsOf(ledger.catches());
        assertThat(PackageReader.read(folder.resolve("again")).ledger()).isEqualTo(first);
    }

    @ParameterizedTest
    @ValueSource(strings = {"pkg-a", "pkg-b", "pkg-c"})
    void aPackageOfAnotherMakerComesOutAsItWentIn(String name) throws Exception {
        Path there = Path.of(Objects.requireNonNull(getClass().getResource("/vectors/" + name))
                .toURI());
        run(0, "load", there.toString(), "--store", store("c.db"));
        run(0, "export", store("out"), "--store", store("c.db"));
        assertThat(PackageReader.read(folder.resolve("out")).ledger())
                .isEqualTo(PackageReader.read(there).ledger());
    }

    @Test
    void loadingTwiceChangesNothing() throws Exception {
        PackageWriter.write(DemoClub.ledger(5), "made up", folder.resolve("in"));
        run(0, "load", store("in"), "--store", store("a.db"));
        run(0, "export", store("before"), "--store", store("a.db"));
        run(0, "load", store("in"), "--store", store("a.db"));
        run(0, "export", store("after"), "--store", store("a.db"));
        assertThat(PackageReader.read(folder.resolve("after")).ledger())
                .isEqualTo(PackageReader.read(folder.resolve("before")).ledger());
    }

    /** Killed without warning at some row of it: nothing of it is stored, or all, and it goes in again whole. */
    @Test
    void aLoadThatIsKilledHasStoredNothingOrAll() throws Exception {
        Ledger ledger = DemoClub.ledger(5);
        PackageWriter.write(ledger, "made up", folder.resolve("in"));
        PackageWriter.write(Ledger.empty(), "nobody", folder.resolve("none"));
        run(0, "load", store("none"), "--store", store("k.db"), "--club", "First");
        for (int tenth : new int[] {1, 4, 8}) {
            Process loading = apart(List.of(), "load", store("in"), "--store", store("k.db"))
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
            try (BufferedReader heard = loading.inputReader()) {
                int said = 0;
                for (String line = heard.readLine(); line != null; line = heard.readLine()) {
                    said += line.startsWith("Stored") ? 1 : 0;
                    if (said > tenth) {
                        loading.destroyForcibly();
                        break;
                    }
                }
            }
            loading.waitFor();
            run(0, "export", store("out" + tenth), "--store", store("k.db"));
            Ledger there = PackageReader.read(folder.resolve("out" + tenth)).ledger();
            // one that was killed late may have been done, and then it is there whole
            assertThat(there.stints().size())
                    .isIn(tenth > 4 ? List.of(0, ledger.stints().size()) : List.of(0));
            assertThat(there.catches().size())
                    .isEqualTo(there.stints().isEmpty() ? 0 : ledger.catches().size());
        }
        run(0, "load", store("in"), "--store", store("k.db"));
        run(0, "export", store("whole"), "--store", store("k.db"));
        assertThat(PackageReader.read(folder.resolve("whole")).ledger().stints())
                .hasSameSizeAs(ledger.stints());
    }

    /** A command in a process of its own. @param under what limits it */
    private static ProcessBuilder apart(List<String> under, String... arguments) {
        List<String> command = new ArrayList<>(under);
        command.addAll(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-XX:-UsePerfData",
                "-cp",
                System.getProperty("java.class.path"),
                ExchangeCommands.class.getName()));
        command.addAll(List.of(arguments));
        return new ProcessBuilder(command);
    }

    /** A limit on the size of its files stands for a disk that is full in the middle of it. */
    @Test
    void aLoadOntoAFullDiskSaysSoAndStoresNothing() throws Exception {
        PackageWriter.write(DemoClub.ledger(5), "made up", folder.resolve("in"));
        PackageWriter.write(Ledger.empty(), "nobody", folder.resolve("none"));
        run(0, "load", store("none"), "--store", store("f.db"), "--club", "First");
        assertFull("load", store("in"), "--store", store("f.db"));
        run(0, "export", store("out"), "--store", store("f.db"));
        assertThat(PackageReader.read(folder.resolve("out")).ledger().trips()).isEmpty();
        run(0, "load", store("in"), "--store", store("f.db"));
        // a club is founded with what it is founded for, or not at all
        assertFull("bring", store("in"), "--into", store("g.db"));
        assertThat(run(2, "export", store("none"), "--store", store("g.db"))).contains("the store is empty");
    }

    private void assertFull(String... arguments) throws Exception {
        Path said = folder.resolve("said");
        Process full = apart(List.of("bash", "-c", "ulimit -f 1500; exec \"$0\" \"$@\""), arguments)
                .redirectErrorStream(true)
                .redirectOutput(said.toFile())
                .start();
        assertThat(full.waitFor()).isEqualTo(2);
        assertThat(Files.readString(said))
                .containsAnyOf(
                        "The disk is full, so nothing of it was stored.",
                        "The disk does not take it, so nothing of it was stored.")
                .doesNotContain("\tat ");
    }

    @Test
    void aSpreadsheetComesInAndIsBackedUpAndRestored() throws Exception {
        Path sheet = Path.of(
                ExchangeTest.class.getResource("/sheets/sallow-stints.csv").toURI());
        String shown = out("bring", sheet.toString(), "--into", store("n.db"), "--dry-run");
        assertThat(shown).contains("\"stored\" : false").contains("\"new\" : 5").contains("a total, not a record");
        assertThat(folder.resolve("n.db")).doesNotExist();
        Path mapping = folder.resolve("m.json");
        Files.writeString(mapping, out("bring", sheet.toString(), "--into", store("n.db"), "--show-mapping"));
        assertThat(out("bring", sheet.toString(), "--mapping", mapping.toString(), "--into", store("n.db")))
                .contains("\"stored\" : true");
        assertThat(out("bring", sheet.toString(), "--mapping", mapping.toString(), "--into", store("n.db")))
                .contains("\"same\" : 5");
        Files.writeString(mapping, "{\"columns\": {\"Nothing\": \"date\"}}");
        assertThat(run(2, "bring", sheet.toString(), "--mapping", mapping.toString(), "--into", store("n.db")))
                .contains("m.json: columns.Nothing: no such column");
        assertThat(out("backup", store("copy.db"), "--store", store("n.db")))
                .contains("looked through and whole; 1 clubs, 3 trips, 5 stints");
        assertThat(run(2, "backup", store("copy.db"), "--store", store("n.db"))).contains("is there already");
        assertThat(out("restore", store("copy.db"), "--into", store("again.db")))
                .contains("5 stints");
        run(0, "export", store("one"), "--store", store("n.db"));
        run(0, "export", store("two"), "--store", store("again.db"));
        assertThat(PackageReader.read(folder.resolve("two")).ledger())
                .isEqualTo(PackageReader.read(folder.resolve("one")).ledger());
    }

    private String out(String... args) {
        out.getBuffer().setLength(0);
        run(0, args);
        return out.toString();
    }

    /** A club that was loaded into an empty store has nobody in it: whoever runs it is told the way in, and can ask for it again. */
    @Test
    void aLoadedClubHasAWayInForItsFirstOfficer() throws Exception {
        PackageWriter.write(DemoClub.ledger(5), "made up", folder.resolve("in"));
        run(0, "load", store("in"), "--store", store("e.db"), "--club", "First");
        assertThat(out.toString()).contains("A records officer of First comes in, once and within 7 days");
        String token = token();
        run(0, "officer", "--store", store("e.db"));
        String second = token();
        assertThat(second).isNotEqualTo(token).hasSizeGreaterThan(40);
        try (Store opened = Store.open(folder.resolve("e.db"))) {
            Invitations invitations =
                    new Invitations(opened, new Secrets(new Random(1)), new NewId(Clock.systemUTC(), new Random(1)));
            Instant now = Instant.now();
            assertThat(invitations.of(token, now))
                    .hasValueSatisfying(i -> assertThat(i.role()).isEqualTo(Viewer.Role.OFFICER));
            assertThat(invitations.of(second, now)).isPresent();
            assertThat(invitations.of(second, now.plus(Duration.ofDays(8)))).isEmpty();
            assertThat(invitations.of("not a token", now)).isEmpty();
        }
        assertThat(run(2, "officer", "--store", store("none.db"))).contains("none.db: not there");
    }

    private String token() {
        return out.toString().strip().replaceAll("(?s).*/invited/", "");
    }

    @Test
    void aBrokenPackageLeavesNoStoreBehind() throws Exception {
        Files.createDirectories(folder.resolve("broken"));
        assertThat(run(2, "load", store("broken"), "--store", store("d.db")).lines())
                .contains("datapackage.json: missing, expected a tabular data package's description")
                .contains("stints.csv: missing, expected this file in every package");
        assertThat(folder.resolve("d.db")).doesNotExist();
        assertThat(run(2, "export", store("x"), "--store", store("none.db"))).contains("none.db: not there");
    }
}
