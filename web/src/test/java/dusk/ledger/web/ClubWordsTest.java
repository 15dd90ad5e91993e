package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import dusk.ledger.web.records.SetUps;
import dusk.ledger.web.store.ClubWords;
import dusk.ledger.web.store.RecentTables;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A club's words: found, settled, counted as others, said otherwise, and undone. */
class ClubWordsTest extends RequestedClub {
    @BeforeEach
    void written() {
        SetUp stray = SetUpBuilder.builder(club.get(SetUps.class)
                        .of(club.guide.viewer(), List.of("jig"))
                        .get(0))
                .id("stray")
                .colour("grn pumpkin")
                .build();
        club.get(SetUps.class).add(club.guide.viewer(), stray);
        Stint stint = club.all(LedgerFormat.STINTS).stream()
                .filter(s -> s.id().equals("s"))
                .findFirst()
                .orElseThrow();
        club.store(
                LedgerFormat.STINTS,
                List.of(LedgerFormat.STINTS.changed(stint, Map.of("stint_id", "s2", "setup_id", "stray"))));
    }

    private List<String> colours() {
        StintTable table = club.get(RecentTables.class).whole(club.member.viewer());
        return IntStream.range(0, table.size())
                .mapToObj(row -> table.codes(Factor.COLOUR).level(row))
                .sorted()
                .toList();
    }

    private Document page() throws Exception {
        return Jsoup.parse(get(club.officer, "/club/words").getContentAsString());
    }

    @Test
    void aNewWordWaitsWithWhatItIsLikelyASlipFor() throws Exception {
        Document page = page();
        assertThat(page.select("#waiting").text()).isEqualTo("One word waits to be looked at");
        assertThat(page.select(".word-line").text())
                .contains("grn pumpkin", "Colour, in 1 record", "likely a slip of the pen for green pumpkin");
        assertThat(page.select(".word-line option[selected]").val()).isEqualTo("green pumpkin");
        assertThat(get(club.member, "/club/words").getContentAsString())
                .contains("grn pumpkin")
                .doesNotContain("See what would change");
    }

    @Test
    void whatAMergeWouldChangeIsShownBeforeItIsDoneAndItCanBeUndone() throws Exception {
        List<String> before = colours();
        Document merge =
                Jsoup.parse(get(club.officer, "/club/words/merge?column=colour&word=grn%20pumpkin&into=green%20pumpkin")
                        .getContentAsString());
        assertThat(merge.select("main").text())
                .contains("1 record keeps “grn pumpkin” as it was written and counts as “green pumpkin” from then on.");
        assertThat(merge.select("table").get(0).text()).contains("grn pumpkin 1");
        assertThat(merge.select("table").get(1).text()).doesNotContain("grn");
        assertThat(colours()).as("looking changes nothing").isEqualTo(before);
        post(club.officer, "/club/words", "column=colour&word=grn pumpkin&into=green pumpkin");
        assertThat(colours())
                .hasSameSizeAs(before)
                .doesNotContain("grn pumpkin")
                .contains("green pumpkin");
        assertThat(club.all(LedgerFormat.SETUPS)).extracting(SetUp::colour).contains("grn pumpkin");
        assertThat(page().select("section[aria-labelledby=settled]").text())
                .contains("grn pumpkin Colour counts as “green pumpkin”");
        String undo = page().select("form[action$=/undo]").attr("action");
        assertThat(post(club.member, undo, "").getStatus()).isEqualTo(404);
        post(club.officer, undo, "");
        assertThat(colours()).isEqualTo(before);
    }

    @Test
    void aWordThatStandsForOneThatStandsForAnotherCountsAsTheLast() {
        ClubWords words = club.get(ClubWords.class);
        words.settle(club.officer.viewer(), "colour", "grn pumpkin", "gp", null);
        words.settle(club.officer.viewer(), "colour", "gp", "green pumpkin", null);
        assertThat(words.meant(club.officer.clubId()))
                .isEqualTo(Map.of("colour", Map.of("grn pumpkin", "green pumpkin", "gp", "green pumpkin")));
        assertThat(colours()).contains("green pumpkin");
        assertThat(words.meant(club.stranger.clubId())).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "column=colour&word=grn pumpkin&into=lemon | Choose one of the list.",
                "column=colour&word=grn pumpkin&into=grn pumpkin | That is the word itself.",
                "column=&word=lemon | Choose what kind of word it is.",
                "column=colour&word=&said=zitron | Write the word, 60 letters at the most.",
            })
    void whatCannotBeSettledIsToldAndNothingIsStored(String form, String sentence) throws Exception {
        var answer = post(club.officer, "/club/words", form);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(answer.getContentAsString()).contains(sentence);
        assertThat(club.get(ClubWords.class).all(club.officer.viewer())).isEmpty();
    }

    @Test
    void twoWordsDoNotStandForEachOther() throws Exception {
        post(club.officer, "/club/words", "column=colour&word=grn pumpkin&into=green pumpkin");
        club.store(
                LedgerFormat.SETUPS,
                List.of(SetUpBuilder.builder()
                        .id("right")
                        .rig("wacky")
                        .colour("green pumpkin")
                        .build()));
        assertThat(post(club.officer, "/club/words", "column=colour&word=green pumpkin&into=grn pumpkin")
                        .getStatus())
                .isEqualTo(422);
    }

    @Test
    void aWordOfItsOwnWaitsNoMoreAndIsOfferedOnTheDeck() throws Exception {
        assertThat(get(club.guide, "/deck/" + live).getContentAsString()).doesNotContain("value=\"grn pumpkin\"");
        post(club.officer, "/club/words", "column=colour&word=grn pumpkin");
        assertThat(page().select("#waiting").text()).isEqualTo("No word waits");
        assertThat(get(club.guide, "/deck/" + live).getContentAsString()).contains("value=\"grn pumpkin\"");
    }

    @Test
    void aWordIsSaidAsTheClubSaysItAndStoredAsItIs() throws Exception {
        post(club.officer, "/club/words", "column=colour&word=violet&said=heather");
        String form = get(club.guide, "/tackle/set-ups/drop/change").getContentAsString();
        assertThat(Jsoup.parse(form).select("option[value=violet]").outerHtml()).contains("heather");
        assertThat(get(club.guide, "/findings/compare?factor=colour").getContentAsString())
                .contains("heather");
        assertThat(club.all(LedgerFormat.SETUPS)).extracting(SetUp::colour).contains("violet");
        assertThat(get(club.stranger, "/findings/compare?factor=colour").getContentAsString())
                .doesNotContain("heather");
    }
}
