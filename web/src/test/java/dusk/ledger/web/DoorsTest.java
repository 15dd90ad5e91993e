package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import dusk.ledger.web.security.Passwords;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockHttpSession;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** Who is let in, how often one may try, and what is said to requests that no form of ours sends. */
@TestPropertySource(properties = "dusk.tested.apart=clock")
class DoorsTest extends RequestedClub {
    private static final String WORD = "a long enough word";

    private MockHttpServletRequestBuilder signIn(String name, String password, String address) {
        return request("POST", "/sign-in")
                .param("username", name)
                .param("password", password)
                .with(csrf())
                .with(request -> {
                    request.setRemoteAddr(address);
                    return request;
                });
    }

    private String tried(String name, String password, String address) throws Exception {
        return String.valueOf(mvc.perform(signIn(name, password, address))
                .andReturn()
                .getResponse()
                .getHeader("Location"));
    }

    @Test
    void whoeverGuessesAtOneNameIsSlowedFromAnyAddress() throws Exception {
        String name = club.member.signIn();
        for (int i = 0; i < 10; i++) {
            assertThat(tried(name, "guess number " + i, "10.0.0." + i)).endsWith("/sign-in?error");
        }
        assertThat(tried(name, "another guess", "10.0.0.77")).endsWith("/sign-in?slow");
        assertThat(tried(name.toUpperCase(java.util.Locale.ROOT), WORD, "10.0.0.78"))
                .as("nor does the right word come through, or it would tell")
                .endsWith("/sign-in?slow");
        assertThat(tried(club.guide.signIn(), WORD, "10.0.0.79"))
                .as("another name")
                .isEqualTo("/");
        club.clock.turn(Duration.ofMinutes(1));
        assertThat(tried(name, WORD, "10.0.0.80")).isEqualTo("/");
    }

    @Test
    void whoeverGuessesFromOneAddressIsSlowedAtAnyName() throws Exception {
        String address = "10.1.0.9";
        for (int i = 0; i < 40; i++) {
            assertThat(tried("nobody" + i, "a guess", address)).endsWith("/sign-in?error");
        }
        assertThat(tried("nobody at all", "a guess", address)).endsWith("/sign-in?slow");
        assertThat(tried(club.guide.signIn(), WORD, "10.1.0.10")).isEqualTo("/");
        club.clock.turn(Duration.ofSeconds(10));
        assertThat(tried("nobody at all", "a guess", address)).endsWith("/sign-in?error");
    }

    @Test
    void whoSignsInRightlyIsNeverSlowed() throws Exception {
        for (int i = 0; i < 60; i++) {
            assertThat(tried(club.guide.signIn(), WORD, "10.2.0.1")).isEqualTo("/");
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "short | Too short. Use 10 characters or more; a few words will do.",
                "password123 | Too easily guessed: many others chose it. A few words of your own will do.",
                "QWERTYUIOP | Too easily guessed: many others chose it. A few words of your own will do.",
                "aaaaaaaaaaaa | Too easily guessed: many others chose it. A few words of your own will do.",
                "abababababab | Too easily guessed: many others chose it. A few words of your own will do.",
            })
    void aPasswordThatIsGuessedFirstIsRefused(String password, String sentence) {
        assertThat(Passwords.fault(password)).contains(sentence);
    }

    @ParameterizedTest
    @ValueSource(strings = {"a long enough word", "reeds at low water", "öäüßéèêøåæ"})
    void andOneOfOnesOwnIsNot(String password) {
        assertThat(Passwords.fault(password)).isEmpty();
    }

    private MockHttpSession signedIn() throws Exception {
        MockHttpSession session = new MockHttpSession();
        mvc.perform(signIn(club.member.signIn(), WORD, "10.3.0.1").session(session));
        assertThat(status(session, "/trips")).isEqualTo(200);
        return session;
    }

