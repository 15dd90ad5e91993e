package dusk.ledger.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.demo.SimulatedClub;
import dusk.ledger.light.SunHour;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.CrossTally;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What stands behind the grid, the light clock and the funnel: nothing is lost between the records and a figure. */
class PicturesTest {
    private static final StintTable DEMO = StintTable.of(DemoClub.ledger(DemoClub.SEED));

    private static Question by(Factor factor) {
        return new Question(factor, Map.of(), null, null);
    }

    @Test
    void aTallyCountsEachCombinationAsAPlainLoopDoes() {
        StintTable table = StintTable.of(
                SimulatedClub.draw(new SimulatedClub.Plan(900, 3, true), 3).ledger());
        int[] fish = table.fish(null, null);
        List<Factor> factors = List.of(Factor.RIG, Factor.SPOT, Factor.LIGHT);
        Map<List<Integer>, double[]> plain = new HashMap<>();
        for (int i = 0; i < table.size(); i++) {
            int row = i;
            double[] sums = plain.computeIfAbsent(
                    factors.stream().map(f -> table.codes(f).at(row)).toList(), k -> new double[3]);
            sums[0]++;
            sums[1] += table.rodHours(i);
            sums[2] += fish[i];
        }
        CrossTally tally = CrossTally.of(table, fish, factors.toArray(Factor[]::new));
        int seen = 0;
        for (Map.Entry<List<Integer>, double[]> one : plain.entrySet()) {
            int cell =
                    tally.cell(one.getKey().stream().mapToInt(Integer::intValue).toArray());
            assertThat((double) tally.stints(cell)).isEqualTo(one.getValue()[0]);
            assertThat(tally.rodHours(cell)).isCloseTo(one.getValue()[1], within(1e-9));
            assertThat((double) tally.fish(cell)).isEqualTo(one.getValue()[2]);
            seen += tally.stints(cell);
        }
        assertThat(seen).isEqualTo(table.size());
    }

    /** A part of a table answers as the whole does where its conditions are asked for. */
    @Test
    void aPartOfATableAnswersLikeTheWholeUnderThatCondition() {
        Codes season = DEMO.codes(Factor.SEASON);
        int winter = season.codeOf("winter");
        StintTable part = DEMO.where(row -> season.at(row) == winter);
        Comparison whole =
                Comparison.of(DEMO, new Question(Factor.COLOUR, Map.of(Factor.SEASON, Set.of("winter")), null, null));
        assertThat(Comparison.of(part, by(Factor.COLOUR)).levels()).isEqualTo(whole.levels());
        assertThat(part.codes(Factor.SEASON).levels()).containsExactly(Factor.NOT_RECORDED, "winter");
    }

    @Test
    void aGridHoldsEveryStintWithBothRecordedOnceAndTellsLittleFishingFromNone() {
        RateGrid grid = RateGrid.of(DEMO, by(Factor.COLOUR), Factor.DEPTH);
        Codes colour = DEMO.codes(Factor.COLOUR);
        Codes depth = DEMO.codes(Factor.DEPTH);
        int both = 0;
        for (int row = 0; row < DEMO.size(); row++) {
            both += colour.at(row) > 0 && depth.at(row) > 0 ? 1 : 0;
        }
        assertThat(grid.cells().stream()
                        .flatMap(List::stream)
                        .filter(Objects::nonNull)
                        .mapToInt(LevelFigures::stints)
                        .sum())
                .isEqualTo(both);
        assertThat(grid.rows()).doesNotContain(Factor.NOT_RECORDED).contains("dark plum");
        // one cell by hand
        Comparison one = Comparison.of(
                DEMO,
                new Question(
                        Factor.COLOUR,
                        Map.of(Factor.DEPTH, Set.of(grid.columns().get(1))),
                        null,
                        null));
        int plum = grid.rows().indexOf("dark plum");
        LevelFigures cell = Objects.requireNonNull(grid.cells().get(plum).get(1));
        LevelFigures alone = one.levels().stream()
                .filter(l -> l.level().equals("dark plum"))
                .findFirst()
                .orElseThrow();
        assertThat(cell.fish()).isEqualTo(alone.fish());
        assertThat(cell.rate()).isEqualTo(alone.rate());
        // the best and least are told by cells with enough fishing only
        assertThat(grid.best().orElseThrow().rodHours()).isGreaterThanOrEqualTo(RateGrid.LITTLE_ROD_HOURS);
        assertThat(Objects.requireNonNull(grid.best().orElseThrow().shrunk()).mean())
                .isGreaterThan(Objects.requireNonNull(grid.least().orElseThrow().shrunk())
                        .mean());
    }

