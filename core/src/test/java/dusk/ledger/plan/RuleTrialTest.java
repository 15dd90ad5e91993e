package dusk.ledger.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.DemoClub;
import dusk.ledger.evidence.Estimate;
import dusk.ledger.stints.StintTable;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RuleTrialTest {
    private static final StintTable RECORDS = StintTable.of(DemoClub.ledger(DemoClub.SEED));

    private static RuleTrial trial(StintTable table, String book) {
        return RuleTrial.of(
                        table,
                        RuleBook.read("id: A\ntitle: t\nwhy: w\n" + book.replace(';', '\n'))
                                .get(0))
                .get(0);
    }

    /** What was planted in the demo, and what was not, put as rules. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "when: weather = after a front;favour: presentation = dead-stick x 1.2 | FOR",
                "when: weather = after a front;favour: presentation = dead-stick x 0.8 | AGAINST",
                "when: clarity = 2-4 m, 4 m and over;favour: colour = chartreuse x 1.3 | AGAINST",
                "when: water_temp = under 7 C, 7-10 C;favour: head_mass = 3.5 g x 1.5 | FOR",
                "favour: colour = motor oil x 1.5 | NOT_ENOUGH",
                "favour: colour = no such colour x 1.5 | NOT_ENOUGH",
            })
    void theRecordsSayForAgainstOrThatTheyCannotTell(String book, RuleTrial.Verdict verdict) {
        RuleTrial trial = trial(RECORDS, book);
        assertThat(trial.verdict()).isEqualTo(verdict);
        assertThat(trial.settleHours() == null)
                .as("what spoke needs no more")
                .isEqualTo(verdict != RuleTrial.Verdict.NOT_ENOUGH);
    }

    @Test
    void severalLevelsAreOneSide() {
        RuleTrial both = trial(RECORDS, "when: season = summer;favour: colour = pearl, violet x 1.2");
        RuleTrial pearl = trial(RECORDS, "when: season = summer;favour: colour = pearl x 1.2");
        RuleTrial violet = trial(RECORDS, "when: season = summer;favour: colour = violet x 1.2");
        assertThat(both.rodHours())
                .isEqualTo(pearl.rodHours() + violet.rodHours(), org.assertj.core.api.Assertions.within(1e-9));
        assertThat(both.rodHours() + both.otherHours())
                .isEqualTo(pearl.rodHours() + pearl.otherHours(), org.assertj.core.api.Assertions.within(1e-9));
        assertThat(both.stints()).isEqualTo(pearl.stints());
    }

    @Test
    void aStrongerClaimIsSettledSooner() {
        double mild = hours("favour: colour = motor oil x 1.2");
        double strong = hours("favour: colour = motor oil x 2");
        assertThat(strong).isLessThan(mild / 4);
    }

    private static double hours(String book) {
        Double hours = trial(RECORDS, book).settleHours();
        return hours == null ? Double.NaN : hours;
    }

    @Test
    void anEmptyLedgerSaysNothingOfAnyRule() {
        StintTable nothing = RECORDS.where(row -> false);
        List<RuleTrial> all = RuleBook.rules().stream()
                .flatMap(rule -> RuleTrial.of(nothing, rule).stream())
                .toList();
        assertThat(all).hasSizeGreaterThan(60).allSatisfy(trial -> {
            assertThat(trial.verdict()).isEqualTo(RuleTrial.Verdict.NOT_ENOUGH);
            assertThat(trial.matched().estimate()).isInstanceOf(Estimate.None.class);
            assertThat(trial.settleHours()).isNull();
        });
    }

    @Test
    void likenessFallsWithEachConditionThatDiffersAndNoFurtherThanThreeWould() {
        var light = dusk.ledger.vocabulary.Factor.LIGHT;
        double[] one = Likeness.of(RECORDS, java.util.Map.of(light, "dusk"));
        assertThat(IntStream.range(0, one.length)
                        .allMatch(row -> one[row]
                                == switch (RECORDS.codes(light).level(row)) {
                                    case "dusk" -> 1;
                                    case "day" -> 0.5;
                                    default -> 0.15;
                                }))
                .isTrue();
        double[] none = Likeness.of(RECORDS, java.util.Map.of());
        assertThat(none).containsOnly(1);
    }
}
