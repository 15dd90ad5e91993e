package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.sheets.SheetReader;
import dusk.ledger.units.Position;
import dusk.ledger.web.afloat.By;
import dusk.ledger.web.afloat.TripActs;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/**
 * The name and position of places that a member keeps, looked for in everything that anybody else can get: every page
 * that is asked for by GET, as page and as part, the PDF, the package. The names' order is looked for too: with other
 * names and positions everything must read the same.
 */
class HiddenPlacesTest extends RequestedClub {
    private static final String FIRST = "Aaa Thorn Hump";
    private static final String ID = "[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}";
    private static final String LAST = "Zzz Mill Tail";

    private static Stream<String> routes() {
        return AccessTableTest.rows()
                .filter(row -> row.method().equals("GET"))
                .map(AccessTableTest.Row::path)
                .distinct();
    }

    /** The other member keeps two places of the lake; the trip and the deck were at the first, and the deck moved to the second. */
    private void kept(String point, String dock, double latitude) throws Exception {
        newClub();
        looksAtASheet();
        Places places = club.get(Places.class);
        places.keep(club.other.viewer(), "Kiln Point", new Position(latitude, -14.123456));
        places.keep(club.other.viewer(), "Boathouse", new Position(latitude + 0.3, -14.423456));
        String club1 = club.officer.clubId();
        beans.getBean(dusk.ledger.web.store.Store.class).write(club1, tx -> {
            tx.execute(
                    "update spots set label = '" + point + "' where club_id = '" + club1 + "' and spot_id = 'point'");
            return tx.execute(
                    "update spots set label = '" + dock + "' where club_id = '" + club1 + "' and spot_id = 'dock'");
        });
        club.get(TripActs.class)
                .move(
                        new By(club.guide, live, "move", TestClub.START),
                        new Typed(Map.of("spot_id", "dock", "depth_m", "3"), club.guide.units()),
                        null);
    }

    private List<Person> others() {
        return List.of(club.officer, club.guide, club.member, club.stranger);
    }

    private String text(MockHttpServletResponse answer) throws Exception {
        byte[] body = answer.getContentAsByteArray();
        String type = String.valueOf(answer.getContentType());
        if (type.startsWith("application/pdf")) {
            try (var pdf = Loader.loadPDF(body)) {
                return new PDFTextStripper().getText(pdf);
            }
        }
        if (type.contains("spreadsheetml")) {
            return SheetReader.read("book", body).sheets().toString();
        }
        if (type.startsWith("application/zip")) {
            StringBuilder all = new StringBuilder();
            try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(body))) {
                for (var entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                    all.append(entry.getName())
                            .append('\n')
                            .append(new String(zip.readAllBytes(), StandardCharsets.UTF_8));
                }
            }
            return all.toString();
        }
        return new String(body, StandardCharsets.UTF_8) + answer.getHeader("Location");
    }

    /** All that a person gets, by path; ids, tokens and the clock's passing replaced, since they differ from one club to the next. */
    private Map<String, String> crawled(Person person) throws Exception {
        Map<String, String> all = new TreeMap<>();
        for (String path : routes().toList()) {
            for (String header : List.of("", "HX-Request", "X-Deck")) {
                MockHttpServletRequestBuilder request = request("GET", path);
                if (!header.isEmpty()) {
                    request.header(header, "true");
                }
                all.put(path + " " + header, text(answer(person, request)));
            }
        }
        return all;
    }

    @Test
    void nobodyElseGetsTheirNameOrPosition() throws Exception {
        kept(FIRST, LAST, 44.234567);
        for (Person person : others()) {
            crawled(person)
                    .forEach((path, text) -> assertThat(text)
                            .as(path + " as " + person.name())
                            .doesNotContain(
                                    "Thorn Hump", "Mill Tail", "44.234567", "44.534567", "14.123456", "14.423456"));
        }
    }

    @Test
    void theirOwnerDoesWhichShowsThatTheyAreLookedForWhereTheyWouldBe() throws Exception {
        kept(FIRST, LAST, 44.234567);
        String all = String.join("\n", crawled(club.other).values());
        assertThat(all).contains("Thorn Hump", "Mill Tail");
    }

    @ParameterizedTest
    @ValueSource(strings = {"officer", "guide", "member"})
    void withOtherNamesEverythingReadsTheSame(String who) throws Exception {
        kept(FIRST, LAST, 44.234567);
        Map<String, String> before = comparable(crawled(person(who)));
        kept(LAST, FIRST, -12.5);
        Map<String, String> after = comparable(crawled(person(who)));
        before.forEach((path, text) -> assertThat(after.get(path)).as(path).isEqualTo(text));
    }

    private Person person(String who) {
        return switch (who) {
            case "officer" -> club.officer;
            case "guide" -> club.guide;
            default -> club.member;
        };
    }

    /** Rows of these stand in the order of ids, which are drawn by lot; they hold no choice of places. */
    private static String inOrder(String path, String text) {
        boolean byId =
                path.startsWith("/club/export") || path.startsWith("/findings/stints") || path.startsWith("/out/");
        return byId
                ? text.lines().map(line -> line.replaceAll(ID, "ID")).sorted().collect(Collectors.joining("\n"))
                : text;
    }

    private static Map<String, String> comparable(Map<String, String> all) {
        Map<String, String> plain = new TreeMap<>();
        all.forEach((path, text) -> plain.put(
                path,
                inOrder(path, text)
                        .replaceAll(ID, "ID")
                        .replaceAll("\\d+(\\.\\d)? [MG]B", "SIZE")
                        .replaceAll("name=\"_csrf\" value=\"[^\"]*\"", "TOKEN")
                        .replaceAll("(_csrf[^>]*content=|data-csrf=)\"[^\"]*\"", "TOKEN")));
        return plain;
    }
}
