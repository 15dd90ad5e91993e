package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Spot;
import dusk.ledger.units.Position;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.WaterRules;
import dusk.ledger.web.records.Waters;
import dusk.ledger.web.store.Level;
import dusk.ledger.web.store.Sharing;
import java.nio.charset.StandardCharsets;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** A water's page: its sketch, its places brought, moved and taken out as they are shared, its rules in words. */
class WaterChartTest extends RequestedClub {
    private static final String BANK = """
            {"type": "FeatureCollection", "features": [
              {"type": "Feature", "properties": {}, "geometry": {"type": "Polygon", "coordinates":
                [[[-14.01, 44.49], [-13.99, 44.49], [-13.99, 44.51], [-14.01, 44.49]]]}},
              {"type": "Feature", "properties": {"name": "Quiet Hole"}, "geometry":
                {"type": "Point", "coordinates": [-14.002, 44.502]}}]}""";

    private MockHttpServletResponse bring(Person person, String name, String text) throws Exception {
        return answer(
                person,
                MockMvcRequestBuilders.multipart("/club/waters/lake/chart")
                        .file(new MockMultipartFile(
                                "file", name, "application/geo+json", text.getBytes(StandardCharsets.UTF_8))));
    }

    private Document page(Person person) throws Exception {
        return Jsoup.parse(get(person, "/club/waters/lake").getContentAsString());
    }

