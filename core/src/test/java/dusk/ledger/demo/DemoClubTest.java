package dusk.ledger.demo;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.journal.Consistency;
import dusk.ledger.journal.Ledger;
import org.junit.jupiter.api.Test;

class DemoClubTest {
    @Test
    void theClubIsTheSameForTheSameSeed() {
        assertThat(DemoClub.ledger(11)).isEqualTo(DemoClub.ledger(11));
        assertThat(DemoClub.ledger(11)).isNotEqualTo(DemoClub.ledger(12));
    }

    @Test
    void theClubHasTheSizeOfTheScenarioAndItsCountsAgree() {
        Ledger ledger = DemoClub.ledger(DemoClub.SEED);
        assertThat(ledger.trips()).hasSize(230);
        assertThat(ledger.stints().size()).isBetween(2450, 2750);
        assertThat(ledger.catches().size()).isBetween(2700, 3400);
        assertThat(Consistency.breaches(ledger)).isEmpty();
    }
}
