package dusk.ledger.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Stint;
import dusk.ledger.stints.StintTable;
import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.units.Length;
import dusk.ledger.units.Temperature;
import dusk.ledger.vocabulary.Factor;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class AdviserTest {
    private static final Ledger DEMO = DemoClub.ledger(DemoClub.SEED);
    private static final StintTable RECORDS = StintTable.of(DEMO);
    private static final StintTable NOTHING = RECORDS.where(row -> false);

    private static PlanConditions given(Map<Factor, String> known) {
        PlanConditions nothing = PlanConditions.unknown();
        return new PlanConditions(known, nothing.reading(), null, null, null, false, false);
    }

    private static Advice byRules(Map<Factor, String> known, Map<String, String> schools) {
        return Adviser.of(NOTHING, List.of(), given(known), new Adviser.Wish(3, schools, TackleChecks.Use.UNKNOWN, 1));
    }

    private static Advice byRecords(Map<Factor, String> known) {
        return Adviser.of(RECORDS, DEMO.setUps(), given(known), Adviser.Wish.USUAL);
    }

    private static Feature feature(Advice advice, Factor factor, String level) {
        return advice.calls().stream()
                .flatMap(call -> call.features().stream())
                .filter(f -> f.factor() == factor && f.level().equals(level))
                .findFirst()
                .orElseThrow(() -> new AssertionError(factor + " " + level + " is in no call"));
    }

    @Test
    void withAnEmptyLedgerTheCallFollowsTheRules() {
        Advice advice = byRules(Map.of(Factor.SEASON, "winter", Factor.DEPTH, "6-10 m"), Map.of());
        Call first = advice.calls().get(0);
        assertThat(first.setUp().rig()).isEqualTo("drop shot");
        assertThat(first.setUp().colour()).isEqualTo("violet");
        assertThat(first.rate()).isNull();
        assertThat(first.owned()).isFalse();
        assertThat(first.recordsShare()).isCloseTo(0, within(1e-12));
        assertThat(first.reasons()).allSatisfy(r -> assertThat(r.from()).isEqualTo(Feature.From.RULES));
        assertThat(advice.base()).isNull();
    }

    @Test
    void schoolsAreSplitEvenlyUntilOneIsFollowed() {
        Map<Factor, String> murky = Map.of(Factor.CLARITY, "under 0.3 m");
        String question = "Which colour where one does not see far";
        assertThat(byRules(murky, Map.of()).schools())
                .filteredOn(s -> s.question().equals(question))
                .singleElement()
                .satisfies(s -> assertThat(s.answers()).hasSize(4));
        assertThat(byRules(murky, Map.of(question, "bright"))
                        .calls()
                        .get(0)
                        .setUp()
                        .colour())
                .isIn("glow bright", "chartreuse");
        assertThat(byRules(murky, Map.of(question, "dark outline"))
                        .calls()
                        .get(0)
                        .setUp()
                        .colour())
                .isIn("black", "black-blue", "dark plum");
        assertThat(feature(byRules(murky, Map.of()), Factor.PLASTIC_LENGTH, "100-150 mm")
                        .prior()
                        .mean())
                .isEqualTo(Math.log(1.15) / 4);
    }

    @Test
    void aPlantedTruthMovesTheCallByTheRecords() {
        Advice advice = byRecords(Map.of(Factor.WEATHER, "after a front"));
        assertThat(advice.calls().get(0).presentation()).isEqualTo("dead-stick");
        Feature still = feature(advice, Factor.PRESENTATION, "dead-stick");
        assertThat(still.ratio()).as("2.4 was planted").isBetween(1.6, 3.2);
        assertThat(still.recordsShare()).isGreaterThan(0.6);
        assertThat(still.from()).isEqualTo(Feature.From.BOTH);
    }

    /** The colour of the best rod's evenings and that of one huge day earn nothing by themselves. */
    @Test
    void noTrapIsCalledForWhatItIsNot() {
        Advice advice = byRecords(Map.of(Factor.LIGHT, "dusk"));
        List<Feature> reasons = advice.calls().stream()
                .limit(3)
                .flatMap(call -> call.reasons().stream())
                .filter(f -> f.factor() == Factor.COLOUR)
                .toList();
        assertThat(reasons).noneMatch(f -> f.level().equals("motor oil") && f.ratio() > 1.25);
        assertThat(reasons).noneMatch(f -> f.level().equals("glow bright") && f.ratio() > 1.5);
    }

    /** The trade favours green pumpkin where one sees far; here nothing is ever caught on it. */
    @Test
    void whereTheRecordsContradictARuleTheyWin() {
        Set<String> green = DEMO.setUps().stream()
                .filter(s -> "green pumpkin".equals(s.colour()))
                .map(SetUp::id)
                .collect(Collectors.toSet());
        Set<String> barren = DEMO.stints().stream()
                .filter(s -> green.contains(s.setUpId()))
                .map(Stint::id)
                .collect(Collectors.toSet());
        List<Catch> fish = DEMO.catches().stream()
                .filter(c -> !barren.contains(c.stintId()))
                .toList();
        Ledger contrary = new Ledger(
                DEMO.anglers(),
                DEMO.waters(),
                DEMO.spots(),
                DEMO.setUps(),
                DEMO.rods(),
                DEMO.trips(),
                DEMO.readings(),
                DEMO.stints(),
                fish,
                DEMO.touches(),
                DEMO.signs(),
                List.of());
        Map<Factor, String> clear = Map.of(Factor.CLARITY, "2-4 m");
        assertThat(byRules(clear, Map.of()).calls().get(0).setUp().colour()).isEqualTo("green pumpkin");
        StintTable table = StintTable.of(contrary);
        Advice advice = Adviser.of(table, DEMO.setUps(), given(clear), Adviser.Wish.USUAL);
        assertThat(advice.calls())
                .noneMatch(call ->
                        call.owned() && "green pumpkin".equals(call.setUp().colour()));
        Rule rule = RuleBook.rules().stream()
                .filter(r -> r.id().equals("C7 rounder"))
                .findFirst()
                .orElseThrow();
        assertThat(RuleTrial.of(table, rule).get(0).verdict()).isEqualTo(RuleTrial.Verdict.NOT_ENOUGH);
        assertThat(RuleTrial.of(table, rule).get(0).matched().estimate().toString())
                .contains("ratio=0.0");
    }

    @Test
    void anUnsoundSetUpIsLeftOutWithItsReason() {
        TackleChecks.Use noLead = new TackleChecks.Use(null, null, null, true, false);
        Advice advice =
                Adviser.of(RECORDS, DEMO.setUps(), PlanConditions.unknown(), new Adviser.Wish(3, Map.of(), noLead, 1));
        assertThat(advice.calls()).noneMatch(call -> "lead".equals(call.setUp().headMaterial()));
        assertThat(advice.leftOut())
                .anyMatch(out -> out.caution().reason().equals("The rules entered for this water forbid lead."));
    }

    @Test
    void aSpreadHasDifferentRodsAndIsTheSameForTheSameSeed() {
        Map<Factor, String> known = Map.of(Factor.SEASON, "summer", Factor.CLARITY, "2-4 m");
        Advice advice = byRecords(known);
        assertThat(advice.spread()).hasSize(3);
        assertThat(advice.spread()).extracting(rod -> rod.call().setUp().id()).doesNotHaveDuplicates();
        assertThat(advice.spread()).allMatch(rod -> rod.call().owned());
        assertThat(byRecords(known)).isEqualTo(advice);
    }

    @Test
    void everyReasonIsOfTheSetUpItStandsBeside() {
        assertThat(byRecords(Map.of(Factor.LIGHT, "dawn")).calls()).allSatisfy(call -> {
            assertThat(call.features())
                    .filteredOn(f -> f.factor() == Factor.COLOUR)
                    .allMatch(f -> f.level().equals(call.setUp().colour()));
            assertThat(call.features())
                    .filteredOn(f -> f.factor() == Factor.PLASTIC)
                    .allMatch(f -> f.level().equals(call.setUp().plastic()));
            assertThat(call.interval().low()).isLessThan(call.rate());
            assertThat(call.interval().high()).isGreaterThan(call.rate());
        });
    }

    @Test
    void whatWouldChangeTheAnswerMostIsNamed() {
        assertThat(byRules(Map.of(), Map.of()).unknown())
                .isNotEmpty()
                .isSortedAccordingTo((a, b) -> Double.compare(b.matters(), a.matters()))
                .extracting(Advice.Unknown::factor)
                .contains(Factor.CLARITY, Factor.SEASON, Factor.DEPTH);
        assertThat(byRules(Map.of(Factor.CLARITY, "2-4 m"), Map.of()).unknown())
                .extracting(Advice.Unknown::factor)
                .doesNotContain(Factor.CLARITY);
    }

    @Test
    void levelsOfAPlanAreReadAsThoseOfAStintAre() {
        Instant evening = Instant.parse("2026-07-10T19:30:00Z");
        PlanConditions conditions = PlanConditions.of(
                PlanConditions.reading(evening)
                        .waterTemp(Temperature.ofCelsius(23))
                        .build(),
                new PlanConditions.At("dock", "sand", null, Length.ofMetres(2), "suspended", Length.ofMetres(1)),
                new PlanConditions.Hour(evening, DEMO.waters().get(0).position(), null, null),
                PlanConditions.Who.ANYBODY);
        assertThat(conditions.known())
                .containsEntry(Factor.WATER_TEMP, "20-25 C")
                .containsEntry(Factor.STRUCTURE, "dock")
                .containsEntry(Factor.DEPTH, "1.5-3 m")
                .containsEntry(Factor.FISH_DEPTH, "under 1.5 m")
                .containsEntry(Factor.SEASON, "summer")
                .containsKey(Factor.LIGHT)
                .doesNotContainKeys(Factor.COVER, Factor.SKY, Factor.RIG, Factor.TRIP);
        assertThat(PlanConditions.unknown().known()).isEmpty();
    }
}