    private Spot called(Person person, String label) {
        return club.get(Places.class).of(person.viewer(), "lake").stream()
                .filter(s -> label.equals(s.label()))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void anOfficersFileDrawsTheBankAndItsPointsAreTheirs() throws Exception {
        assertThat(bring(club.officer, "lake.geojson", BANK).getStatus()).isEqualTo(302);
        Document page = page(club.officer);
        assertThat(page.select("path.chart-water")).hasSize(1);
        assertThat(page.select(".chart-mine title").eachText()).containsExactly("Quiet Hole");
        assertThat(page(club.member).select("path.chart-water")).hasSize(1);
        assertThat(page(club.member).text()).doesNotContain("Quiet Hole").doesNotContain("44.502");
        assertThat(page(club.member).select(".chart-mine")).isEmpty();
        post(club.officer, "/club/waters/lake/chart/delete", "");
        assertThat(page(club.officer).select("path.chart-water")).isEmpty();
        String undo = Jsoup.parse(get(club.officer, "/club/trail").getContentAsString())
                .select("main form[action$=/undo]")
                .get(0)
                .attr("action");
        post(club.officer, undo, "");
        assertThat(page(club.officer).select("path.chart-water")).as("put back").hasSize(1);
    }

    @Test
    void aMembersLinesAreNoBankAndTheirPointsAreTheirs() throws Exception {
        bring(club.member, "lake.geojson", BANK);
        assertThat(club.get(Waters.class).outline(club.officer.viewer(), "lake"))
                .isEmpty();
        assertThat(called(club.member, "Quiet Hole").keptBy()).isEqualTo(club.member.anglerId());
        MockHttpServletResponse lines = bring(
                club.member, "line.json", "{\"type\": \"LineString\", \"coordinates\": [[-14, 44], [-14.1, 44]]}");
        assertThat(lines.getStatus()).isEqualTo(422);
        assertThat(lines.getContentAsString())
                .contains("line.json: lines alone, expected points; the bank is the records officer’s to bring");
    }

    @Test
    void aFileThatCannotBeIsRefusedWhole() throws Exception {
        int before = club.all(LedgerFormat.SPOTS).size();
        MockHttpServletResponse answer =
                bring(club.officer, "x.geojson", "{\"type\": \"Point\", \"coordinates\": [1]}");
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains("x.geojson: [1] is no point, expected [longitude, latitude]");
        assertThat(club.all(LedgerFormat.SPOTS)).hasSize(before);
    }

    @Test
    void aPlaceIsMovedByWhoseItIs() throws Exception {
        bring(club.member, "lake.geojson", BANK);
        Spot hole = called(club.member, "Quiet Hole");
        String move = "/club/waters/lake/places/" + hole.id() + "/move";
        assertThat(post(club.other, move, "latitude=44.6&longitude=-14").getStatus())
                .isEqualTo(404);
        assertThat(post(club.officer, move, "latitude=44.6&longitude=-14").getStatus())
                .isEqualTo(404);
        MockHttpServletResponse wrong = post(club.member, move, "latitude=95&longitude=-14");
        assertThat(wrong.getStatus()).isEqualTo(422);
        assertThat(Jsoup.parse(wrong.getContentAsString()).select(".fault").text())
                .contains("90");
        assertThat(wrong.getContentAsString()).contains("value=\"95\"");
        assertThat(post(club.member, move, "latitude=44.6&longitude=-14.05").getStatus())
                .isEqualTo(302);
        assertThat(called(club.member, "Quiet Hole").position()).isEqualTo(new Position(44.6, -14.05));
    }

    @ParameterizedTest
    @CsvSource({"ALL, true, true", "KIND, true, false", "WATER, false, false", "NOTHING, false, false"})
    void othersSeeOfAPlaceOnTheSketchWhatIsShared(Level level, boolean listed, boolean drawn) throws Exception {
        bring(club.member, "lake.geojson", BANK);
        String id = called(club.member, "Quiet Hole").id();
        club.get(Sharing.class).say(club.member.viewer(), null, id, level);
        int all = page(club.member)
                .select("section[aria-labelledby=places] > ul > li")
                .size();
        Document page = page(club.other);
        assertThat(page.select("section[aria-labelledby=places] > ul > li")).hasSize(listed ? all : all - 1);
        assertThat(page.select("[data-place=" + id + "]")).hasSize(drawn ? 1 : 0);
        assertThat(page.html().contains("Quiet Hole")).isEqualTo(drawn);
        for (String file : new String[] {"places.geojson", "places.gpx"}) {
            assertThat(get(club.other, "/out/" + file).getContentAsString().contains("Quiet Hole"))
                    .isEqualTo(drawn);
        }
    }

    /** Where a mark stands on the sketch is where the place is, by the sketch's own measures, which the script goes by. */
    @Test
    void theSketchIsTrue() throws Exception {
        bring(club.officer, "lake.geojson", BANK);
        Document page = page(club.officer);
        Element chart = page.select("svg.chart").get(0);
        String[] at = page.select(".chart-mine")
                .attr("transform")
                .replaceAll("[^-\\d. ]", "")
                .split(" ");
        double latitude =
                number(chart, "data-latitude") + (210 - Double.parseDouble(at[1])) * number(chart, "data-north");
        double longitude =
                number(chart, "data-longitude") + (Double.parseDouble(at[0]) - 320) * number(chart, "data-east");
        assertThat(latitude).isCloseTo(44.502, within(1e-4));
        assertThat(longitude).isCloseTo(-14.002, within(1e-4));
        assertThat(chart.select(".chart-words").eachText())
                .contains("N")
                .anyMatch(t -> t.matches("[125]0* m|[125] km"));
        beans.getBean(People.class).setUnits(club.officer.id(), "us", false);
        assertThat(page(club.officer).select(".chart-words").eachText()).anyMatch(t -> t.matches("[125]0* ft"));
    }

    private static double number(Element element, String name) {
        return Double.parseDouble(element.attr(name));
    }

    @Test
    void theOfficerChangesAWaterAndItCanBePutBack() throws Exception {
        assertThat(get(club.officer, "/club/waters/lake/edit").getContentAsString())
                .contains("Kell Water");
        assertThat(post(club.officer, "/club/waters/lake", "name=Kell Mere&kind=lake&latitude=95")
                        .getStatus())
                .isEqualTo(422);
        assertThat(post(club.officer, "/club/waters/lake", "name=Kell Mere&kind=lake")
                        .getStatus())
                .isEqualTo(302);
        assertThat(club.get(Waters.class).one(club.member.viewer(), "lake").name())
                .isEqualTo("Kell Mere");
        String undo = Jsoup.parse(get(club.officer, "/club/trail").getContentAsString())
                .select("main form[action$=/undo]")
                .attr("action");
        post(club.officer, undo, "");
        assertThat(club.get(Waters.class).one(club.member.viewer(), "lake").name())
                .isEqualTo("Kell Water");
    }

    @Test
    void rulesInWordsStandOnTheWaterAndOnTheCallWithTheLineThatThePublishedPrevail() throws Exception {
        post(
                club.officer,
                "/club/waters/lake/rules/words",
                "gear=two rods&bait=no live bait&prey=crayfish stay in the water they came from");
        post(club.officer, "/club/waters/lake/rules", "species=pike&least=50 cm&most=90 cm&bag=1");
        for (String path : new String[] {"/club/waters/lake", "/club/waters/lake/rules", "/plan?water=lake"}) {
            assertThat(Jsoup.parse(get(club.member, path).getContentAsString()).text())
                    .as(path)
                    .contains("Gear: two rods", "Bait: no live bait", "Prey: crayfish stay")
                    .containsIgnoringCase("the published local rules prevail");
        }
        assertThat(get(club.member, "/club/waters/lake/rules").getContentAsString())
                .contains("longer than 90 cm goes back");
        WaterRules rules = club.get(WaterRules.class);
        assertThat(rules.inWords(club.member.viewer(), "sound").lines()).isEmpty();
        MockHttpServletResponse wrong =
                post(club.officer, "/club/waters/lake/rules", "species=pike&least=50 cm&most=40 cm");
        assertThat(wrong.getContentAsString()).contains("Less than the shortest that may be kept.");
        assertThat(post(club.officer, "/club/waters/lake/rules/words", "gear=" + "x".repeat(501))
                        .getContentAsString())
                .contains("Write 500 letters at the most.");
    }
}
