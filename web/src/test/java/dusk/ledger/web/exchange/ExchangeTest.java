package dusk.ledger.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.interchange.PackageReader;
import dusk.ledger.interchange.PackageWriter;
import dusk.ledger.journal.Ledger;
import dusk.ledger.web.records.Invitations;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
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
            Invitations invitations = new Invitations(opened, new Random(1));
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
