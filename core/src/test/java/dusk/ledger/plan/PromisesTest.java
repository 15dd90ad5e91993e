package dusk.ledger.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.demo.Chance;
import dusk.ledger.evidence.Interval;
import dusk.ledger.plan.Promises.Promise;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PromisesTest {
    private static Promise promise(double rate, double hours, int fish) {
        return new Promise(rate, Interval.around(rate, 0.09), Set.of("S1"), hours, fish, 2, 1);
    }

    @ParameterizedTest
    @CsvSource({
        "2, 3, 6, true",
        "2, 3, 1, true",
        "2, 6, 0, false",
        "2, 3, 14, true",
        "2, 3, 30, false",
        "0.3, 1, 0, true"
    })
    void aDayWithinLuckAndDoubtHolds(double rate, double hours, int fish, boolean held) {
        assertThat(promise(rate, hours, fish).held()).isEqualTo(held);
    }

    /** Days drawn as promises say: about ninety-five of a hundred hold. */
    @Test
    void daysThatGoAsPromisedHold() {
        SplittableRandom random = new SplittableRandom(2);
        long held = IntStream.range(0, 4000)
                .filter(i -> {
                    double mean = 2 * 4 * Math.exp(0.3 * random.nextGaussian()) / 1.5;
                    int count = Chance.poisson(mean, random);
                    return promise(2, 4, (int) Math.round(count * 1.5)).held();
                })
                .count();
        assertThat(held / 4000.0).isBetween(0.93, 0.99);
    }

    @Test
    void tenthsGoByThePromiseAndLoseNothing() {
        List<Promise> all = new ArrayList<>();
        for (int i = 1; i <= 37; i++) {
            all.add(promise(i / 10.0, 2, i % 5));
        }
        Promises promises = new Promises(all);
        assertThat(promises.tenths()).hasSize(10);
        assertThat(promises.tenths()).extracting(Promises.Tenth::from).isSorted();
        assertThat(promises.tenths().stream().mapToInt(Promises.Tenth::rods).sum())
                .isEqualTo(37);
        assertThat(promises.tenths().stream().mapToInt(Promises.Tenth::fish).sum())
                .isEqualTo(promises.fish());
        assertThat(promises.tenths().stream()
                        .mapToDouble(Promises.Tenth::expected)
                        .sum())
                .isCloseTo(promises.expected(), within(1e-9));
    }

    @Test
    void eachRuleHasTheRodsThatFollowedIt() {
        Promises promises = new Promises(List.of(
                promise(1, 2, 3),
                new Promise(1, Interval.around(1, 0.09), Set.of("S1", "C4"), 1, 1, 5, 2),
                new Promise(1, Interval.around(1, 0.09), Set.of(), 9, 1, 5, 2)));
        assertThat(promises.byRule())
                .containsExactly(
                        new Promises.Followed("S1", 2, 3, 4, 7, 3), new Promises.Followed("C4", 1, 1, 1, 5, 2));
    }

    @Test
    void nothingKeptIsNothing() {
        assertThat(new Promises(List.of()).tenths()).isEmpty();
        assertThatThrownBy(() -> promise(0, 2, 1)).hasMessageContaining("expected a rate and rod-hours above 0");
    }
}
