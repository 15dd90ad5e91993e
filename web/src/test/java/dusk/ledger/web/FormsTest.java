package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.web.records.Person;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** Every form: what is wrong is said at its field, what was typed is kept, nothing is stored; what is right is. */
class FormsTest extends RequestedClub {
    private static String text(MockHttpServletResponse answer) throws Exception {
        return answer.getContentAsString()
                .replace("&quot;", "\"")
                .replace("&#39;", "'")
                .replace("&amp;", "&")
                .replaceAll("\\s+", " ");
    }

    /** What stands at the fields. */
    private static String faults(String page) {
        return Pattern.compile("class=\"fault[^>]*>([^<]*)<")
                .matcher(page)
                .results()
                .map(fault -> fault.group(1))
                .collect(Collectors.joining(" "));
    }

    /** Where it is sent; what is typed, the wrong field last; the sentence at the field. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "/trips | water_id=lake&started_at=yesterday | “yesterday” is not a date and time. Write it like 2026-05-01T18:30.",
                "/trips | water_id=lake&started_at= | Nothing here yet, and it is needed.",
                "/trips | started_at=2026-10-01T08:00&water_id=nowhere | Choose a water of the list.",
                "/trips/p | ended_at=2020-01-01T08:00 | is before the start, expected 2026-10-03T15:00:00Z or later.",
                "/trips/p/readings | at=2026-10-03T14:20&water_temp_c=cold | “cold” is not a temperature.",
                "/trips/p/readings | at=2026-10-03T14:20&clarity_m=murky | “murky” is not a length. Write it like 2.5 m or 8 ft.",
                "/trips/p/readings | at=2026-10-03T14:20&wind_mps=gale | “gale” is not a speed.",
                "/trips/p/stints | angler_id={me}&setup_id=jig&started_at=2026-10-03T15:00&minutes=half | “half” is not a number. Write it like 12.5.",
                "/trips/p/stints | angler_id={me}&setup_id=jig&started_at=2026-10-03T15:00&minutes= | Nothing here yet, and it is needed.",
                "/trips/p/stints | angler_id={me}&setup_id=jig&started_at=2026-10-03T15:00&minutes=9&bites=some | “some” is not a whole number. Write it like 3.",
                "/trips/p/stints | angler_id={me}&minutes=9&started_at=2026-10-03T15:00&setup_id=nothing | This one is not in the club's record. Choose one of the list.",
                "/trips/p/fish?stint=s | species=pike&count=1&length_mm=long | “long” is not a length. Write it like 10 cm or 4 in.",
                "/trips/p/fish?stint=s | count=1&species= | Nothing here yet, and it is needed.",
                "/trips/p/fish?stint=s | species=pike&count=1&mass_g=2 | Say whether the weight was measured or estimated.",
                "/trips/p/fish?stint=s | species=walleye&count=1&mass_how=from_length | A weight from length needs the length.",
                "/trips/p/stints/s | started_at=2024-10-03T15:00 | That is days away from the trip. Was it this trip?",
                "/trips/p | started_at=1926-10-03T15:00 | Its stints were fished days away from that.",
                "/trips/p/places | structure=dock&latitude=95 | Write -90 to 90, not “95”.",
                "/deck/{live}/rods/{rod}/fished | fish_depth_m=3 m&pause_s=a while | “a while” is not a number.",
                "/deck/{live}/rods/{rod}/fished | speed=slow&fish_depth_m=deep | “deep” is not a length. Write it like 2.5 m or 8 ft.",
                "/tackle?rig=drop%20shot | head_mass_g=heavy | “heavy” is not a weight.",
                "/tackle?rig=wacky | plastic_length_mm=long | “long” is not a length. Write it like 10 cm or 4 in.",
                "/tackle/set-ups/jig | line_diameter_mm=thin | “thin” is not a length.",
                "/tackle/rods | length_mm=2.1 m&name= | Give it a name, so that it can be chosen on the deck.",
                "/tackle/rods | name=stout&lure_max_g=heavy | “heavy” is not a weight.",
                "/tackle/rods/light | retrieve_mm=fast | “fast” is not a length.",
                "/tackle/set-ups/jig/drops | depth_m=4&seconds=soon | “soon” is not a count. Write seconds, more than 0 and at most 300, like 9.",
                "/tackle/set-ups/jig/drops | seconds=9&depth_m=100 | A depth must be above 0 and at most 60 m.",
                "/tackle/set-ups/jig/drops | depth_m=4&seconds=280 | That is far from what its weight and size can do.",
            })
    void aWrongFieldIsSaidAtItWithWhatWasTypedKeptAndNothingStored(String path, String form, String sentence)
            throws Exception {
        Map<String, List<?>> before = everything();
        MockHttpServletResponse answer = post(club.guide, path, form);
        assertThat(answer.getStatus()).isEqualTo(422);
        String page = text(answer);
        assertThat(faults(page)).contains(sentence);
        assertThat(page).as("the field says that it is wrong").contains("aria-invalid=\"true\"");
        for (String pair : form.split("&")) {
            String value = pair.substring(pair.indexOf('=') + 1);
            if (!value.isEmpty() && !value.startsWith("{") && !value.equals("nowhere") && !value.equals("nothing")) {
                assertThat(page).as("what was typed").contains(value);
            }
        }
        assertStands(before, "refused");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "/club/waters | kind=lake&name= | Nothing here yet, and it is needed.",
                "/club/waters | name=Tarn&kind=puddle | is not a word of this column",
                "/club/waters | name=Tarn&kind=lake&time_zone=Moon/Base | time zone",
                "/club/people/invite | for_whom=Ann&role=king | Choose what they may do.",
                "/club/people/invite | for_whom=Ann | Choose what they may do.",
                "/club/people/invite | role=member&days=0 | Write a whole number from 1 to 30, not “0”.",
                "/club/people/invite | role=member&days=soon | “soon” is not a whole number. Write it like 3.",
                "/club/people/invite | role=member&angler_id=nobody | These are somebody’s already. Choose another, or someone new.",
                "/account/leave | old=&leave= | Choose what becomes of your records. That is not your password now.",
                "/account/leave | old=x&leave=records | That is not your password now.",
                "/club/instruments | name=Mill gauge&address=http://127.0.0.1:9/ | Choose what it is.",
                "/club/instruments | kind=sonar&name=Mill gauge&address=http://127.0.0.1:9/ | Choose what it is.",
                "/club/instruments | kind=gauge&name=&address=http://127.0.0.1:9/&water_id=lake | Give it a name, such as Boat or Mill gauge.",
                "/club/instruments | kind=gauge&name=Mill gauge&address=&water_id=lake | Say where it is reached.",
                "/club/instruments | kind=gauge&name=Mill gauge&address=mill:80&water_id=lake | Write the web address of its report, such as http://192.168.1.30/report.json.",
                "/club/instruments | kind=boat&name=Boat&address=http://127.0.0.1:9/&angler_id=guide | Write host and port, such as 192.168.1.20:10110. Choose one of the list.",
                "/club/instruments | kind=boat&name=Boat&address=127.0.0.1:9 | Say in whose boat it is.",
                "/club/instruments | kind=station&name=Jetty&address=http://127.0.0.1:9/&water_id=nowhere | Choose one of the list.",
                "/club/instruments | kind=station&name=Jetty&address=http://127.0.0.1:9/ | Say which water it is of.",
                "/club/waters/lake/rules | least=38&species= | Say which species it is for.",
                "/club/waters/lake/rules | species=pike&least=0 | A length must be above 0.",
                "/club/waters/lake/rules | species=pike&slot_from=40 | It needs both ends.",
                "/club/waters/lake/rules | species=pike&slot_from=60&slot_to=40 | Less than where the slot begins.",
                "/club/waters/lake/rules | species=pike&closed_to=30 Jun&closed_from=spring | “spring” is not a day of the year. Write it like 15 Mar.",
                "/club/waters/lake/rules | species=pike&bag=lots | “lots” is not a whole number. Write it like 3.",
                "/club/waters/lake/rules | species=pike&bag=1000 | Write a whole number from 0 to",
                "/club/waters/lake/rules | species=pike | Write at least one of them.",
            })
    void theOfficersFormsToo(String path, String form, String sentence) throws Exception {
        Map<String, List<?>> before = everything();
        MockHttpServletResponse answer = post(club.officer, path, form);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(faults(text(answer))).containsIgnoringCase(sentence);
        assertStands(before, "refused");
    }

    @Test
    void theRoleChosenForANewcomerIsKeptWhenTheFormIsRefused() throws Exception {
        String page = text(post(club.officer, "/club/people/invite", "for_whom=Ann&days=0&role=guide"));
        assertThat(page)
                .contains("value=\"Ann\"")
                .containsPattern("value=\"guide\"\\s+checked=\"checked\"")
                .doesNotContainPattern("value=\"officer\"\\s+checked");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/trips/p/readings/new",
                "/trips/p/stints/new",
                "/trips/p/fish/new?stint=s",
                "/trips/p/places/new",
                "/trips/p/stints/s/edit",
                "/trips/p/fish/f/edit",
                "/trips/p/readings/r/edit",
            })
    void aFormIsAPageOfItsOwnOrAPartOfThePageThatAskedForIt(String path) throws Exception {
        String page = text(get(club.guide, path));
        assertThat(page).contains("<!DOCTYPE html>").contains("<nav").contains("<form");
        String part = text(answer(club.guide, request("GET", path).header("HX-Request", "true")));
        assertThat(part)
                .doesNotContain("<!DOCTYPE html>")
                .doesNotContain("<nav")
                .contains("<form");
        assertThat(page).contains(first("action=\"[^\"]*\"", part));
        assertThat(names(page)).as("the same fields").containsAll(names(part)).hasSizeGreaterThan(3);
    }

    private static String first(String form, String text) {
        return Pattern.compile(form)
                .matcher(text)
                .results()
                .findFirst()
                .orElseThrow()
                .group();
    }

    private static Set<String> names(String page) {
        return Pattern.compile("name=\"\\w+\"")
                .matcher(page)
                .results()
                .map(MatchResult::group)
                .collect(Collectors.toSet());
    }

    @Test
    void aScriptIsSentOnAndAPageRedirected() throws Exception {
        MockHttpServletRequestBuilder scripted = request("POST", "/tackle/rods").header("HX-Request", "true");
        MockHttpServletResponse answer = answer(club.guide, typed(scripted, "name=stout"));
        assertThat(answer.getHeader("HX-Redirect")).endsWith("/tackle/rods");
        MockHttpServletResponse plain = post(club.guide, "/tackle/rods", "name=stouter");
        assertThat(plain.getStatus()).isEqualTo(302);
        assertThat(plain.getHeader("Location")).endsWith("/tackle/rods");
        assertThat(club.all(LedgerFormat.RODS)).extracting(Rod::name).contains("stout", "stouter");
    }

    @Test
    void aRefusedFormAnswersAScriptWithThePartAlone() throws Exception {
        MockHttpServletRequestBuilder scripted =
                request("POST", "/trips/p/stints").header("HX-Request", "true");
        MockHttpServletResponse answer = answer(club.guide, typed(scripted, "minutes=half"));
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(text(answer)).doesNotContain("<!DOCTYPE html>").contains("half");
    }

    private Rod light() {
        return club.all(LedgerFormat.RODS).stream()
                .filter(r -> r.id().equals("light"))
                .findFirst()
                .orElseThrow();
    }

    /** What the form shows rounded is not stored rounded: a field left as it was keeps its exact value. */
    @Test
    void aFieldLeftAloneKeepsItsExactValueInEveryUnitSystem() throws Exception {
        Length exact = Length.ofMillimetres(2133.7);
        club.get(dusk.ledger.web.records.Rods.class)
                .change(club.guide.viewer(), LedgerFormat.RODS.changed(light(), Map.of("length_mm", 2133.7)));
        for (String units : List.of("us", "metric")) {
            post(club.guide, "/account/units", "units=" + units);
            Person guide = club.get(dusk.ledger.web.records.People.class)
                    .byId(club.guide.id())
                    .orElseThrow();
            String page = text(get(guide, "/tackle/rods/light/edit"));
            String shown = page.replaceAll(".*name=\"length_mm\"[^>]*value=\"([^\"]*)\".*", "$1");
            assertThat(shown)
                    .isEqualTo(units.equals("us") ? exact.show(guide.units().lure()) : "213.4 cm");
            post(guide, "/tackle/rods/light", "name=renamed&length_mm=" + shown);
            assertThat(light().length()).isEqualTo(exact);
        }
        assertThat(light().name()).isEqualTo("renamed");
        assertThat(light().lureMax()).isEqualTo(Mass.ofGrams(12));
    }

