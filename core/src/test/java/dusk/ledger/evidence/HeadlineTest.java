package dusk.ledger.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.demo.Planted;
import dusk.ledger.demo.SimulatedClub;
import dusk.ledger.patterns.Term;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The largest sentence of a findings page is a fair one. */
class HeadlineTest {
    private static final StintTable DEMO = StintTable.of(DemoClub.ledger(DemoClub.SEED));
    private static final List<Factor> CONDITIONS = Arrays.stream(Factor.values())
            .filter(f -> f.kind() == Factor.Kind.CONDITION)
            .toList();

    private static Question by(Factor factor) {
        return new Question(factor, Map.of(), null, null);
    }

    private static Headline compare(StintTable table, Question question) {
        Comparison comparison = Comparison.of(table, question);
        Verdict tally = Verdict.of(comparison);
        List<String> why = tally.top() == null
                ? List.of()
                : Leaning.of(table, question, tally.top()).stream()
                        .map(l -> l.words((factor, value) -> value))
                        .toList();
        return Headline.ofLevels(comparison, tally, LikeForLike.of(table, question), why);
    }

    /** Every sentence that the pages of findings lead with for one choice of tackle. */
    private static List<String> all(StintTable table, Factor factor) {
        List<String> said = new ArrayList<>();
        Question question = by(factor);
        said.add(compare(table, question).sentence());
        said.add(Headline.ofFavourites(
                        Favourites.of(Comparison.of(table, question), 1), LikeForLike.of(table, question), factor)
                .sentence());
        for (Factor condition : CONDITIONS) {
            said.add(Headline.ofCells(RateGrid.of(table, question, condition).fair())
                    .sentence());
            said.add(Headline.ofCells(RateGrid.of(table, by(condition), factor).fair())
                    .sentence());
        }
        return said;
    }

    private static boolean praises(String sentence, String level) {
        return sentence.contains(level) && (sentence.contains("does better") || sentence.contains("it does earn them"));
    }

    static Stream<Factor> ofTraps() {
        return Planted.TRAPS.stream().flatMap(t -> t.tackle().keySet().stream()).distinct();
    }

    @Test
    void noPageOfTheDemoLeadsWithAPlantedTrap() {
        ofTraps().forEach(factor -> {
            List<String> sentences = all(DEMO, factor);
            assertThat(sentences).hasSize(2 + 2 * CONDITIONS.size());
            for (Planted trap : Planted.TRAPS) {
                trap.tackle()
                        .values()
                        .forEach(level -> assertThat(sentences).as(trap.story()).noneMatch(s -> praises(s, level)));
            }
        });
    }

    /** The test above would say nothing where no page praised anything. */
    @Test
    void thePlainTallyWouldAndATruthIsPraised() {
        Verdict tally = Verdict.of(Comparison.of(DEMO, by(Factor.COLOUR)));
        assertThat(tally.top()).isEqualTo("motor oil");
        Headline dusk = Headline.ofHours(LightClock.of(DEMO, by(Factor.SEASON)).fair());
        assertThat(dusk.sentence())
                .startsWith("On the same trips and in the same hands, the hour after sunset gives more");
        Question falling = new Question(Factor.COLOUR, Map.of(Factor.LEVEL_TREND, Set.of("falling")), null, null);
        assertThat(compare(DEMO, falling).sentence())
                .startsWith("Compared like for like, brown craw does better than the rest: ");
    }

    @Test
    void whyTheTallySaysOtherwiseIsToldWithWhoThrewIt() {
        Headline headline = compare(DEMO, by(Factor.COLOUR));
        assertThat(headline.points())
                .anyMatch(p -> p.startsWith("By the plain tally motor oil stands"))
                .anyMatch(p -> p.contains(" of its rod-hours were fished by "));
    }

