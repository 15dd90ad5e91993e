package dusk.ledger.web.club;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.interchange.PackageWriter;
import dusk.ledger.journal.Ledger;
import dusk.ledger.web.TestClub;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.Progress;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Packages that are brought in beside the requests. */
class ImportsTest {
    private static final Ledger DEMO = DemoClub.ledger(DemoClub.SEED);
    private static final long PATIENCE_MILLIS = 60_000;

    @TempDir
    Path folder;

    private TestClub club;
    private Imports imports;

    @BeforeEach
    void open() {
        club = new TestClub(folder);
        imports = new Imports(club.get(Clubs.class), club.clock);
    }

    @AfterEach
    void close() throws Exception {
        imports.end();
        club.close();
    }

    private Imports.Import start(byte[] zip) throws IOException {
        return imports.start(club.officer.clubId(), "mine.zip", new ByteArrayInputStream(zip))
                .orElseThrow();
    }

    private static byte[] demo() throws IOException {
        ByteArrayOutputStream zip = new ByteArrayOutputStream();
        PackageWriter.writeZip(DEMO, "made up", zip);
        return zip.toByteArray();
    }

    @Test
    void aPackageIsTakenWholeAndSaysHowMuchItWas() throws Exception {
        Imports.Import one = start(demo());
        assertThat(one.ended(PATIENCE_MILLIS).orElseThrow().said())
                .isEqualTo("Taken whole: " + DEMO.trips().size() + " trips, "
                        + DEMO.stints().size() + " stints.");
        assertThat(one.percent()).isEqualTo(100);
        assertThat(club.all(LedgerFormat.STINTS)).hasSameSizeAs(DEMO.stints());
    }

    @Test
    void oneThatIsStoppedStoresNothing() throws Exception {
        Imports.Import one = start(demo());
        one.stop();
        assertThat(one.ended(PATIENCE_MILLIS).orElseThrow())
                .isEqualTo(new Imports.Ended("Stopped: nothing of the package was stored.", List.of(), 0));
        assertThat(club.all(LedgerFormat.STINTS)).isEmpty();
        assertThat(club.all(LedgerFormat.ANGLERS)).hasSize(4);
    }

    @Test
    void thereIsOneAtATimeInAClubAndAnEndedOneMakesRoom() throws Exception {
        Imports.Import one = start(demo());
        assertThat(imports.start(club.officer.clubId(), "other.zip", new ByteArrayInputStream(demo())))
                .isEmpty();
        one.ended(PATIENCE_MILLIS);
        Imports.Import again = start(demo());
        assertThat(again.ended(PATIENCE_MILLIS).orElseThrow().faults())
                .singleElement()
                .asString()
                .contains("anglers.csv: angler_id: 14 ids are in the club already");
        imports.told(club.officer.clubId(), again);
        assertThat(imports.of(club.officer.clubId())).isEmpty();
    }

    @Test
    void whatIsNoPackageIsRefusedWithItsFaults() throws Exception {
        Imports.Ended ended =
                start("no zip".getBytes("UTF-8")).ended(PATIENCE_MILLIS).orElseThrow();
        assertThat(ended.said()).isEmpty();
        assertThat(ended.count()).isPositive();
    }

    @Test
    void itsProgressRisesToTheLastRow() {
        List<Long> heard = new ArrayList<>();
        long[] all = new long[1];
        club.get(Clubs.class).load(club.officer.clubId(), DEMO, (done, of) -> {
            heard.add(done);
            all[0] = of;
            return true;
        });
        assertThat(heard).isSorted().hasSizeGreaterThan(5).last().isEqualTo(all[0]);
    }

    @Test
    void aLoadThatIsEndedByItsHearerStoresNothing() {
        Progress half = (done, of) -> done < of / 2;
        assertThatThrownBy(() -> club.get(Clubs.class).load(club.officer.clubId(), DEMO, half))
                .isInstanceOf(Progress.Stopped.class);
        assertThat(club.all(LedgerFormat.TRIPS)).isEmpty();
    }
}
