package dusk.ledger.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.SimulatedClub;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Calls on clubs whose truth is known. How often their intervals hold is measured in METHODS.md. */
class CallTrialTest {
    private static CallTrial.Score score() {
        CallTrial.Score score = new CallTrial.Score();
        for (int seed = 0; seed < 4; seed++) {
            SimulatedClub club = SimulatedClub.draw(new SimulatedClub.Plan(2500, 5, true), 7000 + seed);
            score = score.and(CallTrial.of(club, 4, seed));
        }
        return score;
    }

    private static double mean(List<Double> values) {
        return values.stream().mapToDouble(v -> v).average().orElseThrow();
    }

    /** Whoever ties on the first call fishes far better than whoever ties on what the club did. */
    @Test
    void theFirstCallTrulyTakesMoreWhereThereIsSomethingToFind() {
        assertThat(mean(score().gain())).isGreaterThan(1.6);
    }
}
