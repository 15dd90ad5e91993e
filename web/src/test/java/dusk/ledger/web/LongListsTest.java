package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.units.Mass;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.records.Decks;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.util.UriUtils;

/** A club with more set-ups and anglers than a list can show: both are found by words, with script and without. */
class LongListsTest extends RequestedClub {
    private static final int MOST_BYTES = 250 * 1024;

    @BeforeEach
    void many() {
        List<SetUp> setUps = new ArrayList<>();
        for (String rig : List.of("texas rig", "mushroom head", "wacky")) {
            for (String colour : Words.of("colour")) {
                for (double grams : new double[] {2, 3.5, 5, 7, 10}) {
                    setUps.add(SetUpBuilder.builder()
                            .id("many" + setUps.size())
                            .rig(rig)
                            .headMass(Mass.ofGrams(grams))
                            .colour(colour)
                            .build());
                }
            }
        }
        club.store(LedgerFormat.SETUPS, setUps);
        List<Angler> anglers = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            anglers.add(new Angler("angler" + i, "Member " + (i + 1000)));
        }
        club.store(LedgerFormat.ANGLERS, anglers);
    }

    private static String text(MockHttpServletResponse answer) throws Exception {
        return answer.getContentAsString(StandardCharsets.UTF_8);
    }

    private static long options(String page, String select) {
        Matcher found = Pattern.compile("<select[^>]*name=\"" + select + "\"[\\s\\S]*?</select>")
                .matcher(page);
        assertThat(found.find()).as(select).isTrue();
        return found.group().split("<option ").length - 2L;
    }

    private static String choose(String field, String words) {
        return "/choose?find." + field + "=" + UriUtils.encode(words, StandardCharsets.UTF_8);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/deck/new?rods=8",
                "/deck/{live}",
                "/deck/{live}/rods/new",
                "/deck/{live}/rods/{rod}/set-up",
                "/trips/past?rows=12",
                "/trips/p",
                "/trips/p/stints/new",
                "/trips/p/stints/s/edit",
                "/tackle",
                "/tackle?find=violet",
                "/tackle/set-ups/jig",
                "/column",
                "/column/card",
                "/column/fan",
                "/plan",
                "/plan/rules",
                "/plan/pack",
                "/plan/run",
                "/plan/go-back",
                "/plan/trials",
                "/plan/kept",
                "/today",
                "/findings/compare",
            })
    void noPageListsThemAll(String path) throws Exception {
        MockHttpServletResponse answer = get(club.guide, path);
        assertThat(answer.getStatus()).isEqualTo(200);
        assertThat(answer.getContentAsByteArray().length).isLessThan(MOST_BYTES);
    }

    @Test
    void theLikelyOnesAreOfferedAtOnceAndWhatIsChosenIsAmongThem() throws Exception {
        String page = text(get(club.guide, "/deck/new?rods=1"));
        assertThat(options(page, "setup_id_1")).isEqualTo(60);
        assertThat(page).contains("name=\"find.setup_id_1\"").contains("name=\"find.angler_id_1\"");
        // what was fished is offered first, and the person first of the anglers
        assertThat(page.indexOf("open jig head, 7 g")).isPositive().isLessThan(page.indexOf("mushroom head, 10 g"));
        assertThat(page.indexOf(">Harl Quist<")).isPositive().isLessThan(page.indexOf(">Member 1000<"));
        String past = text(get(club.guide, "/trips/past"));
        assertThat(options(past, "setup_1")).isEqualTo(60);
        assertThat(options(past, "angler_4")).isEqualTo(60);
        assertThat(text(get(club.guide, "/trips/p/stints/s/edit"))).contains("value=\"jig\" selected");
    }

    @Test
    void wordsFindWhatHoldsAllOfThemWhateverTheirOrder() throws Exception {
        String options = text(get(club.guide, choose("setup_id_1", "VIOLET texas")));
        assertThat(options.split("<option ")).hasSize(1 + 1 + 5);
        assertThat(options).containsPattern("value=\"many\\d+\" selected=\"selected\">texas rig, \\d");
        assertThat(text(get(club.guide, choose("setup_id_1", "violet 3.5 texas"))))
                .contains(">texas rig, 3.5 g, violet<")
                .doesNotContain(">texas rig, 5 g, violet<");
        assertThat(text(get(club.guide, choose("setup_id_1", "texas")))).contains("more: write more words");
        assertThat(text(get(club.guide, choose("setup_id_1", "no such thing"))))
                .contains("nothing has all of these words");
        assertThat(text(get(club.guide, choose("angler_id_2", "1007")))).contains(">Member 1007<");
        assertThat(text(get(club.stranger, choose("setup_id_1", "violet texas"))))
                .doesNotContain("violet");
    }

    @Test
    void withoutScriptTheWordsAreReadWithTheForm() throws Exception {
        String form = "water_id=lake&rods=1&lines=in&find.setup_id_1=mushroom violet 3.5&find.angler_id_1=member 1007";
        MockHttpServletResponse begun = post(club.guide, "/deck", form);
        assertThat(begun.getStatus()).isEqualTo(302);
        String trip = begun.getHeader("Location").replace("/deck/", "");
        assertThat(club.get(Decks.class).deck(club.officer.viewer(), trip).rods())
                .singleElement()
                .satisfies(rod -> {
                    assertThat(rod.anglerId()).isEqualTo("angler7");
                    assertThat(club.all(LedgerFormat.SETUPS))
                            .anyMatch(s -> s.id().equals(rod.setUpId())
                                    && s.rig().equals("mushroom head")
                                    && "violet".equals(s.colour()));
                });
    }

    @Test
    void severalOrNoneAreSaidAtTheFieldWithTheFirstToChooseFrom() throws Exception {
        String form = "water_id=lake&rods=1&angler_id_1={me}&find.setup_id_1=";
        String several = text(post(club.member, "/deck", form + "mushroom violet"));
        assertThat(several)
                .contains("5 set-ups have “mushroom violet” in them. Choose one here, or write more words.")
                .contains("value=\"mushroom violet\"");
        assertThat(options(several, "setup_id_1")).isEqualTo(5);
        assertThat(text(post(club.member, "/deck", form + "purple haze")))
                .contains("No set-up has all of “purple haze” in it. Write fewer or other words.");
    }

    @Test
    void aStintAndAPastTripTakeWordsToo() throws Exception {
        MockHttpServletResponse saved = post(
                club.guide,
                "/trips/p/stints",
                "find.angler_id=member 1003&find.setup_id=wacky violet 5 g&started_at=2026-10-03T15:00&minutes=20");
        assertThat(saved.getStatus()).as(text(saved)).isEqualTo(302);
        MockHttpServletResponse refused = post(
                club.guide,
                "/trips/p/stints",
                "angler_id={me}&find.setup_id=violet&started_at=2026-10-03T15:00&minutes=20");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(text(refused)).contains("16 set-ups have “violet” in them.").contains("value=\"violet\"");
        post(
                club.guide,
                "/trips/past",
                "rows=1&water_id=lake&date=2026-10-02&from=17:30&minutes_1=45&find.setup_1=wacky violet 7 g&find.angler_1=1004");
        assertThat(club.all(LedgerFormat.STINTS)).extracting(Stint::anglerId).contains("angler3", "angler4");
    }

    @Test
    void tackleIsTurnedPageByPageAndFoundByWords() throws Exception {
        String first = text(get(club.guide, "/tackle?rig=wacky"));
        assertThat(first).contains("Less fished").doesNotContain("More fished");
        String second = text(get(club.guide, "/tackle?rig=wacky&page=1"));
        assertThat(second).contains("More fished");
        String found = text(get(club.guide, "/tackle?find=violet%203.5g"));
        assertThat(found).contains("3 set-ups hold all of “violet 3.5g”.");
        assertThat(text(get(club.guide, "/tackle?find=nothing%20such")))
                .contains("0 set-ups hold all of “nothing such”.");
    }

    @Test
    void theBenchTakesWords() throws Exception {
        assertThat(text(get(club.guide, "/column?setup=&find.setup=texas%20violet%203.5")))
                .contains("name=\"find.setup\"")
                .containsPattern("value=\"many\\d+\"\\s+selected=\"selected\">texas rig, 3.5 g, violet");
    }

    @Test
    void aShortListStandsWholeWithoutAFieldForWords() throws Exception {
        newClub();
        String page = text(get(club.guide, "/deck/new?rods=1"));
        assertThat(options(page, "setup_id_1")).isEqualTo(3);
        assertThat(page).doesNotContain("find.setup_id_1");
    }
}