    @Test
    void aFishedSetUpIsNeverAlteredAndAnUnfishedOneIs() throws Exception {
        post(club.guide, "/tackle/set-ups/jig", "rig=open jig head&colour=violet");
        assertThat(club.all(LedgerFormat.SETUPS)).contains(club.jig).anySatisfy(made -> {
            assertThat(made.fromSetUpId()).isEqualTo("jig");
            assertThat(made.colour()).isEqualTo("violet");
        });
        post(club.guide, "/tackle/set-ups/bare", "colour=violet");
        assertThat(club.all(LedgerFormat.SETUPS).stream()
                        .filter(s -> s.id().equals("bare"))
                        .findFirst())
                .get()
                .extracting(SetUp::colour)
                .isEqualTo("violet");
        int count = club.all(LedgerFormat.SETUPS).size();
        post(club.guide, "/tackle/set-ups/drop", "");
        assertThat(club.all(LedgerFormat.SETUPS)).as("nothing changed").hasSize(count);
    }

    @Test
    void aFishRaisesTheCountsOfItsStint() throws Exception {
        post(club.guide, "/trips/p/fish?stint=s", "species=pike&count=4&length_mm=61&length_how=measured");
        assertThat(club.all(LedgerFormat.STINTS).stream()
                        .filter(s -> s.id().equals("s"))
                        .findFirst())
                .get()
                .satisfies(stint -> {
                    assertThat(stint.hooked()).isEqualTo(5);
                    assertThat(stint.bites()).isEqualTo(5);
                });
        assertThat(club.all(LedgerFormat.CATCHES))
                .anySatisfy(fish -> assertThat(fish.length()).isEqualTo(Length.ofMillimetres(610)));
    }

