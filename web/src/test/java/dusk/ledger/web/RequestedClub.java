package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.ReadingBuilder;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.units.Length;
import dusk.ledger.web.afloat.Place;
import dusk.ledger.web.afloat.TripActs;
import dusk.ledger.web.records.Deck;
import dusk.ledger.web.records.Decks;
import dusk.ledger.web.records.Invitations;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Trips;
import dusk.ledger.web.store.Store;
import dusk.ledger.web.store.Viewer;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.BeanFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.boot.webmvc.test.autoconfigure.MockMvcPrint;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.context.annotation.Primary;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/**
 * The whole application without a server or a browser. Every test has a club of its own in it, so that none sees what
 * another left: a trip {@code p} that the guide logged and the member fished, and one that both are fishing.
 */
// records that tests write to the store directly have no person who would see them at once; and what is done by the
// clock of the machine would come between what a test does by its own
@SpringBootTest(properties = {"dusk.recent.seconds=0", "dusk.news.searches=false", "dusk.instruments.fill=PT24H"})
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
@Import(RequestedClub.Quick.class)
abstract class RequestedClub {
    @Autowired
    MockMvc mvc;

    @Autowired
    BeanFactory beans;

    TestClub club;

    /** The trip being fished. */
    String live;

    /** What stands for ids in paths and forms. */
    final Map<String, String> ids = new TreeMap<>();

    @TestConfiguration
    static class Quick {
        @Bean
        @Primary
        TurnableClock turnable() {
            return new TurnableClock(TestClub.START);
        }

        @Bean
        @Primary
        PasswordEncoder plain() {
            return new TestClub.Plain();
        }
    }

    /** Each context has a store of its own. */
    @DynamicPropertySource
    static void store(DynamicPropertyRegistry registry) throws IOException {
        Path folder = TestClub.passing();
        registry.add("dusk.store", () -> folder.resolve("dusk.db").toString());
    }

    @BeforeEach
    void newClub() {
        // in one transaction: a disk that is waited for at every row makes the tests slow
        beans.getBean(Store.class).writeApart(tx -> {
            fill();
            return club;
        });
    }

    private void fill() {
        club = new TestClub(beans);
        club.get(Trips.class).add(club.guide.viewer(), new Trip("p", "lake", TestClub.START, null, null));
        club.store(
                LedgerFormat.STINTS,
                List.of(StintBuilder.builder()
                        .id("s")
                        .tripId("p")
                        .anglerId(club.member.anglerId())
                        .setUpId("jig")
                        .spotId("point")
                        .startedAt(TestClub.START)
                        .minutes(40)
                        .bites(3)
                        .hooked(1)
                        .build()));
        club.store(
                LedgerFormat.READINGS,
                List.of(ReadingBuilder.builder()
                        .id("r")
                        .tripId("p")
                        .at(TestClub.START)
                        .clarity(Length.ofMetres(1.4))
                        .build()));
        club.store(
                LedgerFormat.CATCHES,
                List.of(CatchBuilder.builder()
                        .id("f")
                        .stintId("s")
                        .at(TestClub.START.plus(Duration.ofMinutes(9)))
                        .species("walleye")
                        .count(1)
                        .build()));
        live = club.get(TripActs.class)
                .begin(
                        club.guide,
                        club.lake,
                        TestClub.START,
                        null,
                        List.of(wanted(club.guide, "jig"), wanted(club.member, "drop")),
                        new Place("point", Length.ofMetres(4)),
                        true);
        ids.put("live", live);
        ids.put("rod", deck().rods().get(0).id());
        ids.put("me", String.valueOf(club.member.anglerId()));
    }

    private static TripActs.Wanted wanted(Person person, String setUp) {
        return new TripActs.Wanted(person.anglerId(), null, setUp, null, null);
    }

    /** The officer has read a spreadsheet and looks at it; its id stands under {@code draft}. */
    void looksAtASheet() throws Exception {
        byte[] sheet = "Date,Hours,Pike\n2026-09-01,3,1\n".getBytes(StandardCharsets.UTF_8);
        String location = String.valueOf(answer(
                        club.officer,
                        MockMvcRequestBuilders.multipart("/club/bring")
                                .file(new MockMultipartFile("file", "a.csv", "text/csv", sheet)))
                .getHeader("Location"));
        ids.put("draft", location.substring(location.lastIndexOf('/') + 1));
    }

    /** The secret part of a link for a new member. */
    String invitation() {
        return beans.getBean(Invitations.class)
                .invite(
                        Invitations.Invited.newcomer(club.officer.clubId(), Viewer.Role.MEMBER),
                        club.officer.id(),
                        TestClub.START.plus(Duration.ofDays(1)));
    }

    Deck deck() {
        return club.get(Decks.class).deck(club.guide.viewer(), live);
    }

    /** With the ids of this club where their names stand in braces. */
    String filled(String text) {
        String filled = text;
        for (Map.Entry<String, String> id : ids.entrySet()) {
            filled = filled.replace("{" + id.getKey() + "}", id.getValue());
        }
        return filled;
    }

    MockHttpServletRequestBuilder request(String method, String path) {
        return MockMvcRequestBuilders.request(
                org.springframework.http.HttpMethod.valueOf(method), java.net.URI.create(filled(path)));
    }

    /** The answer to a person; to nobody for null. */
    MockHttpServletResponse answer(@Nullable Person person, AbstractMockHttpServletRequestBuilder<?> request)
            throws Exception {
        request.with(csrf());
        if (person != null) {
            request.with(user(beans.getBean(UserDetailsService.class).loadUserByUsername(person.signIn())));
        }
        return mvc.perform(request).andReturn().getResponse();
    }

    MockHttpServletResponse get(Person person, String path) throws Exception {
        return answer(person, request("GET", path));
    }

    /** Sends a form, such as {@code minutes=40&note=calm}. */
    MockHttpServletResponse post(Person person, String path, String form) throws Exception {
        return answer(person, typed(request("POST", path), form));
    }

    MockHttpServletRequestBuilder typed(MockHttpServletRequestBuilder request, String form) {
        for (String pair : filled(form).split("&")) {
            if (!pair.isBlank()) {
                String[] cell = pair.strip().split("=", 2);
                request.param(cell[0], cell.length > 1 ? cell[1] : "");
            }
        }
        return request;
    }

    /**
     * Every row that is stored of the club, also what nobody may see, and every row that belongs to no club. Of clubs the
     * counter of what was written is left out: it goes on where something was begun and taken back.
     */
    Map<String, List<?>> everything() {
        Map<String, List<?>> all = new TreeMap<>();
        DSLContext stored = beans.getBean(Store.class).read();
        String tables = "select m.name, exists (select 1 from pragma_table_info(m.name) where name = 'club_id')"
                + " from sqlite_master m where m.type = 'table' and m.name not like 'sqlite%'";
        for (var table : stored.fetch(tables)) {
            String name = table.get(0, String.class);
            String rows = "select " + (name.equals("clubs") ? "club_id, name" : "*") + " from " + name;
            all.put(
                    name,
                    table.get(1, boolean.class)
                            ? stored.fetch(rows + " where club_id = ?", club.officer.clubId())
                            : stored.fetch(rows));
        }
        return all;
    }

    /** Table by table, so that a failure names the one. */
    void assertStands(Map<String, List<?>> before, String what) {
        Map<String, List<?>> now = everything();
        before.forEach((table, rows) ->
                assertThat(now.get(table)).as(what + ": " + table).isEqualTo(rows));
    }
}
