package dusk.ledger.teach;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.demo.SimulatedClub;
import dusk.ledger.plan.Feature;
import dusk.ledger.plan.PlanConditions;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TeachingTest {
    private static final SimulatedClub CLUB = SimulatedClub.draw(new SimulatedClub.Plan(800, 3, false), 9);
    private static final StintTable TABLE = StintTable.of(CLUB.ledger());

    /** The unit normal loss by its definition: what choosing by the posterior mean gains over keeping to the one held best. */
    @ParameterizedTest
    @CsvSource({"-0.1, 0.3, 0.8, 100, 1.5, 10", "-0.5, 0.2, 0.5, 300, 1, 40", "0, 0.7, 2, 40, 3, 2"})
    void worthIsWhatChoosingByTheAnswerGains(double m, double sd, double rate, double year, double f, double n) {
        double data = f * (1 / rate + 1 / (rate * Math.exp(m))) / n;
        double sigma = sd * sd / Math.sqrt(sd * sd + data);
        SplittableRandom random = new SplittableRandom(4);
        double sum = 0;
        int draws = 400_000;
        for (int i = 0; i < draws; i++) {
            sum += Math.max(0, m + sigma * random.nextGaussian());
        }
        double expected = rate * year * sum / draws;
        assertThat(Teaching.worth(new Feature.Belief(m, sd), rate, year, f, n))
                .isCloseTo(expected, within(0.02 * expected + 1e-6));
    }

    @Test
    void moreFishingAndLessKnowledgeAreWorthMore() {
        Feature.Belief sure = new Feature.Belief(-0.2, 0.1);
        Feature.Belief unsure = new Feature.Belief(-0.2, 0.3);
        assertThat(Teaching.worth(unsure, 1, 50, 2, 10)).isGreaterThan(Teaching.worth(sure, 1, 50, 2, 10));
        assertThat(Teaching.worth(sure, 1, 50, 2, 20)).isGreaterThan(Teaching.worth(sure, 1, 50, 2, 10));
        assertThat(Teaching.worth(new Feature.Belief(-0.2, 0), 1, 50, 2, 10)).isZero();
    }

    @Test
    void questionsAreRankedByGainAndEachTwoAreAskedOnce() {
        List<Question> questions = Teaching.of(TABLE, CLUB.ledger().setUps(), null);
        assertThat(questions).isNotEmpty().allSatisfy(question -> {
            assertThat(question.gain()).isPositive();
            assertThat(question.belief().mean())
                    .as("the one held best comes first")
                    .isNotPositive();
            assertThat(question.rodHoursEach()).isBetween(2, 40);
            assertThat(question.text())
                    .contains(question.rodHoursEach() + " rod-hours on each")
                    .contains("take more than");
        });
        assertThat(questions).isSortedAccordingTo((a, b) -> Double.compare(b.gain(), a.gain()));
        assertThat(new HashSet<>(questions.stream()
                        .map(q -> List.of(q.factor().key(), q.level(), q.other()))
                        .toList()))
                .hasSize(questions.size());
    }

    @Test
    void underConditionsThatNobodyFishesThereIsNothingToAsk() {
        PlanConditions rare = PlanConditions.knowing(Map.of(Factor.FISH_POSITION, "on beds"));
        assertThat(Teaching.under(TABLE, CLUB.ledger().setUps(), rare)).isEmpty();
    }

    @Test
    void anEmptyLedgerAsksNothing() {
        assertThat(Teaching.of(TABLE.where(row -> false), List.of(), null)).isEmpty();
    }
}