    @Test
    void whatIsDeletedComesBack() throws Exception {
        Map<String, List<?>> before = everything();
        // that it was written and written back stays known, for the findings to read it again
        before.remove("written");
        for (String path : List.of(
                "/trips/p/fish/f/delete",
                "/trips/p/readings/r/delete",
                "/trips/p/stints/s/delete",
                "/trips/p/delete")) {
            MockHttpServletResponse answer = post(club.guide, path, "");
            assertThat(everything()).as(path).isNotEqualTo(before);
            String page = text(get(club.guide, "/trips"));
            String undo = page.replaceAll(".*action=\"(/deletions/[^\"]+/undo)\".*", "$1");
            assertThat(answer.getStatus()).isEqualTo(302);
            post(club.guide, undo, "");
            assertStands(before, path);
        }
    }

    @Test
    void aWordThatWouldBeMarkupIsText() throws Exception {
        post(club.guide, "/tackle/rods", "name=<b>bold</b>");
        assertThat(get(club.guide, "/tackle/rods").getContentAsString())
                .doesNotContain("<b>bold")
                .contains("&lt;b&gt;bold");
        post(club.guide, "/trips/p", "note=<script>alert(1)</script>");
        assertThat(get(club.guide, "/trips/p").getContentAsString()).doesNotContain("<script>alert");
    }

