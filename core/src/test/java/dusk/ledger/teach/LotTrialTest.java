package dusk.ledger.teach;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.demo.LotTrial;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** A small part of what is measured in METHODS.md: what the lot costs a season, and what fishing what was found brings. */
class LotTrialTest {
    private static LotTrial.Score clubs(double byLot) {
        return IntStream.range(0, 2)
                .mapToObj(n -> LotTrial.of(0.9, 0, byLot, true, 81000 + n))
                .reduce(LotTrial.Score.NONE, LotTrial.Score::plus);
    }

    @Test
    void oneSwapInFiveCostsLittleAndWhatIsFoundPays() {
        LotTrial.Score lot = clubs(0.2);
        LotTrial.Score none = clubs(0);
        assertThat(lot.fish() / lot.hours()).isGreaterThan(0.9 * none.fish() / none.hours());
        assertThat(lot.next() / lot.hours()).isGreaterThan(1.3 * lot.fish() / lot.hours());
    }
}
