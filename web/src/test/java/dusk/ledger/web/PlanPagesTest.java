package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.web.records.Person;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletResponse;

/** The call and the rule book of a small club. */
class PlanPagesTest extends RequestedClub {
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

    @Test
    void theSpreadGoesToTheDeckAsItWasCalled() throws Exception {
        String page = page("/plan?water=lake&rods=2");
        MatchResult start = Pattern.compile("href=\"(/deck/new\\?[^\"]*)\"")
                .matcher(page)
                .results()
                .findFirst()
                .orElseThrow();
        assertThat(start.group(1)).contains("rods=2").contains("water=lake").contains("setup_id_2=");
        String deck = page(start.group(1));
        List<String> called = Pattern.compile("setup_id_[12]=([^&]*)")
                .matcher(start.group(1))
                .results()
                .map(id -> id.group(1))
                .toList();
        assertThat(called).hasSize(2).doesNotHaveDuplicates();
        assertThat(called).allSatisfy(id -> assertThat(deck).containsPattern("value=\"" + id + "\"[^>]*selected"));
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
                .contains("Name your first water");
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
