package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.Stint;
import dusk.ledger.units.Position;
import dusk.ledger.web.records.Devices;
import dusk.ledger.web.records.Invitations;
import dusk.ledger.web.records.Membership;
import dusk.ledger.web.records.People;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import dusk.ledger.web.store.Deletions;
import dusk.ledger.web.store.Viewer;
import jakarta.servlet.http.Cookie;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** How people come into a club, stay signed in, and leave it. */
class PeopleTest extends RequestedClub {
    private static final String WORD = "a long enough word";

    /** The page that a form of the officer's leads to, with what is shown on it once. */
    private Document made(String path, String form) throws Exception {
        MockHttpServletRequestBuilder request = typed(request("POST", path), form);
        request.with(csrf());
        request.with(org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user(
                beans.getBean(org.springframework.security.core.userdetails.UserDetailsService.class)
                        .loadUserByUsername(club.officer.signIn())));
        var result = mvc.perform(request).andReturn();
        assertThat(result.getResponse().getStatus()).isEqualTo(302);
        MockHttpServletRequestBuilder next = request("GET", "/club/people");
        next.flashAttrs(result.getFlashMap());
        return Jsoup.parse(answer(club.officer, next).getContentAsString());
    }

    private static String token(Document page) {
        String address = page.select("#link").val();
        assertThat(address).startsWith("http://localhost/invited/");
        return address.substring(address.lastIndexOf('/') + 1);
    }

