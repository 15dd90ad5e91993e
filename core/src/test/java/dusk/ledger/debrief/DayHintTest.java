package dusk.ledger.debrief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.debrief.DayHint.Side;
import dusk.ledger.debrief.DayHint.Slice;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class DayHintTest {
    /** 2 sum_{k>=9} C(10,k)/2^10 = 2 * 11/1024, as R's binom.test(9, 10) has it. */
    @Test
    void theChanceIsTheExactOne() {
        assertThat(DayHint.chance(new Side("a", 9, 2), new Side("b", 1, 2))).isCloseTo(22 / 1024.0, within(1e-12));
        assertThat(DayHint.chance(new Side("a", 0, 1), new Side("b", 5, 1))).isCloseTo(2 / 32.0, within(1e-12));
        assertThat(DayHint.chance(new Side("a", 3, 1), new Side("b", 6, 2))).isEqualTo(1);
    }

    @Test
    void whatChangedTogetherIsNamed() {
        List<Slice> day = List.of(
                new Slice(Map.of("colour", "violet", "place", "dock", "angler", "A"), 1, 1.0),
                new Slice(Map.of("colour", "violet", "place", "point", "angler", "B"), 0, 1.0),
                new Slice(Map.of("colour", "pearl", "place", "dock", "angler", "B", "light", "dusk"), 9, 1.0));
        assertThat(DayHint.of(day))
                .filteredOn(h -> h.factor().equals("colour"))
                .singleElement()
                .satisfies(hint -> {
                    assertThat(hint.more()).isEqualTo(new Side("pearl", 9, 1.0));
                    assertThat(hint.less()).isEqualTo(new Side("violet", 1, 2.0));
                    assertThat(hint.changedWith()).isEmpty();
                });
        assertThat(DayHint.of(day.subList(1, 3)))
                .filteredOn(h -> h.factor().equals("colour"))
                .singleElement()
                .satisfies(hint -> assertThat(hint.changedWith()).containsExactly("place"));
        assertThat(DayHint.of(day.subList(0, 2))).as("too few bites").isEmpty();
    }

    /** On days on which nothing matters a pair is named about as often as its chance says, or less. */
    @Test
    void luckIsSeldomTakenForAHint() {
        SplittableRandom random = new SplittableRandom(7);
        int hinted = 0;
        for (int day = 0; day < 2000; day++) {
            List<Slice> slices = new ArrayList<>();
            for (String colour : List.of("violet", "pearl")) {
                int bites = 0;
                for (double at = -Math.log(random.nextDouble()); at < 6; at -= Math.log(random.nextDouble())) {
                    bites++;
                }
                slices.add(new Slice(Map.of("colour", colour), bites, 3));
            }
            hinted += DayHint.of(slices).size();
        }
        assertThat(hinted).isPositive().isLessThan((int) (2000 * DayHint.MOST_CHANCE));
    }
}
