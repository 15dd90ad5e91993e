package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.sheets.SheetReader;
import dusk.ledger.units.Length;
import dusk.ledger.units.Position;
import dusk.ledger.web.afloat.By;
import dusk.ledger.web.afloat.TripActs;
import dusk.ledger.web.form.Typed;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.Level;
import dusk.ledger.web.store.Sharing;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
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
import org.junit.jupiter.params.provider.EnumSource;
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
        return crawled(person, List.of("", "HX-Request", "X-Deck"));
    }

    private Map<String, String> crawled(Person person, List<String> headers) throws Exception {
        Map<String, String> all = new TreeMap<>();
        for (String path : routes().toList()) {
            for (String header : headers) {
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
            case "reader" -> club.reader;
            default -> club.member;
        };
    }

    /** Answers to what a person sends, right or wrong, none of which may tell either. */
    private Map<String, String> sent(Person person) throws Exception {
        Map<String, String> all = new TreeMap<>();
        List<AccessTableTest.Row> posts = AccessTableTest.rows()
                .filter(row -> row.method().equals("POST"))
                .filter(row -> !row.path().startsWith("/account") && !row.path().contains("/end"))
                .filter(row -> !row.path().equals("/trips/photo") && !row.path().equals("/club/bring"))
                .filter(row -> !row.path().endsWith("/chart"))
                .toList();
        for (AccessTableTest.Row row : posts) {
            for (String form : List.of(row.form(), "")) {
                String path = filled(row.path()).replaceAll("\\{\\w+}", "x");
                all.put(row + " " + form, text(answer(person, typed(request("POST", path), form))));
            }
        }
        return all;
    }

    @ParameterizedTest
    @EnumSource(
            value = Level.class,
            names = {"KIND", "WATER", "NOTHING"})
    void howeverLittleIsSharedNoAnswerTellsNameOrPosition(Level level) throws Exception {
        kept(FIRST, LAST, 44.234567);
        club.get(Sharing.class).say(club.other.viewer(), null, null, level);
        for (Person person : others()) {
            Map<String, String> all = crawled(person, List.of("HX-Request"));
            all.putAll(sent(person));
            all.forEach((path, text) -> assertThat(text)
                    .as(path + " as " + person.name() + " where " + level)
                    .doesNotContain("Thorn Hump", "Mill Tail", "44.234567", "44.534567", "14.123456", "14.423456"));
        }
    }

    /** A club in which the other member fished a place of theirs alone and shares nothing of it; or one in which they did not. */
    private void quiet(boolean fished) throws Exception {
        newClub();
        looksAtASheet();
        if (fished) {
            fish(Level.NOTHING, "hump", 7.7);
        }
    }

    private void fish(Level level, String structure, double depthMetres) {
        Person other = club.other;
        club.get(Sharing.class).say(other.viewer(), null, null, level);
        club.get(Places.class)
                .add(
                        other.viewer(),
                        SpotBuilder.builder()
                                .id("quiet-place")
                                .waterId("lake")
                                .label("Thorn Hump")
                                .structure(structure)
                                .bottom("shell")
                                .position(new Position(44.234567, -14.123456))
                                .build());
        for (int i = 0; i < 3; i++) {
            Instant day = TestClub.START.minus(Duration.ofDays(20 - i));
            club.get(Trips.class).add(other.viewer(), new Trip("quiet-trip" + i, "lake", day, null, "At Thorn Hump"));
            club.store(
                    LedgerFormat.READINGS,
                    List.of(ReadingBuilder.builder()
                            .id("quiet-reading" + i)
                            .tripId("quiet-trip" + i)
                            .at(day)
                            .clarity(Length.ofMetres(3.3))
                            .build()));
            club.store(
                    LedgerFormat.STINTS,
                    List.of(StintBuilder.builder()
                            .id("quiet-stint" + i)
                            .tripId("quiet-trip" + i)
                            .anglerId(other.anglerId())
                            .setUpId("drop")
                            .spotId("quiet-place")
                            .depth(Length.ofMetres(depthMetres))
                            .startedAt(day)
                            .minutes(200)
                            .bites(9)
                            .hooked(9)
                            .build()));
            club.store(
                    LedgerFormat.CATCHES,
                    List.of(CatchBuilder.builder()
                            .id("quiet-fish" + i)
                            .stintId("quiet-stint" + i)
                            .at(day.plusSeconds(60))
                            .species("moon perch")
                            .count(3)
                            .length(Length.ofMillimetres(777))
                            .build()));
            club.store(
                    LedgerFormat.SIGNS,
                    List.of(new Sign(
                            "quiet-sign" + i, "quiet-trip" + i, "quiet-place", day, "birds", "over Thorn Hump")));
        }
    }

    /** Questions to the findings that would tell where somebody fishes, if anything of it were in the answer. */
    private static final List<String> ATTEMPTS = List.of(
            // the kind of a place on one water: one place behind the cell
            "/findings/compare?factor=structure&where=water=lake",
            // its depth on that water
            "/findings/compare?factor=depth&where=water=lake",
            // the one angler behind a cell
            "/findings/favourites?angler={other}",
            // all, to be subtracted from all but theirs
            "/findings/funnel",
            "/findings/funnel?species=moon perch",
            // a fish that was landed nowhere else
            "/findings/size?species=moon perch",
            "/findings/compare?factor=colour&species=moon perch",
            // when it was fished, by the light there
            "/findings/clock?species=moon perch",
            "/findings/grid?rows=structure&columns=light",
            // the stints behind a figure, one by one
            "/findings/stints?where=structure=hump",
            "/findings/stints?where=bottom=shell",
            "/findings/patterns?species=moon perch",
            // what is known of the place by its id
            "/plan/run?water=lake&spot=quiet-place&from=2026-10-03T14:00&until=18:00&move=10",
            "/plan/go-back?water=lake",
            // days and readings that only they had
            "/trips?angler={other}",
            "/trips?species=moon perch",
            "/trips/quiet-trip0",
            "/trips/quiet-trip0/debrief",
            "/trips/p/stints/quiet-stint0/edit",
            "/plan?water=lake",
            // tables and drawings of the same
            "/findings/stints?out=csv",
            "/findings/compare?factor=structure&out=csv",
            "/findings/grid?rows=structure&columns=light&out=svg",
            "/out/spots.csv",
            "/out/stints.csv",
            "/out/catches.csv",
            "/out/places.geojson",
            "/out/mine.zip",
            "/choose?find.species=moon",
            "/deletions",
            "/club/trail",
            // their own pages, as anybody
            "/trips?as=anybody",
            "/findings/stints?as=anybody");

    private Map<String, String> asked(Person person) throws Exception {
        Map<String, String> all = crawled(person, List.of(""));
        ids.put("other", String.valueOf(club.other.anglerId()));
        for (String question : ATTEMPTS) {
            all.put(question, text(answer(person, request("GET", question.replace(" ", "%20")))));
        }
        return comparable(all);
    }

    @ParameterizedTest
    @ValueSource(strings = {"officer", "guide", "member", "reader"})
    void whatSharesNothingIsAsIfItHadNotBeen(String who) throws Exception {
        quiet(true);
        Map<String, String> fished = asked(person(who));
        assertThat(String.join("\n", fished.values()))
                .doesNotContain("quiet-stint", "quiet-reading", "quiet-fish", "Thorn Hump", "777")
                .doesNotContain("44.234567");
        quiet(false);
        asked(person(who))
                .forEach((path, text) -> assertThat(fished.get(path)).as(path).isEqualTo(text));
    }

    /** Neither what kind of place it is nor how deep was fished there can be told from any answer. */
    @ParameterizedTest
    @ValueSource(strings = {"officer", "member"})
    void whereTheWaterAloneIsSharedEveryKindOfPlaceReadsTheSame(String who) throws Exception {
        newClub();
        looksAtASheet();
        fish(Level.WATER, "hump", 7.7);
        Map<String, String> hump = asked(person(who));
        assertThat(String.join("\n", hump.values()))
                .as("that it was fished is shared")
                .contains("moon perch");
        newClub();
        looksAtASheet();
        fish(Level.WATER, "dock", 1.1);
        asked(person(who))
                .forEach((path, text) -> assertThat(hump.get(path)).as(path).isEqualTo(text));
    }

    /** Every page as anybody, asked for by whoever keeps the places: it is what the others get. */
    @Test
    void noPageAsAnybodyTellsNameOrPositionToTheirKeeperEither() throws Exception {
        kept(FIRST, LAST, 44.234567);
        for (String path : routes().toList()) {
            String asked = path + (path.contains("?") ? "&" : "?") + "as=anybody";
            MockHttpServletResponse answer = answer(club.other, request("GET", asked));
            assertThat(answer.getStatus()).as(asked).isLessThan(500);
            if (!path.startsWith("/out/mine")) {
                assertThat(text(answer)).as(asked).doesNotContain("Thorn Hump", "Mill Tail", "44.234567", "44.534567");
            }
        }
    }

    /** Every route of a trip and of what hangs on it, by level and role: what is not shared is not there, whoever asks, officers too. */
    @ParameterizedTest
    @EnumSource(Level.class)
    void everyRouteOfATripIsThereAsItIsShared(Level level) throws Exception {
        quiet(true);
        club.get(Sharing.class).say(club.other.viewer(), null, null, level);
        Map<String, String> names = Map.of(
                "/p", "/quiet-trip0",
                "/r", "/quiet-reading0",
                "/s", "/quiet-stint0",
                "/f", "/quiet-fish0",
                "/si", "/quiet-sign0",
                "/point", "/quiet-place");
        List<AccessTableTest.Row> rows = AccessTableTest.rows()
                .filter(row -> row.path().startsWith("/trips/p"))
                .filter(row ->
                        !row.path().startsWith("/trips/past") && !row.path().startsWith("/trips/photo"))
                .filter(row -> row.method().equals("GET") || level == Level.NOTHING)
                .toList();
        assertThat(rows).hasSizeGreaterThan(15);
        for (AccessTableTest.Row row : rows) {
            StringBuilder path = new StringBuilder();
            String[] asked = row.path().split("(?=\\?)", 2);
            for (String part : asked[0].substring(1).split("/")) {
                path.append(names.getOrDefault("/" + part, "/" + part));
            }
            path.append(asked.length > 1 ? asked[1] : "");
            for (Person person : others()) {
                int status = answer(person, typed(request(row.method(), path.toString()), row.form()))
                        .getStatus();
                boolean page = path.toString().equals("/trips/quiet-trip0")
                        || path.toString().equals("/trips/quiet-trip0/debrief");
                if (level == Level.NOTHING || person.equals(club.stranger)) {
                    assertThat(status).as(row + " as " + person.name()).isEqualTo(404);
                } else if (page) {
                    assertThat(status).as(row + " as " + person.name()).isEqualTo(200);
                }
            }
            boolean whole = path.toString().equals("/trips/quiet-trip0")
                    || path.toString().endsWith("/edit");
            if (row.method().equals("GET") && whole && !path.toString().contains("losses")) {
                assertThat(answer(club.other, request("GET", path.toString())).getStatus())
                        .as(row + " as its own")
                        .isEqualTo(200);
            }
        }
    }

    /** What somebody deleted of what they share nothing of is told to no officer; to themselves it is. */
    @Test
    void aDeletionTellsNothingEither() throws Exception {
        quiet(true);
        club.get(Deletions.class).trip(club.other.viewer(), "quiet-trip0", "the trip to Kell Water on a day");
        assertThat(text(get(club.officer, "/deletions"))).doesNotContain("the trip to Kell Water on a day");
        assertThat(text(get(club.other, "/deletions"))).contains("the trip to Kell Water on a day");
        club.get(Sharing.class).say(club.other.viewer(), null, null, Level.KIND);
        assertThat(text(get(club.officer, "/deletions"))).contains("the trip to Kell Water on a day");
    }

    @Test
    void whoFishedItSeesItWhichShowsThatTheQuestionsWouldFindIt() throws Exception {
        quiet(true);
        String all = String.join("\n", asked(club.other).values());
        assertThat(all).contains("Thorn Hump", "moon perch", "44.234567", "quiet-stint0");
        String seen = text(get(club.other, "/trips?as=anybody"));
        assertThat(seen).contains("This is what everyone else in the club sees here.");
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
                        .replaceAll("signs in as [^<]*", "SIGN-IN")
                        .replaceAll("\\d+(\\.\\d)? [MG]B", "SIZE")
                        .replaceAll("name=\"_csrf\" value=\"[^\"]*\"", "TOKEN")
                        .replaceAll("(_csrf[^>]*content=|data-csrf=)\"[^\"]*\"", "TOKEN")));
        return plain;
    }
}
