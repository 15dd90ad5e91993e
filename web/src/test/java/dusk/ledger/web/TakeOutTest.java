package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.interchange.PackageReader;
import dusk.ledger.journal.Consistency;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.sheets.Sheet;
import dusk.ledger.sheets.SheetReader;
import dusk.ledger.units.Position;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.store.Clubs;
import dusk.ledger.web.store.Intake;
import dusk.ledger.web.store.LedgerRows;
import dusk.ledger.web.store.Progress;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.mock.web.MockHttpServletResponse;

/** What is taken out is what is shown, in a form that anything reads, without what others keep to themselves. */
class TakeOutTest extends RequestedClub {
    private Sheet sheet(Person person, String path) throws Exception {
        MockHttpServletResponse answer = get(person, path);
        assertThat(answer.getStatus()).isEqualTo(200);
        assertThat(answer.getHeader("Content-Disposition")).startsWith("attachment; filename=");
        return SheetReader.read("out", answer.getContentAsByteArray()).sheets().get(0);
    }

    @ParameterizedTest
    @ValueSource(strings = {"csv", "xlsx"})
    void everyFileOfTheRecordReadsBackAsItIs(String form) throws Exception {
        for (var table : LedgerFormat.ALL) {
            Sheet sheet = sheet(club.member, "/out/" + table.name() + "." + form);
            assertThat(sheet.lines().get(0).cells()).hasSameSizeAs(table.columns());
            assertThat(sheet.lines()).hasSize(club.all(table).size() + 1);
        }
        assertThat(get(club.member, "/out/people." + form).getStatus()).isEqualTo(404);
    }

    @ParameterizedTest
    @ValueSource(strings = {"csv", "xlsx"})
    void aFindingIsTakenOutAsItIsShown(String form) throws Exception {
        club.get(Clubs.class).load(club.officer.clubId(), DemoClub.ledger(DemoClub.SEED));
        String page = get(club.member, "/findings/compare?factor=colour").getContentAsString();
        Sheet sheet = sheet(club.member, "/findings/compare?factor=colour&out=" + form);
        assertThat(sheet.lines().size()).isGreaterThan(8);
        assertThat(sheet.lines().stream().flatMap(l -> l.cells().stream()))
                .contains("pearl", "violet")
                .allSatisfy(cell -> assertThat(page.replaceAll("<[^>]*>", " ").replaceAll("\\s+", ""))
                        .contains(cell.split(" ")[0]));
    }

    /** The looks are tried apart; here that every page's drawings are drawn, whatever they hold. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "/findings/compare?factor=colour",
                "/findings/clock?",
                "/findings/size?",
                "/findings/funnel?",
                "/column?depth_m=6",
                "/column/fan?",
                "/trips?",
                "/tackle/set-ups/jig?",
                "/deck/{live}?",
            })
    void thePicturesOfAPageAreDrawnAndSoAreTheirPoints(String path) throws Exception {
        club.get(Clubs.class).load(club.officer.clubId(), DemoClub.ledger(DemoClub.SEED));
        for (String form : List.of("svg", "png")) {
            MockHttpServletResponse answer = get(club.guide, path + (path.endsWith("?") ? "" : "&") + "out=" + form);
            assertThat(answer.getStatus()).isEqualTo(200);
            byte[] bytes = answer.getContentAsByteArray();
            if (answer.getContentType().startsWith("application/zip")) {
                try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
                    int pictures = 0;
                    while (zip.getNextEntry() != null) {
                        drawn(zip.readAllBytes(), form);
                        pictures++;
                    }
                    assertThat(pictures).isGreaterThan(1);
                }
            } else {
                drawn(bytes, form);
            }
        }
        assertThat(get(club.member, "/account?out=svg").getContentType()).startsWith("text/html");
    }

    private static void drawn(byte[] bytes, String form) throws Exception {
        if (form.equals("png")) {
            assertThat(ImageIO.read(new ByteArrayInputStream(bytes)).getWidth()).isGreaterThan(300);
            return;
        }
        DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new ByteArrayInputStream(bytes));
        assertThat(new String(bytes, StandardCharsets.UTF_8))
                .doesNotContain("var(")
                .doesNotContain("class=")
                .doesNotContain("<script");
    }

    @Test
    void aPageWithoutATableIsThePageItself() throws Exception {
        MockHttpServletResponse answer = get(club.member, "/account?out=csv");
        assertThat(answer.getContentType()).startsWith("text/html");
        assertThat(get(club.member, "/account/units?out=csv").getStatus()).isNotEqualTo(200);
        assertThat(answer(null, request("GET", "/findings/compare?out=csv")).getStatus())
                .isEqualTo(302);
    }

    @Test
    void whatASpreadsheetWouldRunIsHarmlessAndReadsBack() throws Exception {
        club.store(
                LedgerFormat.SPOTS,
                List.of(SpotBuilder.builder()
                        .id("f")
                        .waterId("lake")
                        .label("=1+1")
                        .structure("-5")
                        .build()));
        String csv = get(club.member, "/out/spots.csv").getContentAsString();
        assertThat(csv).contains("'=1+1").contains(",-5,");
        Sheet sheet = sheet(club.member, "/out/spots.csv");
        assertThat(sheet.lines().stream().flatMap(l -> l.cells().stream())).contains("=1+1");
    }

    @Test
    void placesThatOthersKeepAreInNoFile() throws Exception {
        Spot secret = SpotBuilder.builder()
                .id("secret")
                .waterId("lake")
                .label("Otter Hole")
                .position(new Position(44.123456, -14.5))
                .keptBy(club.member.anglerId())
                .build();
        club.store(LedgerFormat.SPOTS, List.of(secret));
        for (String path : List.of("/out/places.gpx", "/out/places.geojson", "/out/spots.csv")) {
            assertThat(get(club.member, path).getContentAsString())
                    .as(path)
                    .contains("Otter Hole")
                    .contains("44.123456")
                    .contains("Kiln Point");
            for (Person other : List.of(club.guide, club.officer, club.other)) {
                assertThat(get(other, path).getContentAsString())
                        .as(path)
                        .contains("Kiln Point")
                        .doesNotContain("Otter")
                        .doesNotContain("44.1234");
            }
        }
    }

    @Test
    void onesOwnDataIsALedgerByItselfAndComesInElsewhere() throws Exception {
        byte[] zip = get(club.member, "/out/mine.zip").getContentAsByteArray();
        Ledger mine =
                PackageReader.read("mine.zip", new ByteArrayInputStream(zip)).ledger();
        assertThat(mine.stints()).isNotEmpty().allMatch(s -> s.anglerId().equals(club.member.anglerId()));
        assertThat(mine.trips()).extracting("id").contains("p", live);
        assertThat(mine.catches()).extracting("id").contains("f");
        assertThat(Consistency.breaches(mine)).isEmpty();
        Intake intake = club.get(Intake.class);
        assertThat(intake.compare(club.stranger.clubId(), mine).conflicting()).isZero();
        intake.bring(club.stranger.viewer(), mine, "mine.zip", "mine", Intake.Keep.OURS, Progress.UNHEARD);
        Ledger there = club.get(LedgerRows.class).ledger(club.stranger.viewer());
        assertThat(there.stints()).containsAll(mine.stints());
        assertThat(get(club.other, "/out/mine.zip").getContentAsByteArray()).isNotEqualTo(zip);
    }
}