    private int status(MockHttpSession session, String path) throws Exception {
        return mvc.perform(request("GET", path).session(session))
                .andReturn()
                .getResponse()
                .getStatus();
    }

    @Test
    void changingThePasswordEndsTheOtherSessionsAndKeepsThisOne() throws Exception {
        MockHttpSession phone = signedIn();
        MockHttpSession here = signedIn();
        MockHttpServletRequestBuilder change = request("POST", "/account/password")
                .param("old", WORD)
                .param("fresh", "reeds at low water")
                .with(csrf())
                .session(here);
        assertThat(mvc.perform(change).andReturn().getResponse().getStatus()).isEqualTo(302);
        assertThat(status(here, "/trips")).isEqualTo(200);
        assertThat(status(phone, "/trips")).as("sent to sign in").isEqualTo(302);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "POST | /trips/past | date=2026-10-01 | 400 | “rows” is missing. Go back and send the form from its own page.",
                "GET | /trips?page=two | | 400 | “two” cannot be a value of “page”. Write a whole number.",
                "POST | /club/waters/lake/rules/lead | forbidden=maybe | 400 | “maybe” cannot be a value of “forbidden”. Write true or false.",
                "POST | /club/bring | file=mine | 400 | No file came with it. Choose the file, then send the form.",
                "POST | /account/units | | 400 | “units” is missing",
            })
    void whatIsMissingOrIllTypedIsToldByName(String method, String path, String form, int status, String sentence)
            throws Exception {
        MockHttpServletResponse answer = answer(club.officer, typed(request(method, path), form == null ? "" : form));
        assertThat(answer.getStatus()).isEqualTo(status);
        assertThat(answer.getContentAsString()).contains(sentence).contains("Nothing was stored.");
    }

    @Test
    void thePageOfErrorsIsNoPageByItself() throws Exception {
        assertThat(get(club.member, "/error").getStatus()).isEqualTo(404);
        MockHttpServletResponse out = answer(null, request("GET", "/error"));
        assertThat(out.getStatus()).isEqualTo(302);
        assertThat(out.getHeader("Location")).endsWith("/sign-in");
    }

    @ParameterizedTest
    @ValueSource(strings = {"Ann\u0000Vole", "Ann\nVole", "Ann\u200bVole", "Ann\u2028Vole"})
    void aNameIsOneLineThatCanBeSeen(String name) throws Exception {
        String link = invitation();
        for (String field : new String[] {"name", "username"}) {
            MockHttpServletRequestBuilder newcomer = request("POST", "/invited/" + link)
                    .param("name", field.equals("name") ? name : "Ann")
                    .param("username", field.equals("username") ? name : "ann")
                    .param("password", WORD);
            MockHttpServletResponse answer = answer(null, newcomer);
            assertThat(answer.getStatus()).isEqualTo(422);
            assertThat(answer.getContentAsString())
                    .contains("Write it in letters, digits and signs that can be seen, 100 at the most.");
        }
    }

    @Test
    void anUploadBeyondWhatIsTakenIsToldSo() throws Exception {
        MockHttpServletRequestBuilder large = request("POST", "/club/bring")
                .contentType("multipart/form-data; boundary=x")
                .content(new byte[65 << 20]);
        assertThat(answer(club.officer, large).getStatus()).isEqualTo(413);
    }

    /** Ids and owners that a form does not ask for, posted by hand. */
    @ParameterizedTest
    @CsvSource({
        "/trips/p/stints/s, minutes=41&trip_id=other&stint_id=x",
        "/trips/p/stints, angler_id={me}&setup_id=jig&started_at=2026-10-03T15:00&minutes=20&trip_id=nowhere",
        "/tackle/set-ups/bare, colour=violet&from_setup_id=nowhere&setup_id=x",
        "/trips/p, note=calm&logged_by={me}",
        "/trips/p/places, structure=dock&kept_by={me}&spot_id=x",
        "/trips/p/fish?stint=s, species=pike&count=1&stint_id=nowhere",
    })
    void whatAFormDoesNotAskForCannotBeTypedIntoIt(String path, String form) throws Exception {
        assertThat(post(club.guide, path, form).getStatus()).isEqualTo(302);
        assertThat(everything().toString()).doesNotContain("nowhere");
        assertThat(club.all(dusk.ledger.format.LedgerFormat.TRIPS))
                .extracting(dusk.ledger.journal.Trip::loggedBy)
                .containsOnly(club.guide.anglerId());
    }

    @ParameterizedTest
    @CsvSource({
        "/deck/{live}/rods/{rod}/swap, setup_id=nowhere",
        "/deck/{live}/rods/{rod}/swap, spot_id=nowhere",
        "/deck/{live}/rods/{rod}/swap, angler_id=nowhere",
        "/deck/{live}/rods/nowhere/bite, act=b1",
        "/deck/{live}/rods/{rod}/fish/nowhere, length_mm=40",
        "/deck/{live}/move, spot_id=nowhere",
        "/deck/{live}/rods, number=3&angler_id_3={me}&setup_id_3=nowhere&rod_id_3=nowhere",
        "/deck, rods=1&water_id=nowhere",
        "/trips/p/stints/s, minutes=41&rod_id=nowhere",
        "/trips/p/stints, angler_id={me}&setup_id=jig&started_at=2026-10-03T15:00&minutes=20&rod_id=nowhere",
        "/trips/p/stints, angler_id=nowhere&setup_id=nowhere&started_at=2026-10-03T15:00&minutes=20",
        "/tackle/set-ups/nowhere/drops, seconds=9&depth_m=4",
    })
    void anIdOfNothingIsRefusedInWords(String path, String form) throws Exception {
        assertThat(post(club.guide, path, form).getStatus()).isIn(404, 422);
    }

    /** Words of every kind on the card to take home: it is drawn whatever they hold. */
    @ParameterizedTest
    @ValueSource(
            strings = {"a > b", "<script>", "a & b", "]]>", "“quoted” \"twice\"", "-- -->", "ünïcode 鱼", "${1+1}", "|x|"
            })
    void aPdfIsDrawnWhateverTheWordsHold(String word) throws Exception {
        post(club.guide, "/trips/p", "note=" + word.replace("&", " and "));
        var change =
                request("POST", "/tackle/set-ups/jig").param("colour", word).param("plastic", word);
        String made =
                String.valueOf(answer(club.guide, change).getHeader("Location")).replaceAll(".*/", "");
        post(club.guide, "/trips/p/stints/s", "setup_id=" + made);
        MockHttpServletResponse pdf = get(club.guide, "/trips/p/client.pdf?angler={me}");
        assertThat(pdf.getStatus()).isEqualTo(200);
        assertThat(pdf.getContentAsByteArray()).startsWith('%', 'P', 'D', 'F');
        assertThat(get(club.guide, "/trips/p/client?angler={me}").getStatus()).isEqualTo(200);
        assertThat(get(club.guide, "/tackle/sheet").getStatus()).isEqualTo(200);
    }

    /** What is built or changed on the bench has no id in the record. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "/column?setup=&head_mass_g=10%20g&head_material=lead&plastic=lizard&plastic_length_mm=120%20mm"
                        + "&plastic_material=plastisol&line_diameter_mm=0.2%20mm&presentation=steady%20retrieve"
                        + "&depth_m=4%20m&cast_m=20%20m&reel=0.5%20m/s",
                "/column?setup=jig&head_mass_g=14&depth_m=4",
                "/column/card?pick=jig",
            })
    void theBenchReckonsWhatIsNotStored(String path) throws Exception {
        MockHttpServletResponse answer = get(club.guide, path);
        assertThat(answer.getStatus()).isEqualTo(200);
        assertThat(answer.getContentAsString()).contains("4 m");
    }
}
