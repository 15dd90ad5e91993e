package dusk.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Rod;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.Trip;
import dusk.ledger.web.afloat.By;
import dusk.ledger.web.afloat.RodActs;
import dusk.ledger.web.afloat.TripActs;
import dusk.ledger.web.records.Person;
import dusk.ledger.web.records.Rods;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.util.HtmlUtils;

/** Forms that were opened before somebody else's write and sent after it: no value is lost by it, silently or at all. */
class StaleFormsTest extends RequestedClub {
    private static final Pattern INPUT = Pattern.compile("<(?:input|textarea|select)[^>]*name=\"([\\w.]+)\"[^>]*>");
    private static final Pattern VALUE = Pattern.compile("value=\"([^\"]*)\"");

    /** What a browser would send of a form as it stands: inputs with their values, selects by what is selected. */
    private static Map<String, String> fields(String page) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (MatchResult input : INPUT.matcher(page).results().toList()) {
            String name = input.group(1);
            if (input.group().startsWith("<select")) {
                String select = page.substring(input.end(), page.indexOf("</select>", input.end()));
                MatchResult chosen = Pattern.compile("value=\"([^\"]*)\" selected")
                        .matcher(select)
                        .results()
                        .findFirst()
                        .orElse(null);
                fields.put(name, chosen == null ? "" : HtmlUtils.htmlUnescape(chosen.group(1)));
            } else if (input.group().startsWith("<textarea")) {
                fields.put(
                        name,
                        HtmlUtils.htmlUnescape(page.substring(input.end(), page.indexOf("</textarea>", input.end()))));
            } else if (!name.equals("_csrf")) {
                MatchResult value =
                        VALUE.matcher(input.group()).results().findFirst().orElse(null);
                fields.put(name, value == null ? "" : HtmlUtils.htmlUnescape(value.group(1)));
            }
        }
        return fields;
    }

    private Map<String, String> opened(Person person, String path) throws Exception {
        return fields(text(answer(person, request("GET", path).header("HX-Request", "true"))));
    }

    private static String text(MockHttpServletResponse answer) throws Exception {
        return answer.getContentAsString();
    }

    private MockHttpServletResponse sent(Person person, String path, Map<String, String> fields) throws Exception {
        var request = request("POST", path);
        fields.forEach(request::param);
        return answer(person, request);
    }

    private Stint stint(String id) {
        return club.all(LedgerFormat.STINTS).stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** A running stint went from four bites to one: somebody had opened it to write where the fish were. */
    @Test
    void aFieldNobodyTouchedKeepsWhatOthersMadeOfIt() throws Exception {
        RodActs acts = club.get(RodActs.class);
        String running = String.valueOf(deck().rods().get(0).stintId());
        acts.touch(new By(club.guide, live, "a1", TestClub.START), ids.get("rod"), "bite");
        Map<String, String> form = opened(club.guide, "/trips/{live}/stints/" + running + "/edit");
        assertThat(form).containsEntry("bites", "1").containsEntry("start.bites", "1");
        for (int i = 2; i <= 4; i++) {
            acts.touch(new By(club.guide, live, "a" + i, TestClub.START), ids.get("rod"), "bite");
        }
        form.put("fish_position", "suspended");
        assertThat(sent(club.guide, "/trips/{live}/stints/" + running, form).getStatus())
                .isEqualTo(302);
        assertThat(stint(running).bites()).isEqualTo(4);
        assertThat(stint(running).fishPosition()).isEqualTo("suspended");
    }

    /** And a trip's end was erased by a note. */
    @Test
    void aTripThatEndedWhileItsNoteWasWrittenHasEnded() throws Exception {
        Map<String, String> form = opened(club.guide, "/trips/{live}/edit");
        club.get(TripActs.class).end(new By(club.guide, live, "end", TestClub.START.plusSeconds(600)));
        form.put("note", "calm, then wind");
        assertThat(sent(club.guide, "/trips/{live}", form).getStatus()).isEqualTo(302);
        Trip trip = deck().trip();
        assertThat(trip.endedAt()).isEqualTo(TestClub.START.plusSeconds(600));
        assertThat(trip.note()).isEqualTo("calm, then wind");
    }

    private Map<String, String> bothWrote() throws Exception {
        Map<String, String> mine = opened(club.guide, "/trips/p/stints/s/edit");
        Map<String, String> theirs = opened(club.member, "/trips/p/stints/s/edit");
        theirs.put("minutes", "55");
        theirs.put("depth_m", "6 m");
        theirs.put("presentation", "hop");
        assertThat(sent(club.member, "/trips/p/stints/s", theirs).getStatus()).isEqualTo(302);
        mine.put("minutes", "45");
        mine.put("depth_m", "5 m");
        mine.put("speed", "slow");
        return mine;
    }

    @Test
    void whereBothWroteBothAreShownAndNothingIsStored() throws Exception {
        Map<String, String> mine = bothWrote();
        MockHttpServletResponse answer = sent(club.guide, "/trips/p/stints/s", mine);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(text(answer))
                .contains("Somebody changed it while this form was open. Take one of the two.")
                .contains("Take theirs: 55")
                .contains("Keep mine: 45")
                .contains("Take theirs: 6 m")
                .contains("Keep mine: 5 m");
        assertThat(stint("s").minutes()).isEqualTo(55);
        assertThat(stint("s").speed()).isNull();
        Map<String, String> again = fields(text(answer));
        assertThat(again)
                .as("what they wrote where this hand wrote nothing is in the form already")
                .containsEntry("presentation", "hop")
                .containsEntry("speed", "slow")
                .containsEntry("minutes", "45");
        assertThat(sent(club.guide, "/trips/p/stints/s", again).getStatus())
                .as("sent again without a choice")
                .isEqualTo(422);
    }

    @Test
    void oneTouchTakesEitherFieldByField() throws Exception {
        MockHttpServletResponse first = sent(club.guide, "/trips/p/stints/s", bothWrote());
        Map<String, String> form = fields(text(first));
        form.put("take.minutes", "theirs");
        MockHttpServletResponse second = sent(club.guide, "/trips/p/stints/s", form);
        assertThat(second.getStatus()).as("the depth is still open").isEqualTo(422);
        assertThat(text(second)).doesNotContain("take.minutes").contains("take.depth_m");
        form = fields(text(second));
        form.put("take.depth_m", "mine");
        assertThat(sent(club.guide, "/trips/p/stints/s", form).getStatus()).isEqualTo(302);
        Stint now = stint("s");
        assertThat(now.minutes()).isEqualTo(55);
        assertThat(now.depth()).isEqualTo(dusk.ledger.units.Length.ofMetres(5));
        assertThat(now.speed()).isEqualTo("slow");
        assertThat(now.presentation()).isEqualTo("hop");
    }

    @Test
    void theSameWordFromBothIsNoQuarrel() throws Exception {
        Map<String, String> mine = bothWrote();
        mine.put("minutes", "55");
        mine.put("depth_m", "6 m");
        assertThat(sent(club.guide, "/trips/p/stints/s", mine).getStatus()).isEqualTo(302);
    }

    @Test
    void everyFormOfARowCarriesWhatItStartedFrom() throws Exception {
        for (String path : List.of(
                "/trips/p/edit",
                "/trips/p/stints/s/edit",
                "/trips/p/fish/f/edit",
                "/trips/p/readings/r/edit",
                "/tackle/rods/light/edit",
                "/tackle/set-ups/bare/change")) {
            Map<String, String> fields = opened(club.guide, path);
            fields.keySet().stream()
                    .filter(name -> !name.startsWith("start."))
                    .forEach(name -> assertThat(fields).as(path).containsKey("start." + name));
            assertThat(fields.keySet().stream()
                            .filter(n -> n.startsWith("start."))
                            .collect(Collectors.toSet()))
                    .hasSizeGreaterThan(2);
        }
        assertThat(opened(club.guide, "/trips/p/stints/new").keySet()).noneMatch(n -> n.startsWith("start."));
    }

    @Test
    void aRodAndASetUpToo() throws Exception {
        Map<String, String> mine = opened(club.officer, "/tackle/rods/light/edit");
        Map<String, String> theirs = opened(club.guide, "/tackle/rods/light/edit");
        theirs.put("power", "medium");
        sent(club.guide, "/tackle/rods/light", theirs);
        mine.put("name", "7 ft, light");
        sent(club.officer, "/tackle/rods/light", mine);
        Rod rod = club.get(Rods.class).one(club.guide.viewer(), "light");
        assertThat(rod.power()).isEqualTo("medium");
        assertThat(rod.name()).isEqualTo("7 ft, light");
    }

    @Test
    void andAFishOnTheDeck() throws Exception {
        String fish = "l";
        club.get(RodActs.class).landed(new By(club.guide, live, fish, TestClub.START), ids.get("rod"), "walleye", 1);
        String card = text(get(club.guide, "/deck/{live}?fish=" + fish));
        Map<String, String> form = new LinkedHashMap<>();
        fields(card).forEach((name, value) -> {
            if (name.startsWith("start.")) {
                form.put(name, value);
            }
        });
        assertThat(form).containsKeys("start.length_mm", "start.kept");
        post(
                club.member,
                "/deck/{live}/rods/{rod}/fish/" + fish,
                "act=m1&length_mm=41 cm&length_how=measured&start.length_mm=");
        form.putAll(Map.of("act", "g1", "length_mm", "39 cm", "length_how", "estimated"));
        MockHttpServletResponse answer = sent(club.guide, "/deck/{live}/rods/{rod}/fish/" + fish, form);
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(text(answer)).contains("Take theirs: 41 cm").contains("Keep mine: 39 cm");
        assertThat(club.all(LedgerFormat.CATCHES))
                .filteredOn(c -> c.id().equals(fish))
                .singleElement()
                .satisfies(c -> assertThat(c.length()).isEqualTo(dusk.ledger.units.Length.ofMillimetres(410)));
    }
}
