package dusk.ledger.teach;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.vocabulary.Factor;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LotTest {
    private static final Lot.Pair BLACK_OR_PEARL = new Lot.Pair(Factor.COLOUR, "black", "pearl");

    private static SetUp of(String rig, String colour) {
        return SetUpBuilder.builder()
                .id((rig + "-" + colour).replace(" ", "-"))
                .rig(rig)
                .plastic("straight worm")
                .colour(colour)
                .build();
    }

    private static final SetUp BLACK_JIG = of("open jig head", "black");
    private static final List<SetUp> BOAT =
            List.of(BLACK_JIG, of("open jig head", "pearl"), of("drop shot", "black"), of("tube", "violet"));

    @ParameterizedTest
    @ValueSource(ints = {2, 5, 10})
    void oneSwapInSoManyIsDue(int oneIn) {
        long due = IntStream.range(0, 20_000)
                .filter(swap -> Lot.due(Lot.luck("trip", "rod", swap), oneIn))
                .count();
        assertThat(due / 20_000.0).isBetween(0.9 / oneIn, 1.1 / oneIn);
    }

    @Test
    void withoutALotNothingIsDue() {
        assertThat(IntStream.range(0, 100).anyMatch(swap -> Lot.due(Lot.luck("trip", "rod", swap), 0)))
                .isFalse();
    }

    @Test
    void whatIsDrawnIsInTheBoatAndDiffersFromWhatIsTiedOn() {
        int asked = 0;
        Set<Factor> factors = EnumSet.noneOf(Factor.class);
        for (int swap = 0; swap < 2000; swap++) {
            SplittableRandom luck = Lot.luck("trip", "rod", swap);
            Lot.Drawn drawn =
                    Lot.draw(List.of(BLACK_OR_PEARL), BOAT, BLACK_JIG, luck).orElseThrow();
            assertThat(BOAT).contains(drawn.setUp());
            assertThat(drawn.setUp()).isNotEqualTo(BLACK_JIG);
            assertThat(
                            drawn.factor() == Factor.COLOUR
                                    ? drawn.setUp().colour()
                                    : drawn.setUp().rigKind())
                    .isEqualTo(drawn.level());
            factors.add(drawn.factor());
            asked += drawn.asked() ? 1 : 0;
        }
        assertThat(factors).containsExactlyInAnyOrder(Factor.COLOUR, Factor.RIG);
        assertThat(asked / 2000.0).isBetween(0.46, 0.54);
    }

    @Test
    void theSameSwapIsDrawnTheSameHoweverOftenOneLooks() {
        for (int swap = 0; swap < 20; swap++) {
            assertThat(Lot.draw(List.of(), BOAT, BLACK_JIG, Lot.luck("t", "r", swap)))
                    .isEqualTo(Lot.draw(List.of(), BOAT, BLACK_JIG, Lot.luck("t", "r", swap)));
        }
    }

    @Test
    void withOneSetUpInTheBoatThereIsNothingToDraw() {
        assertThat(Lot.draw(List.of(BLACK_OR_PEARL), List.of(BLACK_JIG), BLACK_JIG, new SplittableRandom(1)))
                .isEmpty();
    }
}
