package dusk.ledger.patterns;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.demo.SimulatedClub;
import dusk.ledger.journal.Ledger;
import dusk.ledger.stints.StintTable;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

/** How much luckier stints are than chance, against clubs whose schools are known. */
class UnrestTest {
    private static Layout layout(double schools, int stints, long seed) {
        StintTable table =
                StintTable.of(SimulatedClub.draw(new SimulatedClub.Plan(stints, 0, false).inSchools(schools), seed)
                        .ledger());
        return new Layout(table, table.fish(null, null));
    }

    private static Unrest of(Layout layout) {
        return new Knowledge(layout).unrest();
    }

    /** The luck is the squared coefficient of variation of what a stint's rate is multiplied by. */
    @Test
    void theLuckOfSchoolsIsMeasured() {
        assertThat(of(layout(0, 6000, 3)).luck()).isLessThan(0.08);
        assertThat(of(layout(0.5, 6000, 3)).luck()).isCloseTo(0.25, within(0.12));
        assertThat(of(layout(0.8, 6000, 3)).luck()).isCloseTo(0.64, within(0.25));
    }

    @Test
    void aStintOfManyFishToExpectCountsForLessAndNoneForNothing() {
        Layout layout = layout(0.8, 2000, 4);
        Unrest unrest = of(layout);
        assertThat(Arrays.stream(unrest.weight()).min().orElseThrow())
                .isPositive()
                .isLessThan(0.5);
        assertThat(Arrays.stream(unrest.weight()).max().orElseThrow()).isEqualTo(1);
        assertThat(unrest.unweighted().weight()).containsOnly(1);
        assertThat(unrest.dispersionOfCaught(layout)).isGreaterThan(1 + unrest.luck());
    }

    @Test
    void anEmptyLedgerHasNoLuck() {
        Unrest unrest = of(new Layout(StintTable.of(Ledger.empty()), new int[0]));
        assertThat(unrest.luck()).isZero();
        assertThat(unrest.dispersion()).isEqualTo(1);
    }
}
