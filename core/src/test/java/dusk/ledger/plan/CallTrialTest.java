package dusk.ledger.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.SimulatedClub;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Calls on clubs whose truth is known. The whole measure stands in METHODS.md. */
class CallTrialTest {
    private static CallTrial.Score score(int truths) {
        return IntStream.range(0, 8)
                .parallel()
                .mapToObj(n ->
                        CallTrial.of(SimulatedClub.draw(new SimulatedClub.Plan(2500, truths, true), 25000 + n), 4, n))
                .reduce(new CallTrial.Score(), CallTrial.Score::and);
    }

    /** Whoever ties on the first call fishes far better than whoever ties on what the club did. */
    @Test
    void callsTakeMoreWhereThereIsSomethingToFindAndTheirIntervalsHold() {
        CallTrial.Score score = score(5);
        assertThat(score.gain().stream().mapToDouble(g -> g).average().orElseThrow())
                .isGreaterThan(1.6);
        assertThat(score.share()).isBetween(0.90, 0.98);
    }

    @Test
    void intervalsHoldWhereTackleDoesNothing() {
        assertThat(score(0).share()).isGreaterThanOrEqualTo(0.90);
    }
}
