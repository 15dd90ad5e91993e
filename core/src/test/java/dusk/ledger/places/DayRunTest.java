package dusk.ledger.places;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DayRunTest {
    private static DayRun.Day day(int places, int slots, SplittableRandom random) {
        double[][] bites = new double[places][slots];
        int[][] move = new int[places][places];
        int[] reach = new int[places];
        // on a map, so that no way round is shorter than the way straight
        double[][] at = new double[places][];
        for (int p = 0; p < places; p++) {
            at[p] = new double[] {random.nextDouble(3), random.nextDouble(3)};
        }
        for (int p = 0; p < places; p++) {
            double good = random.nextDouble(0.2, 2);
            double peak = random.nextInt(slots);
            reach[p] = (int) Math.ceil(Math.hypot(at[p][0], at[p][1]));
            for (int s = 0; s < slots; s++) {
                bites[p][s] = good * Math.exp(-Math.abs(s - peak) / 4);
            }
            for (int q = 0; q < places; q++) {
                move[p][q] = (int) Math.ceil(Math.hypot(at[p][0] - at[q][0], at[p][1] - at[q][1]));
            }
        }
        return new DayRun.Day(bites, move, reach, random.nextBoolean() ? 1 : random.nextDouble(0.5, 1));
    }

    /** Everything that can be done, slot by slot. */
    private static double exhaustive(DayRun.Day day, int place, int slot, int fished, Set<Integer> been) {
        double best = 0;
        if (slot < day.slots()) {
            best = Math.pow(day.kept(), fished) * day.bites()[place][slot]
                    + exhaustive(day, place, slot + 1, fished + 1, been);
        }
        if (slot < day.slots() && fished == 0) {
            best = Math.max(best, exhaustive(day, place, slot + 1, 0, been));
        }
        for (int next = 0; next < day.places(); next++) {
            if (!been.contains(next) && slot + day.move()[place][next] <= day.slots()) {
                Set<Integer> more = new HashSet<>(been);
                more.add(next);
                best = Math.max(best, exhaustive(day, next, slot + day.move()[place][next], 0, more));
            }
        }
        return best;
    }

    private static double exhaustive(DayRun.Day day) {
        double best = 0;
        for (int first = 0; first < day.places(); first++) {
            if (day.reach()[first] <= day.slots()) {
                best = Math.max(best, exhaustive(day, first, day.reach()[first], 0, Set.of(first)));
            }
        }
        return best;
    }

    private static List<List<Integer>> orders(int places) {
        if (places == 0) {
            return List.of(List.of());
        }
        List<List<Integer>> all = new ArrayList<>();
        for (List<Integer> shorter : orders(places - 1)) {
            for (int at = 0; at <= shorter.size(); at++) {
                List<Integer> order = new ArrayList<>(shorter);
                order.add(at, places - 1);
                all.add(order);
            }
        }
        return all;
    }

    /** What its legs give by themselves, which must be a day that can be fished. */
    private static double walked(DayRun.Day day, DayRun run) {
        double bites = 0;
        int free = 0;
        int before = -1;
        Set<Integer> been = new HashSet<>();
        for (DayRun.Leg leg : run.legs()) {
            assertThat(been.add(leg.place())).isTrue();
            int there = before < 0 ? day.reach()[leg.place()] : free + day.move()[before][leg.place()];
            assertThat(leg.from()).isGreaterThanOrEqualTo(there);
            assertThat(leg.to()).isGreaterThan(leg.from()).isLessThanOrEqualTo(day.slots());
            double got = 0;
            for (int slot = leg.from(); slot < leg.to(); slot++) {
                got += Math.pow(day.kept(), slot - leg.from()) * day.bites()[leg.place()][slot];
            }
            assertThat(leg.bites()).isCloseTo(got, within(1e-9));
            bites += got;
            free = leg.to();
            before = leg.place();
        }
        return bites;
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4})
    void theBestRunIsTheBestOfAllThatCanBeDone(int places) {
        SplittableRandom random = new SplittableRandom(places);
        for (int i = 0; i < 25; i++) {
            DayRun.Day day = day(places, 8, random);
            DayRun run = DayRun.best(day);
            assertThat(run.bites()).isCloseTo(exhaustive(day), within(1e-9));
            assertThat(walked(day, run)).isCloseTo(run.bites(), within(1e-9));
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {5, 6, 7})
    void theBestRunIsTheBestOfAllOrders(int places) {
        SplittableRandom random = new SplittableRandom(places);
        for (int i = 0; i < 3; i++) {
            DayRun.Day day = day(places, 20, random);
            DayRun run = DayRun.best(day);
            double most = orders(places).stream()
                    .mapToDouble(order -> DayRun.inOrder(day, order).bites())
                    .max()
                    .orElseThrow();
            assertThat(run.bites()).isCloseTo(most, within(1e-9));
            assertThat(walked(day, run)).isCloseTo(run.bites(), within(1e-9));
        }
    }

    @Test
    void anOrderByHandIsKeptAndItsStaysAreTheBestOfThatOrder() {
        SplittableRandom random = new SplittableRandom(9);
        for (int i = 0; i < 40; i++) {
            DayRun.Day day = day(4, 10, random);
            List<Integer> order = List.of(2, 0, 3);
            DayRun run = DayRun.inOrder(day, order);
            List<Integer> gone = run.legs().stream().map(DayRun.Leg::place).toList();
            assertThat(order).containsSubsequence(gone);
            assertThat(walked(day, run)).isCloseTo(run.bites(), within(1e-9));
            assertThat(run.bites()).isLessThanOrEqualTo(DayRun.best(day).bites() + 1e-9);
            assertThat(DayRun.inOrder(day, gone).bites()).isCloseTo(run.bites(), within(1e-9));
        }
    }

    /** Dusk at the end: the best place is rested until then, and the others are fished before it. */
    @Test
    void aPlaceThatWearsIsKeptForItsHour() {
        double[][] bites = {{1, 1, 1, 1, 9, 9}, {1, 1, 1, 1, 1, 1}};
        DayRun run = DayRun.best(new DayRun.Day(bites, new int[][] {{0, 1}, {1, 0}}, new int[2], 0.5));
        assertThat(run.legs())
                .extracting(DayRun.Leg::place, DayRun.Leg::from, DayRun.Leg::to)
                .containsExactly(tuple(1, 0, 3), tuple(0, 4, 6));
    }

    @Test
    void twelvePlacesOverAWholeDayAreWeighed() {
        DayRun.Day day = day(12, 84, new SplittableRandom(1));
        DayRun run = DayRun.best(day);
        assertThat(walked(day, run)).isCloseTo(run.bites(), within(1e-9));
        assertThat(run.legs()).hasSizeGreaterThan(3);
    }

    @Test
    void aDayTooShortForAnyPlaceIsEmpty() {
        DayRun.Day day = new DayRun.Day(new double[][] {{1}}, new int[][] {{0}}, new int[] {5}, 1);
        assertThat(DayRun.best(day)).isEqualTo(new DayRun(List.of(), 0));
        assertThat(DayRun.inOrder(day, List.of(0))).isEqualTo(new DayRun(List.of(), 0));
    }

    @Test
    void aDayThatCannotBeSaysWhatIsExpected() {
        assertThatThrownBy(() -> day(13, 4, new SplittableRandom(1)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("expected 1 to 12 places");
        assertThatThrownBy(() -> new DayRun.Day(new double[][] {{-1}}, new int[][] {{0}}, new int[] {0}, 1))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("place 0: expected bites for every slot");
        assertThatThrownBy(() -> new DayRun.Day(new double[][] {{1}}, new int[][] {{0}}, new int[] {0}, 0))
                .hasMessage("expected a share above 0 and no more than 1, not 0.0");
    }
}
