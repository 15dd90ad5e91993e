package dusk.ledger.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.tackle.WeightLadder;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class LadderTest {
    private static final Lure.Parts CREATURE =
            new Lure.Parts(null, "lead", "creature", Length.ofMillimetres(90), "plastisol", 0.4, 0, 0);

    private static Ladder.Asked asked(double depthM, @Nullable Band band, @Nullable Double rodMostG, boolean dropShot) {
        return new Ladder.Asked(
                CREATURE,
                1,
                new Cast(depthM, 20, 1.5, 0.00025, Cast.FRESH, 0, 90),
                Arrival.Method.SLACK,
                0.4,
                band,
                WeightLadder.GRAMS.steps(),
                rodMostG == null ? null : Mass.ofGrams(rodMostG),
                dropShot);
    }

    @ParameterizedTest
    @EnumSource(Arrival.Method.class)
    void eachHeavierHeadFallsFasterRunsDeeperAndKeepsToTheBottomMore(Arrival.Method method) {
        Ladder.Asked slack = asked(5, null, null, false);
        Ladder.Asked asked =
                new Ladder.Asked(slack.parts(), 1.2, slack.cast(), method, 0.4, null, slack.heads(), null, false);
        Ladder ladder = Ladder.of(asked);
        assertThat(ladder.rungs()).hasSize(14);
        Ladder.Rung before = null;
        for (Ladder.Rung rung : ladder.rungs()) {
            if (before != null && before.fallSeconds() != null) {
                assertThat(rung.fallSeconds()).isLessThan(before.fallSeconds());
                assertThat(rung.runningDepthM()).isGreaterThan(before.runningDepthM() - 1e-6);
                assertThat(rung.contactShare()).isGreaterThanOrEqualTo(before.contactShare() - 1e-9);
            }
            if (method != Arrival.Method.TIGHT) {
                double closed = asked.cast().freeFallSeconds(asked.lure(rung.head()), 5);
                assertThat(rung.fallSeconds()).isCloseTo(closed, within(0.005 * closed));
            }
            before = rung;
        }
    }

    @Test
    void oneSchoolTakesTheLightestThatHoldsAndNeverBeyondTheRod() {
        Ladder free = Ladder.of(asked(5, null, null, false));
        Ladder.Rung lightest = free.lightest().orElseThrow();
        assertThat(lightest.holds()).isTrue();
        assertThat(free.rungs())
                .filteredOn(r -> r.head().compareTo(lightest.head()) < 0)
                .isNotEmpty()
                .noneMatch(Ladder.Rung::holds);
        // the plastic weighs too: a rod rated for just the head is overloaded by both
        Ladder rated = Ladder.of(asked(5, null, lightest.head().grams(), false));
        assertThat(rated.lightest()).isEmpty();
        assertThat(rated.rungs())
                .filteredOn(Ladder.Rung::overRating)
                .extracting(Ladder.Rung::head)
                .contains(lightest.head());
        assertThat(rated.control().orElseThrow().overRating()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"2.5,false,0,0", "3,false,0,14", "6,false,0,28", "12,false,0,28", "12,true,0,56", "6,false,18,7"})
    void theOtherSchoolGoesByDepthWithinTheRod(double depth, boolean dropShot, double rod, double expected) {
        Ladder ladder = Ladder.of(asked(depth, null, rod == 0 ? null : rod, dropShot));
        assertThat(ladder.control().map(r -> r.head().grams()).orElse(0.0)).isEqualTo(expected);
    }

    @Test
    void aHeadHoldsUpToACurrentAndNotBeyond() {
        Ladder.Asked asked = asked(5, null, null, false);
        Mass lightest = Ladder.of(asked).lightest().orElseThrow().head();
        double upTo = Ladder.holdsUpTo(asked, lightest).orElseThrow();
        assertThat(upTo).isBetween(0.0, Ladder.STRONGEST_MPS - 0.1);
        assertThat(Ladder.holdsUpTo(asked, Mass.ofGrams(1))).isEqualTo(OptionalDouble.empty());
        for (double current : new double[] {upTo, upTo + 0.1}) {
            Ladder.Asked there = new Ladder.Asked(
                    asked.parts(),
                    1,
                    asked.cast().inCurrent(current),
                    asked.method(),
                    0.4,
                    null,
                    asked.heads(),
                    null,
                    false);
            assertThat(Ladder.of(there).rungs())
                    .filteredOn(r -> r.head().equals(lightest))
                    .singleElement()
                    .satisfies(r -> assertThat(r.holds()).isEqualTo(current == upTo));
        }
    }

    /** A count that is named gives the seconds that are promised, and no count of a fine search on any head gives much more. */
    @Test
    void forFishOffTheBottomNoOtherHeadAndCountKeepsItAmongThemMuchLonger() {
        Band band = new Band(2, 3.2);
        Ladder.Asked asked = asked(6, band, null, false);
        Ladder.Held held = Ladder.of(asked).held().orElseThrow();
        assertThat(seconds(asked, held.head(), held.countSeconds())).isCloseTo(held.bandSeconds(), within(0.02));
        double most = 0;
        for (Mass head : asked.heads()) {
            for (double count = 1; count < 40; count += 0.5) {
                most = Math.max(most, seconds(asked, head, count));
            }
        }
        assertThat(held.bandSeconds()).isGreaterThan(0.9 * most);
        assertThat(Ladder.of(asked(6, new Band(5, 6), null, false)).held()).isEmpty();
    }

    private static double seconds(Ladder.Asked asked, Mass head, double count) {
        Path path = Motion.of(
                asked.lure(head),
                asked.cast(),
                List.of(new Phase.FallSlack(count), new Phase.ReelHome(asked.reelMps())));
        return asked.band() == null ? 0 : asked.band().secondsOf(path);
    }

    @Test
    void aBuoyantPlasticFloatsUnderLightHeadsAndSaysSo() {
        Lure.Parts buoyant = new Lure.Parts(
                null, "tungsten", "creature", Length.ofMillimetres(130), "floating elastomer", 0.1, 0, 0);
        Ladder.Asked usual = asked(4, null, null, false);
        Ladder ladder = Ladder.of(
                new Ladder.Asked(buoyant, 1, usual.cast(), usual.method(), 0.4, null, usual.heads(), null, false));
        assertThat(ladder.rungs().get(0).floats()).isTrue();
        assertThat(ladder.rungs().get(0).fallSeconds()).isNull();
        assertThat(ladder.rungs().get(13).fallSeconds()).isPositive();
    }
}
