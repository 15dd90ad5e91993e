package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.units.Position;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Places;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.context.TestPropertySource;
import org.springframework.web.util.UriUtils;

/** The plan's pages of a small club, with a clock of its own: classes that run beside it share theirs. */
@TestPropertySource(properties = "dusk.tested.apart=plan")
class PlanPagesTest extends RequestedClub {
    private void pass(long minutes) {
        club.clock.turn(Duration.ofMinutes(minutes));
    }

    private String page(String path) throws Exception {
        return page(club.member, path);
    }

    private String page(Person person, String path) throws Exception {
        MockHttpServletResponse answer = get(person, path);
        assertThat(answer.getStatus()).isEqualTo(200);
        return answer.getContentAsString()
                .replace("&#39;", "'")
                .replace("&amp;", "&")
                .replaceAll("\\s+", " ");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "water_temp_c=warm | “warm” is not a temperature.",
                "clarity_m=murky | “murky” is not a length.",
                "depth_m=deep | “deep” is not a length.",
                "at=soon | “soon” is not a date and time.",
                "rods=9 | 1 to 8",
                "rods=many | “many” is not a whole number.",
            })
    void aConditionThatCannotBeIsSaidAtItsFieldAndWhatWasTypedStays(String typed, String said) throws Exception {
        MockHttpServletResponse answer = get(club.member, "/plan?" + typed);
        assertThat(answer.getStatus()).isEqualTo(422);
        String page = answer.getContentAsString().replaceAll("\\s+", " ");
        assertThat(page)
                .contains("Nothing was called. What is marked below needs another look.")
                .contains(said);
        assertThat(page).contains("value=\"" + typed.substring(typed.indexOf('=') + 1));
    }

    @Test
    void theCallStartsFromTheWatersLastReadingUntilSomethingElseIsSaid() throws Exception {
        post(club.guide, "/trips/p/readings", "at=2026-10-03T14:20&water_temp_c=8&clarity_m=0.5");
        String page = page("/plan?water=lake");
        assertThat(page)
                .contains("value=\"8 °C\"")
                .contains("winter")
                .contains("Cold water: life-jacket on and done up.")
                .contains("Which colour where one does not see far");
        assertThat(page("/plan?water=lake&water_temp_c=22")).contains("summer").doesNotContain("Cold water");
    }

    /** Keeps a call and leads to the form of the deck. */
    private String kept(Person person, String asked) throws Exception {
        MockHttpServletResponse answer = post(person, "/plan/calls", asked);
        assertThat(answer.getStatus()).isEqualTo(302);
        return String.valueOf(answer.getRedirectedUrl());
    }

    @Test
    void theSpreadGoesToTheDeckAsItWasCalled() throws Exception {
        String start = kept(club.member, "water=lake&rods=2");
        assertThat(start)
                .contains("rods=2")
                .contains("water=lake")
                .contains("setup_id_2=")
                .contains("call=");
        String deck = page(start);
        List<String> called = Pattern.compile("setup_id_[12]=([^&]*)")
                .matcher(start)
                .results()
                .map(id -> id.group(1))
                .toList();
        assertThat(called).hasSize(2).doesNotHaveDuplicates();
        assertThat(called).allSatisfy(id -> assertThat(deck).containsPattern("value=\"" + id + "\"[^>]*selected"));
    }

    /** Starts a trip of one rod on what is called, and returns where its deck is. */
    private String taken(Person person, String more) throws Exception {
        String start = kept(person, "water=lake&rods=1");
        String form = start.substring(start.indexOf('?') + 1)
                .replace("water=", "water_id=")
                .replace("rods=1", "rods=1&angler_id_1=" + person.anglerId() + more);
        MockHttpServletResponse answer = post(person, "/deck", form);
        assertThat(answer.getStatus()).isEqualTo(302);
        return String.valueOf(answer.getRedirectedUrl());
    }

    private String rodOf(String deck) throws Exception {
        return Pattern.compile("id=\"rod-([^\"]+)\"")
                .matcher(page(deck))
                .results()
                .findFirst()
                .orElseThrow()
                .group(1);
    }

    @Test
    void whatACallPromisedIsSetAgainstWhatCame() throws Exception {
        assertThat(page("/plan/kept")).contains("No call was taken to the deck and fished yet");
        String deck = taken(club.member, "");
        String rod = rodOf(deck);
        pass(30);
        post(club.member, deck + "/rods/" + rod + "/landed", "species=walleye");
        pass(30);
        post(club.member, deck + "/end", "");
        assertThat(page("/plan/kept"))
                .containsPattern("Calls promised [0-9.]+ fish on 1 rod and 1 came")
                .contains("By tenths of what was promised")
                .contains("1 fish in 1.0 rod-hours came, 1.00 a rod-hour");
        assertThat(page(deck.replace("/deck/", "/trips/") + "/debrief"))
                .contains("What the call promised, and what came")
                .contains("1 fish in 1.0 rod-hours came");
    }

    @Test
    void aCallIsTakenByWhoeverMadeItAndStaysWithItsFirstTrip() throws Exception {
        String start = kept(club.member, "water=lake&rods=1");
        String call = start.replaceFirst(".*call=([^&]*).*", "$1");
        String form = "rods=1&water_id=lake&setup_id_1=jig&call=" + call + "&angler_id_1=";
        assertThat(post(club.guide, "/deck", form + club.guide.anglerId()).getStatus())
                .isEqualTo(404);
        assertThat(post(club.member, "/deck", form + club.member.anglerId()).getStatus())
                .isEqualTo(302);
        assertThat(post(club.member, "/deck", form + club.member.anglerId()).getStatus())
                .isEqualTo(302);
    }

    private String cardOf(String deck, String rod) throws Exception {
        String page = page(club.guide, deck);
        int from = page.indexOf("id=\"rod-" + rod + "\"");
        return page.substring(from, page.indexOf("</article>", from));
    }

    @Test
    void theLotIsTakenOrDeclinedInOneTouchAndBothAreNoted() throws Exception {
        String deck = "/deck/" + live;
        post(club.guide, deck + "/lot", "lot=2");
        int taken = 0;
        int declined = 0;
        for (int swap = 0; swap < 12; swap++) {
            pass(1);
            boolean offered = cardOf(deck, String.valueOf(ids.get("rod"))).contains("Next by lot: ");
            String touch = !offered ? "swap" : swap % 2 == 0 ? "take" : "decline";
            String typed = offered ? "" : "colour=" + (swap % 2 == 0 ? "violet" : "pearl");
            MockHttpServletResponse answer = post(club.guide, deck + "/rods/" + ids.get("rod") + "/" + touch, typed);
            taken += touch.equals("take") && answer.getStatus() == 302 ? 1 : 0;
            declined += touch.equals("decline") && answer.getStatus() == 302 ? 1 : 0;
        }
        assertThat(taken + declined).isPositive();
        assertThat(page(club.guide, "/plan/trials"))
                .contains((taken + declined) + (taken + declined == 1 ? " swap was drawn, " : " swaps were drawn, ")
                        + taken + " taken");
        assertThat(post(club.guide, deck + "/lot", "lot=3").getStatus()).isEqualTo(404);
    }

    @Test
    void withoutALotNothingIsOffered() throws Exception {
        assertThat(page(club.guide, "/deck/" + live))
                .doesNotContain("Next by lot")
                .contains("The lot");
        assertThat(post(club.guide, "/deck/" + live + "/rods/" + ids.get("rod") + "/take", "")
                        .getStatus())
                .isEqualTo(422);
    }

    @Test
    void aTrialCallsItsTurnsOnTheDeckAndIsJudgedByThemAlone() throws Exception {
        assertThat(post(club.guide, "/plan/trials", "setup_id_a=jig&setup_id_b=jig&minutes=1&hours=")
                        .getContentAsString())
                .contains("Choose another than the first")
                .contains("Say how many rod-hours each is to be fished");
        post(club.guide, "/plan/trials", "setup_id_a=jig&setup_id_b=drop&minutes=20&hours=10");
        String page = page(club.guide, "/plan/trials");
        assertThat(page).contains("Not fished on both sides yet").contains("of 10 rod-hours");
        String trial = Pattern.compile("id=\"trial-([0-9a-f-]{36})\"")
                .matcher(page)
                .results()
                .findFirst()
                .orElseThrow()
                .group(1);
        String deck = "/deck/" + live;
        post(club.guide, deck + "/trial", "trial_id=" + trial);
        assertThat(page(club.guide, deck)).contains("The trial's turn: ").contains("20 minutes");
        for (int turn = 0; turn < 4; turn++) {
            post(club.guide, deck + "/rods/" + ids.get("rod") + "/take", "");
            pass(20);
            post(club.guide, deck + "/rods/" + ids.get("rod") + "/landed", "species=walleye");
            pass(1);
            post(club.guide, deck + "/rods/" + ids.get("rod") + "/still", "");
        }
        assertThat(page(club.guide, "/plan/trials"))
                .contains(" in 100 that the ")
                .contains("To stop now");
        post(club.guide, "/plan/trials/" + trial + "/end", "");
        assertThat(page(club.guide, "/plan/trials")).contains("Take its end back");
        assertThat(page(club.guide, deck)).doesNotContain("The trial's turn");
    }

    @Test
    void thePackListSaysWhatGoesAlongAndTheWatersCautions() throws Exception {
        assertThat(page("/plan/pack?water=lake&water_temp_c=8&rods=1"))
                .contains("Thermometer and clarity disc")
                .contains("Cold water: life-jacket on and done up.")
                .contains("published local rules prevail");
        assertThat(page("/plan/pack?water=lake&on_foot=yes&fits=1")).contains("One rod and the chest pack");
        MockHttpServletResponse wrong = get(club.member, "/plan/pack?water=lake&hours=many");
        assertThat(wrong.getStatus()).isEqualTo(422);
        assertThat(wrong.getContentAsString()).contains("value=\"many\"");
    }

    private static final String RUN = "water=lake&from=2026-10-03T14:00&until=18:00&move=10";

    @Test
    void theRunIsReckonedReorderedAndTakenAlongAsACalendar() throws Exception {
        String run = page("/plan/run?" + RUN + "&spot=point&spot=dock");
        assertThat(run).contains("bites to expect on each rod until 18:00").contains("Earlier</button>");
        String byHand = page("/plan/run?" + RUN + "&spot=point&spot=dock&order=dock,point");
        assertThat(byHand).contains("In your order").contains("Best order again");
        String calendar = get(club.member, "/plan/run.ics?" + RUN + "&spot=point&spot=dock")
                .getContentAsString();
        assertThat(calendar)
                .startsWith("BEGIN:VCALENDAR\r\nVERSION:2.0\r\n")
                .contains("BEGIN:VEVENT")
                .contains("bites to expect")
                .endsWith("END:VCALENDAR\r\n");
        assertThat(calendar.lines())
                .allSatisfy(line -> assertThat(line.length()).isLessThanOrEqualTo(75));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "from=soon&until=18:00&move=10&spot=point | is not a date and time. Write it like 2026-05-01T18:30.",
                "from=2026-10-03T14:00&until=late&move=10&spot=point | “late”",
                "from=2026-10-03T14:00&until=18:00&move=999&spot=point | 0 to 240",
                "from=2026-10-03T14:00&until=18:00&move=10 | Tick at least one place.",
            })
    void aRunThatCannotBeSaysWhatIsWrongAndKeepsWhatWasTyped(String typed, String said) throws Exception {
        MockHttpServletResponse answer = get(club.member, "/plan/run?water=lake&" + typed);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains(said).contains("No run was reckoned");
        assertThat(get(club.member, "/plan/run.ics?water=lake&" + typed).getStatus())
                .isEqualTo(422);
    }

    @Test
    void placesThatOthersKeepAreNeitherOnTheBoardNorInTheRunNorItsCalendar() throws Exception {
        club.get(Places.class).keep(club.guide.viewer(), String.valueOf(club.point.label()), new Position(44.5, -14.0));
        pass(30);
        assertThat(page(club.guide, "/plan/go-back?water=lake"))
                .as("their owner")
                .contains("Kiln Point");
        for (String path : List.of("/plan/run?" + RUN + "&spot=dock", "/plan/go-back?water=lake", "/today")) {
            assertThat(page(path))
                    .doesNotContain("kept private")
                    .doesNotContain("value=\"point\"")
                    .doesNotContain("Kiln Point");
        }
        assertThat(get(club.member, "/plan/run.ics?" + RUN + "&spot=point").getStatus())
                .isEqualTo(422);
    }

    @Test
    void todaySaysWhatIsLiveTheWaterTheNextCallAndWhereToGoBack() throws Exception {
        assertThat(get(club.member, "/").getRedirectedUrl()).isEqualTo("/today");
        assertThat(page("/today"))
                .contains("On deck now")
                .contains("read ")
                .containsPattern("For \\w+ \\d+ \\w+ 2026")
                .contains("1. search")
                .contains("Go back to")
                .contains("What the records say now");
        post(club.guide, "/trips/p/readings", "at=2026-10-03T14:20&water_temp_c=8&clarity_m=0.5");
        for (String path : List.of("/today", "/plan/go-back?water=lake", "/plan?water=lake")) {
            assertThat(page(path)).as("by the last reading, on " + path).contains("winter");
        }
        assertThat(page("/today")).contains("Cold water: life-jacket on and done up.");
        assertThat(page(club.stranger, "/today")).contains("Take the first steps");
    }

    @Test
    void aSchoolThatIsFollowedForACallStaysChosen() throws Exception {
        String asked = "/plan?water=lake&water_temp_c=8&clarity_m=0.3";
        assertThat(page(asked)).contains("Follow a school where schools disagree");
        Matcher school = Pattern.compile(
                        "name=\"(follow\\.[^\"]+)\"[^>]*> ?<option value=\"\">every school alike</option>"
                                + " ?<option value=\"([^\"]+)\"")
                .matcher(page(asked));
        assertThat(school.find()).isTrue();
        String followed = asked + "&" + UriUtils.encode(school.group(1), StandardCharsets.UTF_8) + "="
                + UriUtils.encode(school.group(2), StandardCharsets.UTF_8);
        assertThat(page(followed)).containsPattern("value=\"" + Pattern.quote(school.group(2)) + "\"[^>]*selected");
    }

    @Test
    void aSchoolIsFollowedFromNowOnUntilAllAreHeardAgain() throws Exception {
        String question = "question=Which metal over soft bottom&school=";
        assertThat(page("/plan?water=lake")).doesNotContainPattern("value=\"feel always\"[^>]*selected");
        post(club.member, "/plan/schools", question + "feel always");
        assertThat(page("/plan?water=lake")).containsPattern("value=\"feel always\"[^>]*selected");
        assertThat(page("/plan/rules"))
                .containsPattern(
                        "aria-pressed=\"true\"[^>]*>feel always<|value=\"feel always\"[^>]*aria-pressed=\"true\"");
        assertThat(page(club.guide, "/plan?water=lake")).doesNotContainPattern("value=\"feel always\"[^>]*selected");
        post(club.member, "/plan/schools", question);
        assertThat(page("/plan?water=lake")).doesNotContainPattern("value=\"feel always\"[^>]*selected");
        assertThat(post(club.member, "/plan/schools", question + "feel never").getStatus())
                .isEqualTo(404);
    }

    @Test
    void leadIsNotCalledWhereTheRulesForbidIt() throws Exception {
        post(club.officer, "/club/waters/lake/rules/lead", "forbidden=true");
        assertThat(page("/plan?water=lake"))
                .contains("Not called, and why")
                .contains("The rules entered for this water forbid lead.");
    }

    @Test
    void aNewClubIsToldWhatWillStandHere() throws Exception {
        assertThat(page(club.stranger, "/plan"))
                .contains("It begins with a water to fish.")
                .contains("Take the first steps");
    }

    @Test
    void theRuleBookSaysOfEachThingWhatTheRecordsSay() throws Exception {
        assertThat(page("/plan/rules"))
                .containsPattern("Of \\d+ things the trade says, this club's records hold with 0 and against 0")
                .contains("Violet in the cold")
                .contains("Nobody fished it here while that held.")
                .contains("href=\"/findings/compare?factor=colour&where=season%3Dwinter\"");
    }
}
