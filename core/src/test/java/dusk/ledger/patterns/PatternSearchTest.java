package dusk.ledger.patterns;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.demo.SearchTrial;
import dusk.ledger.demo.SimulatedClub;
import dusk.ledger.evidence.Interval;
import dusk.ledger.journal.Ledger;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class PatternSearchTest {
    private static StintTable table(int stints, long seed) {
        return StintTable.of(SimulatedClub.draw(new SimulatedClub.Plan(stints, 4, true), seed)
                .ledger());
    }

    /** The sweep subtracts a choice's part from its conditions' totals; the direct way looks at every stint. Both must say the same. */
    @Test
    void theSweepAgreesWithTheDirectWay() {
        StintTable table = table(1500, 4);
        Layout layout = new Layout(table, table.fish(null, null));
        Terms terms = new Terms(layout);
        Knowledge knowledge = new Knowledge(layout);
        Matching matching = new Matching(layout, knowledge.unrest());
        Sweep sweep = new Sweep(terms, knowledge.unrest());
        Within everywhere = new Within(
                layout, terms, knowledge.expected(), knowledge.unrest().weight(), Within.everywhere(layout));
        int compared = 0;
        int tackle = terms.tackle.size();
        for (int f = 0; f < tackle; f++) {
            for (int g = f + 1; g < tackle; g++) {
                for (Tested tested : sweep.run(everywhere, new int[0], f, g).promising()) {
                    same(tested, matching, terms, knowledge);
                    compared++;
                }
            }
        }
        for (Terms.Coded coded : terms.conditions) {
            for (int level = 1; level < coded.levels(); level++) {
                int[] condition = {coded.first() + level - 1};
                Within within = new Within(
                        layout,
                        terms,
                        knowledge.expected(),
                        knowledge.unrest().weight(),
                        Within.places(layout, terms, condition));
                for (int f = 0; f < tackle; f++) {
                    for (Tested tested : sweep.run(within, condition, f).promising()) {
                        same(tested, matching, terms, knowledge);
                        compared++;
                    }
                }
            }
        }
        assertThat(compared).isGreaterThan(30);
    }

    private static void same(Tested tested, Matching matching, Terms terms, Knowledge knowledge) {
        Effect direct = matching.effect(new Combination(terms, tested.terms()), knowledge.expected());
        assertThat(direct).isNotNull();
        assertThat(tested.effect().ratio()).isCloseTo(direct.ratio(), within(1e-9 * direct.ratio()));
        assertThat(tested.effect().logError()).isCloseTo(direct.logError(), within(1e-9));
        assertThat(tested.effect().clusters()).isEqualTo(direct.clusters());
        assertThat(tested.effect().information()).isCloseTo(direct.information(), within(1e-9 * direct.information()));
    }

    @Test
    void whatReachedTheSupportIsJustWhatHasIt() {
        StintTable table = table(700, 5);
        Layout layout = new Layout(table, table.fish(null, null));
        Terms terms = new Terms(layout);
        Knowledge knowledge = new Knowledge(layout);
        Sweep sweep = new Sweep(terms, knowledge.unrest());
        Within everywhere = new Within(
                layout, terms, knowledge.expected(), knowledge.unrest().weight(), Within.everywhere(layout));
        for (int f = 0; f < terms.tackle.size(); f++) {
            for (int g = f + 1; g < terms.tackle.size(); g++) {
                Terms.Coded one = terms.tackle.get(f);
                Terms.Coded other = terms.tackle.get(g);
                int expected = 0;
                for (int a = 1; a < one.levels(); a++) {
                    for (int b = 1; b < other.levels(); b++) {
                        expected += supported(layout, terms, new int[] {one.first() + a - 1, other.first() + b - 1})
                                ? 1
                                : 0;
                    }
                }
                assertThat(sweep.run(everywhere, new int[0], f, g).supported()).isEqualTo(expected);
            }
        }
    }

    private static boolean supported(Layout layout, Terms terms, int[] numbers) {
        Combination combination = new Combination(terms, numbers);
        int fish = 0;
        int[] stints = new int[2];
        double[] hours = new double[2];
        List<Set<Integer>> trips = List.of(new HashSet<>(), new HashSet<>());
        for (int place = 0; place < layout.size; place++) {
            if (combination.at(place) == Combination.Side.OUT) {
                continue;
            }
            int side = combination.at(place) == Combination.Side.CHOSEN ? 1 : 0;
            fish += layout.fish[place];
            stints[side]++;
            hours[side] += layout.rodHours[place];
            trips.get(side).add(layout.trip[place]);
        }
        return fish >= 5
                && IntStream.range(0, 2)
                        .allMatch(s ->
                                stints[s] >= 8 && hours[s] >= 4 && trips.get(s).size() >= 4);
    }

    @Test
    void theAnswerIsTheSameWhateverTheThreads() {
        StintTable table = table(1200, 6);
        Findings one = PatternSearch.run(table, PatternSearch.Ask.USUAL, 1, SearchProgress.NONE);
        assertThat(PatternSearch.run(table, PatternSearch.Ask.USUAL, 3, SearchProgress.NONE))
                .isEqualTo(one);
        assertThat(one.patterns()).isNotEmpty();
    }

    @Test
    void theDemoClubsTruthsAreFoundAndItsTrapsAreNot() {
        StintTable table = StintTable.of(DemoClub.ledger(DemoClub.SEED));
        List<Pattern> patterns = PatternSearch.run(table, PatternSearch.Ask.USUAL, 2, SearchProgress.NONE)
                .patterns();
        List<Term> found = new ArrayList<>();
        patterns.forEach(p -> found.addAll(p.tackle()));
        assertThat(found)
                .contains(
                        new Term(Factor.PRESENTATION, "dead-stick"),
                        new Term(Factor.RIG, "drop shot"),
                        new Term(Factor.HEAD_MASS, "3.5 g"),
                        new Term(Factor.COLOUR, "brown craw"))
                .doesNotContain(
                        new Term(Factor.COLOUR, "motor oil"),
                        new Term(Factor.COLOUR, "glow bright"),
                        new Term(Factor.PLASTIC, "curl-tail grub"));
        assertThat(patterns.get(0).conditions()).containsExactly(new Term(Factor.WEATHER, "after a front"));
        assertThat(patterns.get(0).grade()).isEqualTo(Grade.BANKED);
    }

    /** A small, seeded part of the measurement in docs/METHODS.md, which has the bounds and the whole of it. */
    @Test
    void plantedPatternsAreFoundAndPatternFreeClubsAreLeftAlone() {
        SearchTrial.Score planted = SearchTrial.Score.NONE;
        SearchTrial.Score free = SearchTrial.Score.NONE;
        for (long seed = 100; seed < 106; seed++) {
            planted = planted.plus(
                    SearchTrial.search(SimulatedClub.draw(new SimulatedClub.Plan(2500, 5, true), seed), 2));
            free = free.plus(SearchTrial.search(SimulatedClub.draw(new SimulatedClub.Plan(2500, 0, true), seed), 2));
        }
        assertThat(planted.found()).as(planted.toString()).isGreaterThanOrEqualTo(planted.telling() * 6 / 10);
        assertThat(planted.falseOnes()).as(planted.toString()).isLessThanOrEqualTo(planted.findings() / 6);
        assertThat(planted.traps()).isZero();
        assertThat(free.banked()).isZero();
    }

    @Test
    void aSearchCanBeStopped() {
        StintTable table = table(700, 7);
        assertThatThrownBy(() -> PatternSearch.run(table, PatternSearch.Ask.USUAL, 2, (done, of) -> done < 10))
                .isInstanceOf(SearchStopped.class);
    }

    @Test
    void anEmptyLedgerHasNoPatternsAndAsksAreChecked() {
        StintTable empty = StintTable.of(Ledger.empty());
        assertThat(PatternSearch.run(empty, PatternSearch.Ask.USUAL, 2, SearchProgress.NONE))
                .isEqualTo(new Findings(0, 0, List.of()));
        assertThatThrownBy(() -> new PatternSearch.Ask(null, null, 4, 0.05)).hasMessageContaining("1 to 3");
        assertThatThrownBy(() -> new PatternSearch.Ask(null, null, 3, 0)).hasMessageContaining("between 0 and 1");
    }

    /**
     * Neither glow bright with its one huge day nor motor oil in the best rod's hand: chartreuse is beaten by a choice
     * only where that is sure.
     */
    @Test
    void whatWorksAgainstYouIsToldWhatItLosesToForSureOnly() {
        StintTable table = StintTable.of(DemoClub.ledger(DemoClub.SEED));
        List<Pattern> patterns = PatternSearch.run(table, PatternSearch.Ask.USUAL, 2, SearchProgress.NONE)
                .patterns();
        Pattern against = patterns.stream().filter(Pattern::against).findFirst().orElseThrow();
        assertThat(against.tackle()).containsExactly(new Term(Factor.COLOUR, "chartreuse"));
        assertThat(PatternWords.losesTo(against, table, PatternSearch.Ask.USUAL))
                .doesNotContain("glow bright")
                .doesNotContain("motor oil");
        // the same asked of every colour on the days when brown craw is good: what is named for sure is what was
        // planted
        Pattern craw = patterns.stream()
                .filter(p -> p.tackle().contains(new Term(Factor.COLOUR, "brown craw")))
                .findFirst()
                .orElseThrow();
        List<String> said = new ArrayList<>();
        for (String colour : table.codes(Factor.COLOUR).levels()) {
            if (!List.of("brown craw", Factor.NOT_RECORDED).contains(colour)) {
                Pattern behind = PatternBuilder.builder(craw)
                        .tackle(List.of(new Term(Factor.COLOUR, colour)))
                        .ratio(0.5)
                        .build();
                said.add(String.valueOf(PatternWords.losesTo(behind, table, PatternSearch.Ask.USUAL)));
            }
        }
        assertThat(said)
                .hasSize(9)
                .noneMatch(s -> s.contains("most to glow bright") || s.contains("most to motor oil"))
                .filteredOn(s -> s.startsWith("It loses most to brown craw"))
                .isNotEmpty();
    }

    @Test
    void aPatternIsASentenceWithItsDoubts() {
        StintTable table = StintTable.of(DemoClub.ledger(DemoClub.SEED));
        Pattern first = PatternSearch.run(table, new PatternSearch.Ask(null, null, 2, 0.05), 2, SearchProgress.NONE)
                .patterns()
                .get(0);
        assertThat(PatternWords.sentence(first))
                .matches("Dead-stick takes \\d\\.\\d times as many fish after a front as another presentation\\.");
        assertThat(PatternWords.support(first)).contains("rod-hours on").contains("anglers");
        assertThat(PatternWords.doubts(first)).isNotEmpty();
    }

    /** The demo's light heads do it in cold water, which is winter: the card must not settle for either. */
    @Test
    void whereTwoConditionsExplainAFindingBothAreNamedWithTheStintsThatWouldTell() {
        StintTable table = StintTable.of(DemoClub.ledger(DemoClub.SEED));
        Pattern cold = PatternSearch.run(table, PatternSearch.Ask.USUAL, 2, SearchProgress.NONE).patterns().stream()
                .filter(p -> p.tackle().contains(new Term(Factor.HEAD_MASS, "3.5 g")))
                .findFirst()
                .orElseThrow();
        assertThat(cold.conditions()).containsExactly(new Term(Factor.SEASON, "winter"));
        assertThat(cold.rivals()).singleElement().satisfies(rival -> {
            assertThat(rival.of()).isEqualTo(new Term(Factor.SEASON, "winter"));
            assertThat(rival.condition()).isEqualTo(new Term(Factor.WATER_TEMP, "under 7 C or 7-10 C"));
            assertThat(rival.bothRodHours() + rival.onlyOwnRodHours()).isLessThanOrEqualTo(cold.rodHours() + 1e-9);
        });
        assertThat(PatternWords.thisOrThat(cold))
                .singleElement()
                .asString()
                .matches("This or that, not yet told apart: it may be so in water under 7 C or 7-10 C rather"
                        + " than in winter \\(\\d\\.\\d\\d times there, \\d\\.\\d\\d to \\d\\.\\d\\d\\)\\. So far, with this"
                        + " choice, the one was never there without the other\\. About \\d+ rod-hours with it and \\d+"
                        + " with something else, turn about, where only one of the two holds, would tell\\.");
    }

    @Test
    void hoursApartAreCountedInWords() {
        Rival rival = new Rival(
                new Term(Factor.WATER_TEMP, "20-25 C"),
                new Term(Factor.SEASON, "summer"),
                2.0155,
                new Interval(1.5075, 2.6946),
                27.4167,
                10.4167,
                1,
                21.005);
        Pattern pattern = PatternBuilder.builder().rivals(List.of(rival)).build();
        assertThat(PatternWords.thisOrThat(pattern))
                .containsExactly(
                        "This or that, not yet told apart: it may be so in summer rather than in water"
                                + " of 20-25 C (2.02 times there, 1.51 to 2.69). So far, with this choice, both held for 27.4"
                                + " rod-hours, only that of water temperature for 10.4, only that of season for 1.0. About 22 rod-hours"
                                + " with it and 22 with something else, turn about, where only one of the two holds, would tell.");
    }

    /** What a rival is, over several clubs. */
    @Test
    void aRivalIsAnotherConditionOfTheSameSideThatStandsByItself() {
        int seen = 0;
        for (long seed = 60003; seed < 60009; seed++) {
            for (Pattern pattern : PatternSearch.run(
                            table(2500, seed), new PatternSearch.Ask(null, null, 2, 0.05), 2, SearchProgress.NONE)
                    .patterns()) {
                for (Rival rival : pattern.rivals()) {
                    assertThat(pattern.conditions()).contains(rival.of());
                    assertThat(rival.condition().factor())
                            .isNotEqualTo(rival.of().factor());
                    assertThat(rival.ratio() > 1).isEqualTo(pattern.ratio() > 1);
                    assertThat(rival.tellingRodHours()).isPositive();
                    assertThat(rival.interval().contains(1)).isFalse();
                    seen++;
                }
            }
        }
        assertThat(seen).isPositive();
    }
}