    @Test
    void theLightClockFindsTheDuskThatWasPlantedAndItsSeasonsAddUp() {
        LightClock clock = LightClock.of(DEMO, by(Factor.SEASON));
        assertThat(LightClock.best(clock.year()).orElseThrow().level())
                .isIn(SunHour.ONE_AFTER_SUNSET.words(), SunHour.ONE_BEFORE_SUNSET.words());
        for (SunHour hour : SunHour.values()) {
            int seasons = clock.seasons().values().stream()
                    .mapToInt(l -> l.figures().containsKey(hour.ordinal())
                            ? l.figures().get(hour.ordinal()).stints()
                            : 0)
                    .sum();
            assertThat(seasons)
                    .as(hour.words())
                    .isEqualTo(clock.year().figures().get(hour.ordinal()).stints());
        }
    }

    @Test
    void aFunnelNarrowsAndNoFishIsLostTwice() {
        Funnel funnel = Funnel.of(DEMO, by(Factor.HOOK_SET));
        Funnel.Step all = funnel.all();
        assertThat(all.bites()).isGreaterThanOrEqualTo(all.hooked());
        assertThat(all.hooked()).isGreaterThanOrEqualTo(all.landed());
        int told = funnel.lost().values().stream().mapToInt(Integer::intValue).sum();
        assertThat(told).isLessThanOrEqualTo(all.hooked() - all.landed()).isPositive();
        assertThat(funnel.levels().stream().mapToInt(Funnel.Step::landed).sum()).isEqualTo(all.landed());
        assertThat(funnel.takenOn().values().stream().mapToInt(Share::count).sum())
                .isEqualTo(funnel.takenOn().values().iterator().next().of());
        assertThat(Funnel.of(DEMO.where(row -> false), by(Factor.HOOK_SET))
                        .all()
                        .ofBites())
                .isNull();
    }

    /** Fish come off alike whatever is thrown in the demo: of many levels one differs by luck, and is not to be told as a truth. */
    @Test
    void nothingStandsOutInAFunnelWhereNothingWasPlanted() {
        for (Factor factor : List.of(Factor.RIG, Factor.COLOUR, Factor.HOOK_SET, Factor.PLASTIC, Factor.WATER_TEMP)) {
            Funnel funnel = Funnel.of(DEMO, by(factor));
            for (Funnel.Stage stage : Funnel.Stage.values()) {
                assertThat(funnel.standsOut(stage)).as("%s %s", factor, stage).isEmpty();
            }
        }
    }

    @Test
    void aLevelThatHooksFarMoreStandsOut() {
        Funnel.Step all = Funnel.of(DEMO, by(Factor.RIG)).all();
        Estimate none = new Estimate.None("nothing beside it");
        Estimate far = new Estimate.Figure(1.4, new Interval(1.2, 1.63), null, "");
        Estimate near = new Estimate.Figure(1.1, new Interval(1.01, 1.2), null, "");
        List<Funnel.Step> steps = List.of(step("far", far, none), step("near", near, none), step("alone", none, none));
        Funnel funnel = new Funnel(all, steps, Map.of(), Map.of());
        assertThat(funnel.standsOut(Funnel.Stage.HOOKED_OF_BITES))
                .map(Funnel.Step::level)
                .contains("far");
        assertThat(funnel.standsOut(Funnel.Stage.LANDED_OF_HOOKED)).isEmpty();
    }

    private static Funnel.Step step(String level, Estimate hooked, Estimate landed) {
        return new Funnel.Step(level, 0, 9, 5, 4, null, null, hooked, landed, Map.of());
    }

    /** Glow bright had one huge day: thrown little it is, promising it is not. */
    @Test
    void aChoiceWithOneGreatTripIsNotCalledPromising() {
        Favourites favourites = Favourites.of(Comparison.of(DEMO, by(Factor.COLOUR)), 1);
        Favourites.Favourite glow = favourites.levels().stream()
                .filter(f -> f.figures().level().equals("glow bright"))
                .findFirst()
                .orElseThrow();
        assertThat(glow.chanceBest()).isGreaterThan(0.2);
        assertThat(glow.note()).isEqualTo(Favourites.Note.ONE_GREAT_TRIP);
    }
}