    private Person called(String name) {
        return beans.getBean(People.class).ofClub(club.officer.clubId()).stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static String unique(String name) {
        return name + System.nanoTime();
    }

    @ParameterizedTest
    @CsvSource({"guest, GUEST", "member, MEMBER", "guide, GUIDE", "officer, OFFICER"})
    void anInvitedPersonChoosesTheirOwnNameAndPassword(String word, Viewer.Role role) throws Exception {
        Document page = made("/club/people/invite", "role=" + word + "&for_whom=Ann&days=3");
        String token = token(page);
        assertThat(page.text()).contains("Ann as").contains("It is shown this once.");
        assertThat(page.select("#send").text())
                .isEqualTo("Come into the records of Kell Anglers. This link lets you in, once, until Tue 6 Oct 2026: "
                        + page.select("#link").val());
        MockHttpServletResponse in =
                post(null, "/invited/" + token, "name=Ann Vole&username=" + unique("ann") + "&password=" + WORD);
        assertThat(in.getStatus()).isEqualTo(302);
        assertThat(called("Ann Vole").role()).isEqualTo(role);
        assertThat(post(null, "/invited/" + token, "name=Bo&username=" + unique("bo") + "&password=" + WORD)
                        .getStatus())
                .as("used up")
                .isEqualTo(404);
        assertThat(get(club.officer, "/club/people").getContentAsString()).doesNotContain("Ann as");
    }

    @Test
    void theLinkIsAPictureThatAPhoneReads() throws Exception {
        Document page = made("/club/people/invite", "role=member");
        String path = page.select("svg.qr .qr-ink").attr("d");
        int size = Integer.parseInt(page.select("svg.qr").attr("viewBox").split(" ")[2]);
        int scale = 4;
        int[] pixels = new int[size * size * scale * scale];
        Arrays.fill(pixels, 0xffffff);
        Matcher module = Pattern.compile("M(\\d+) (\\d+)h1v1h-1z").matcher(path);
        while (module.find()) {
            int x = Integer.parseInt(module.group(1)) * scale;
            int y = Integer.parseInt(module.group(2)) * scale;
            for (int i = 0; i < scale * scale; i++) {
                pixels[(y + i / scale) * size * scale + x + i % scale] = 0;
            }
        }
        String read = new QRCodeReader()
                .decode(new BinaryBitmap(
                        new HybridBinarizer(new RGBLuminanceSource(size * scale, size * scale, pixels))))
                .getText();
        assertThat(read).isEqualTo(page.select("#link").val());
    }

    @Test
    void aLinkEndsWithItsTimeAndBeforeItWhereTheOfficerSaysSo() throws Exception {
        String token = token(made("/club/people/invite", "role=member&days=1"));
        assertThat(answer(null, request("GET", "/invited/" + token)).getStatus())
                .isEqualTo(200);
        Invitations invitations = beans.getBean(Invitations.class);
        String id = invitations.open(club.officer.clubId(), TestClub.START).stream()
                .map(Invitations.Open::id)
                .findFirst()
                .orElseThrow();
        post(club.stranger, "/club/people/links/" + id + "/end", "");
        assertThat(answer(null, request("GET", "/invited/" + token)).getStatus())
                .as("another club's officer ends none of ours")
                .isEqualTo(200);
        assertThat(invitations.of(token, TestClub.START.plus(Duration.ofDays(1))))
                .isEmpty();
        post(club.officer, "/club/people/links/" + id + "/end", "");
        assertThat(answer(null, request("GET", "/invited/" + token)).getStatus())
                .isEqualTo(404);
    }

    @Test
    void recordsThatAreNobodysBecomeANewcomersAndNoOnesTwice() throws Exception {
        club.store(LedgerFormat.ANGLERS, List.of(new Angler("wren", "Wren Ashdown")));
        String first = token(made("/club/people/invite", "role=guest&angler_id=wren"));
        String second = token(made("/club/people/invite", "role=guest&angler_id=wren"));
        post(null, "/invited/" + first, "name=Wren&username=" + unique("w") + "&password=" + WORD);
        assertThat(called("Wren").anglerId()).isEqualTo("wren");
        MockHttpServletResponse late =
                post(null, "/invited/" + second, "name=Other&username=" + unique("o") + "&password=" + WORD);
        assertThat(late.getStatus()).isEqualTo(422);
    }

    @Test
    void aGuestReaderSeesTheirOwnCardAndNoOneElses() throws Exception {
        String own = String.valueOf(club.reader.anglerId());
        Stint stint = club.all(LedgerFormat.STINTS).get(0);
        club.store(
                LedgerFormat.STINTS,
                List.of(LedgerFormat.STINTS.changed(
                        stint, java.util.Map.of("stint_id", "guest", "trip_id", "p", "angler_id", own))));
        String cards = get(club.reader, "/cards").getContentAsString();
        assertThat(Jsoup.parse(cards).select("main a").eachAttr("href"))
                .containsExactly("/trips/p/client?angler=" + own);
        assertThat(get(club.reader, "/trips/p/client?angler=" + own).getStatus())
                .isEqualTo(200);
        assertThat(get(club.reader, "/trips/p/client.pdf?angler=" + own).getStatus())
                .isEqualTo(200);
        assertThat(get(club.reader, "/trips/p/client?angler={me}").getStatus()).isEqualTo(404);
        String page = get(club.reader, "/findings/compare").getContentAsString();
        assertThat(Jsoup.parse(page).select(".frame-places a").eachText())
                .containsExactly("Findings", "Cards", "Account");
    }

    /** A page as a browser with these cookies and no session gets it. */
    private MockHttpServletResponse with(Cookie[] cookies, MockHttpServletRequestBuilder request) throws Exception {
        return mvc.perform(cookies.length == 0 ? request : request.cookie(cookies))
                .andReturn()
                .getResponse();
    }

    private Cookie device(MockHttpServletResponse answer) {
        Cookie cookie = answer.getCookie("dusk-device");
        assertThat(cookie).isNotNull();
        assertThat(cookie.isHttpOnly()).isTrue();
        assertThat(cookie.getMaxAge()).isEqualTo((int) Duration.ofDays(60).toSeconds());
        assertThat(cookie.getAttribute("SameSite")).isEqualTo("Lax");
        return cookie;
    }

    private Cookie signIn(Person person, String agent) throws Exception {
        return device(with(
                new Cookie[0],
                MockMvcRequestBuilders.post("/sign-in")
                        .param("username", person.signIn())
                        .param("password", WORD)
                        .header("User-Agent", agent)
                        .with(csrf())));
    }

    @Test
    void aDeviceStaysSignedInWithoutASessionUntilItIsEnded() throws Exception {
        Cookie phone = signIn(club.member, "Mozilla/5.0 (Android 15; Mobile) Firefox/142.0");
        Cookie desk = signIn(club.member, "Mozilla/5.0 (X11; Linux x86_64) Chrome/140.0 Safari/537.36");
        MockHttpServletResponse page = with(new Cookie[] {phone}, request("GET", "/account"));
        assertThat(page.getStatus()).isEqualTo(200);
        assertThat(page.getContentAsString())
                .contains("Android, Firefox", "Linux, Chrome", "You stay signed in on each for 60 days");
        Devices devices = beans.getBean(Devices.class);
        List<Devices.Device> both = devices.of(club.member.id());
        assertThat(both)
                .extracting(Devices.Device::name)
                .containsExactlyInAnyOrder("Android, Firefox", "Linux, Chrome");
        String lost = both.stream()
                .filter(d -> d.name().startsWith("Android"))
                .map(Devices.Device::id)
                .findFirst()
                .orElseThrow();
        post(club.other, "/account/devices/" + lost + "/end", "");
        assertThat(with(new Cookie[] {phone}, request("GET", "/account")).getStatus())
                .as("nobody ends another's device")
                .isEqualTo(200);
        post(club.member, "/account/devices/" + lost + "/end", "");
        assertThat(with(new Cookie[] {phone}, request("GET", "/account")).getStatus())
                .isEqualTo(302);
        assertThat(with(new Cookie[] {desk}, request("GET", "/account")).getStatus())
                .isEqualTo(200);
    }

    @Test
    void aSessionEndsWithItsDevice() throws Exception {
        MockHttpServletRequestBuilder signIn = MockMvcRequestBuilders.post("/sign-in")
                .param("username", club.member.signIn())
                .param("password", WORD)
                .with(csrf());
        var session = (org.springframework.mock.web.MockHttpSession)
                mvc.perform(signIn).andReturn().getRequest().getSession(false);
        MockHttpServletRequestBuilder page = MockMvcRequestBuilders.get("/account");
        assertThat(mvc.perform(page.session(session)).andReturn().getResponse().getStatus())
                .isEqualTo(200);
        beans.getBean(Devices.class).endAll(club.member.id(), null);
        assertThat(mvc.perform(MockMvcRequestBuilders.get("/account").session(session))
                        .andReturn()
                        .getResponse()
                        .getStatus())
                .isEqualTo(302);
    }

    @Test
    void aDeviceThatIsAwayForSixtyDaysIsForgottenAndOneThatIsUsedIsNot() throws Exception {
        TurnableClock clock = beans.getBean(TurnableClock.class);
        Cookie used = signIn(club.member, "");
        Cookie away = signIn(club.member, "");
        clock.turn(Duration.ofDays(40));
        assertThat(with(new Cookie[] {used}, request("GET", "/account")).getStatus())
                .isEqualTo(200);
        clock.turn(Duration.ofDays(40));
        assertThat(with(new Cookie[] {used}, request("GET", "/account")).getStatus())
                .isEqualTo(200);
        assertThat(with(new Cookie[] {away}, request("GET", "/account")).getStatus())
                .isEqualTo(302);
        clock.turn(Duration.ofDays(-80));
    }

    @ParameterizedTest
    @CsvSource({"x", "eDp5", "''", "eDp5Ono="})
    void whatIsNoDevicesSecretLetsNobodyIn(String value) throws Exception {
        assertThat(with(new Cookie[] {new Cookie("dusk-device", value)}, request("GET", "/account"))
                        .getStatus())
                .isEqualTo(302);
    }

    @Test
    void whoLostTheirPasswordChoosesANewOneByALinkWhichEndsAllDevices() throws Exception {
        Cookie before = signIn(club.member, "");
        String first = token(made("/club/people/" + club.member.id() + "/back-in", ""));
        String token = token(made("/club/people/" + club.member.id() + "/back-in", ""));
        assertThat(answer(null, request("GET", "/invited/" + first)).getStatus())
                .as("the newest link alone is good")
                .isEqualTo(404);
        String page = answer(null, request("GET", "/invited/" + token)).getContentAsString();
        assertThat(page).contains("A new password", club.member.signIn()).doesNotContain("Your name");
        assertThat(post(null, "/invited/" + token, "password=short").getContentAsString())
                .contains("Too short.");
        assertThat(post(null, "/invited/" + token, "password=quite another word")
                        .getStatus())
                .isEqualTo(302);
        assertThat(beans.getBean(People.class).passwordIs(club.member.id(), "quite another word"))
                .isTrue();
        assertThat(with(new Cookie[] {before}, request("GET", "/account")).getStatus())
                .isEqualTo(302);
        assertThat(post(null, "/invited/" + token, "password=a third long word").getStatus())
                .isEqualTo(404);
    }

    @Test
    void theLastOfficerStaysOfficerAndStays() throws Exception {
        String role = "/club/people/" + club.officer.id() + "/role";
        assertThat(post(club.officer, role, "role=member").getContentAsString())
                .contains("A club needs a records officer. Make somebody else one first, then it can be done.");
        assertThat(post(club.officer, "/account/leave", "leave=records&old=" + WORD)
                        .getContentAsString())
                .contains("A club needs a records officer.");
        post(club.officer, "/club/people/" + club.guide.id() + "/role", "role=officer");
        assertThat(post(club.officer, role, "role=king").getContentAsString()).contains("Choose what they may do.");
        assertThat(post(club.officer, role, "role=member").getStatus()).isEqualTo(302);
        assertThat(called(club.officer.name()).viewer().officer()).isFalse();
    }

    @ParameterizedTest
    @EnumSource(Membership.Leaving.class)
    void whoLeavesLeavesTheirRecordsNamelessOrNot(Membership.Leaving leaving) throws Exception {
        Places places = club.get(Places.class);
        places.keep(club.member.viewer(), "Kiln Point", new Position(44.2, -14.1));
        Cookie device = signIn(club.member, "");
        int stints = club.all(LedgerFormat.STINTS).size();
        assertThat(post(club.member, "/account/leave", "leave=" + leaving.name() + "&old=wrong")
                        .getStatus())
                .isEqualTo(422);
        assertThat(post(club.member, "/account/leave", "leave=" + leaving.name().toLowerCase() + "&old=" + WORD)
                        .getHeader("Location"))
                .isEqualTo("/sign-in?left");
        assertThat(with(new Cookie[] {device}, request("GET", "/account")).getStatus())
                .isEqualTo(302);
        assertThat(beans.getBean(People.class).bySignIn(club.member.signIn())).isEmpty();
        String angler = String.valueOf(club.member.anglerId());
        Optional<Angler> left = club.all(LedgerFormat.ANGLERS).stream()
                .filter(a -> a.id().equals(angler))
                .findFirst();
        assertThat(left.map(Angler::name).orElse(null))
                .isEqualTo(leaving == Membership.Leaving.RECORDS ? club.member.name() : null);
        Stream<Stint> own =
                club.all(LedgerFormat.STINTS).stream().filter(s -> s.anglerId().equals(angler));
        assertThat(own.count()).isEqualTo(leaving == Membership.Leaving.NOTHING ? 0 : 2);
        assertThat(get(club.officer, "/club/people").getContentAsString()).doesNotContain(club.member.name());
        assertThat(club.get(Membership.class).free(club.officer.viewer()))
                .as("nobody gets the records of who left, and the places with them")
                .extracting(Angler::id)
                .doesNotContain(angler);
        if (leaving == Membership.Leaving.NOTHING) {
            Deletions deletions = club.get(Deletions.class);
            deletions.undo(
                    club.officer.viewer(),
                    deletions.recent(club.officer.viewer(), 1).get(0).id());
            assertThat(club.all(LedgerFormat.STINTS)).as("brought back").hasSize(stints);
            Viewer gone = new Viewer(club.officer.clubId(), club.member.id(), angler, Viewer.Role.MEMBER);
            assertThat(places.one(gone, "point").map(Spot::label))
                    .as("for good")
                    .isEmpty();
        }
    }

    @Test
    void whatSomebodyChangedOfAnothersRecordIsToldAndCanBePutBack() throws Exception {
        post(club.officer, "/trips/p/stints/s", "minutes=50&casts=80");
        String toMember = Jsoup.parse(get(club.member, "/club/trail").getContentAsString())
                .select("main")
                .text();
        assertThat(toMember)
                .contains("Edda Pomroy changed a stint of yours")
                .contains("minutes 40 → 50")
                .contains("casts nothing → 80");
        assertThat(get(club.other, "/club/trail").getContentAsString()).contains("Nothing was changed yet.");
        Document page = Jsoup.parse(get(club.officer, "/club/trail").getContentAsString());
        assertThat(page.select("main").text()).contains("You changed a stint of Tobin Marl");
        String undo = page.select("main form[action$=/undo]").attr("action");
        assertThat(post(club.other, undo, "").getStatus()).isEqualTo(404);
        assertThat(post(club.officer, undo, "").getStatus()).isEqualTo(302);
        assertThat(minutes()).isEqualTo(40);
        assertThat(Jsoup.parse(get(club.member, "/club/trail").getContentAsString())
                        .select("main")
                        .text())
                .contains("put back by Edda Pomroy");
        post(club.officer, undo, "");
        assertThat(minutes()).as("once").isEqualTo(40);
    }

    private double minutes() {
        return club.all(LedgerFormat.STINTS).stream()
                .filter(s -> s.id().equals("s"))
                .findFirst()
                .orElseThrow()
                .minutes();
    }

    @Test
    void aChangeThatWasOvertakenIsPutBackAfterTheLaterOne() throws Exception {
        post(club.officer, "/trips/p/stints/s", "minutes=50");
        post(club.member, "/trips/p/stints/s", "minutes=55");
        List<String> undo = Jsoup.parse(get(club.member, "/club/trail").getContentAsString())
                .select("main form[action$=/undo]")
                .eachAttr("action");
        assertThat(undo).hasSize(2);
        post(club.member, undo.get(1), "");
        assertThat(minutes()).isEqualTo(55);
        post(club.member, undo.get(0), "");
        post(club.member, undo.get(1), "");
        assertThat(minutes()).isEqualTo(40);
    }

    @Test
    void whatSomebodyChangesOfTheirOwnIsTheirOwnBusiness() throws Exception {
        post(club.member, "/trips/p/stints/s", "minutes=44");
        assertThat(get(club.officer, "/club/trail").getContentAsString()).contains("Nothing was changed yet.");
        assertThat(get(club.member, "/club/trail").getContentAsString()).contains("a stint of yours");
    }
}