    @Test
    void theDeckRefusesOnTheCardAndKeepsWhatWasTyped() throws Exception {
        String rod = ids.get("rod");
        post(club.guide, "/deck/{live}/rods/{rod}/down", "");
        MockHttpServletResponse answer = post(club.guide, "/deck/{live}/rods/" + rod + "/bite", "");
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(text(answer)).contains("Rod 1 is down. Pick it up first.").contains("<!DOCTYPE html>");
        MockHttpServletRequestBuilder touch =
                request("POST", "/deck/{live}/rods/{rod}/bite").header("X-Deck", "1");
        MockHttpServletResponse card = answer(club.guide, touch);
        assertThat(text(card)).contains("Rod 1 is down.").doesNotContain("<!DOCTYPE html>");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "reading | column=water_temp_c&water_temp_c=warm | “warm” is not a temperature",
                "move | depth_m=4 | Say where to: a place of the list, or what kind of place it is.",
                "cast | x=y | No fan is laid here yet.",
                "still | column=sky | There is no reading to confirm yet.",
                "undo | undo=nothing | That was undone already.",
            })
    void whatTheDeckCannotDoItSaysOnItsPage(String what, String form, String sentence) throws Exception {
        Map<String, List<?>> before = everything();
        MockHttpServletResponse answer = post(club.guide, "/deck/{live}/" + what, form);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(text(answer)).contains(sentence);
        assertStands(before, "refused");
    }

    @ParameterizedTest
    @CsvSource({
        "water_id=lake&rods=2&setup_id_1=jig, Choose",
        "water_id=lake&rods=1&angler_id_1={me}&setup_id_1=jig&until=later, is not a time of day",
        "water_id=lake&rods=1&angler_id_1={me}&setup_id_1=jig&depth_m=deep, is not a length"
    })
    void aTripIsStartedWholeOrNot(String form, String sentence) throws Exception {
        Map<String, List<?>> before = everything();
        MockHttpServletResponse answer = post(club.other, "/deck", form);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(text(answer)).contains(sentence);
        assertStands(before, "refused");
    }
}