    /** Outside clubs, with traps and without any truth: what is praised at all is praised by luck. */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14})
    void aClubWithoutAnyTruthIsHardlyEverToldOfOne(long seed) {
        SimulatedClub club = SimulatedClub.draw(new SimulatedClub.Plan(2000, 0, true), seed);
        StintTable table = StintTable.of(club.ledger());
        List<String> praised = club.traps().stream()
                .map(Term::factor)
                .distinct()
                .map(f -> compare(table, by(f)).sentence())
                .filter(s -> club.traps().stream().anyMatch(t -> praises(s, t.level())))
                .toList();
        assertThat(praised).isEmpty();
    }

    /** All levels in one pass say what each says alone. */
    @ParameterizedTest
    @EnumSource(
            value = Factor.class,
            names = {"COLOUR", "RIG", "HEAD_MASS", "PLASTIC", "STRUCTURE", "FORAGE"})
    void eachLevelAgainstTheRestIsItsMatchedContrast(Factor factor) {
        LikeForLike fair = LikeForLike.of(DEMO, by(factor));
        for (LevelFigures level : Comparison.of(DEMO, by(factor)).recorded()) {
            MatchedRatio alone =
                    Contrast.matched(DEMO, by(factor), new Sides(level.level(), null), Contrast.USUAL_BLOCKS);
            MatchedRatio together =
                    fair.of(level.level()).map(LikeForLike.Told::matched).orElse(MatchedRatio.of(List.of()));
            assertThat(together.blocks()).isEqualTo(alone.blocks());
            assertThat(together.clusters()).isEqualTo(alone.clusters());
            if (alone.estimate() instanceof Estimate.Figure f) {
                Estimate.Figure g = (Estimate.Figure) together.estimate();
                Vectors.close("rr", g.ratio(), f.ratio(), 1e-9);
                assertThat(g.p() == null).isEqualTo(f.p() == null);
                if (f.p() != null && g.p() != null) {
                    Vectors.close("p", g.p(), f.p(), 1e-6);
                }
            } else {
                assertThat(together.estimate()).isEqualTo(alone.estimate());
            }
        }
    }

    @Test
    void qIsThatOfAllLevelsWithAP() {
        List<LikeForLike.Told> tested = LikeForLike.of(DEMO, by(Factor.COLOUR)).levels().stream()
                .filter(t -> t.matched().estimate() instanceof Estimate.Figure f && f.p() != null)
                .toList();
        double[] p = tested.stream()
                .mapToDouble(t -> ((Estimate.Figure) t.matched().estimate()).p())
                .toArray();
        assertThat(p).isSorted();
        assertThat(tested.stream().mapToDouble(LikeForLike.Told::q).toArray()).isEqualTo(FalseDiscovery.q(p));
    }

    private static LikeForLike.Told told(String level, double ratio, double low, double high, double q) {
        return new LikeForLike.Told(
                level, new MatchedRatio(20, 9, new Estimate.Figure(ratio, new Interval(low, high), q / 3, "")), q);
    }

    @Test
    void whatDoesBetterLeadsBeforeWhatDoesWorse() {
        LikeForLike fair =
                new LikeForLike(List.of(told("pearl", 0.5, 0.3, 0.8, 0.001), told("smoke", 1.6, 1.2, 2.1, 0.02)));
        assertThat(fair.lead().orElseThrow().level()).isEqualTo("smoke");
        assertThat(Headline.ofHours(fair).points())
                .containsExactly("Pearl gives less, as surely: 0.50 times as many fish (0.30 to 0.80).");
    }

    /** Fish from three trips that agree have a p of nearly nothing. */
    @Test
    void aSmallPWithAWideIntervalIsNotSure() {
        LikeForLike fair = new LikeForLike(List.of(told("smoke", 4, 0.7, 22, 1e-6)));
        assertThat(fair.lead()).isEmpty();
        assertThat(Headline.ofHours(fair).sentence())
                .isEqualTo("On the same trips and in the same hands, no part of the day is sure to give more than the"
                        + " others.");
        assertThat(Headline.ofHours(fair).points())
                .containsExactly(
                        "Nearest to it comes smoke: 4.00 times as many fish (0.70 to 22.00), from 9 trips where"
                                + " both were fished.");
    }
}
