package dusk.ledger.teach;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dusk.ledger.demo.Chance;
import dusk.ledger.evidence.Estimate;
import dusk.ledger.evidence.Interval;
import dusk.ledger.journal.Angler;
import dusk.ledger.journal.Catch;
import dusk.ledger.journal.CatchBuilder;
import dusk.ledger.journal.Ledger;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.SetUpBuilder;
import dusk.ledger.journal.Spot;
import dusk.ledger.journal.SpotBuilder;
import dusk.ledger.journal.Stint;
import dusk.ledger.journal.StintBuilder;
import dusk.ledger.journal.Trip;
import dusk.ledger.journal.Water;
import dusk.ledger.stints.StintTable;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class TrialTest {
    private static final Instant START = Instant.parse("2026-05-01T06:00:00Z");
    private static final Trial TRIAL = new Trial("t", "a", "b", null, 20, 10, 7, START, null);

    private static SetUp setUp(String id, String colour) {
        return SetUpBuilder.builder()
                .id(id)
                .rig("texas rig")
                .plastic("craw")
                .colour(colour)
                .build();
    }

    @Test
    void eachBlockHasBothAndTheNextRodTheOtherWayRound() {
        int first = 0;
        for (int block = 0; block < 200; block++) {
            String one = TRIAL.turn(2 * block, 1, "point");
            String two = TRIAL.turn(2 * block + 1, 1, "point");
            assertThat(List.of(one, two)).containsExactlyInAnyOrder("a", "b");
            assertThat(TRIAL.turn(2 * block, 2, "point")).isEqualTo(two);
            first += one.equals("a") ? 1 : 0;
        }
        assertThat(first).as("the order is shuffled").isBetween(75, 125);
    }

    @Test
    void twoSetUpsThatDifferInMoreThanOneThingSaySo() {
        assertThat(Trial.differences(setUp("a", "black"), setUp("b", "pearl"))).containsExactly("colour");
        SetUp other = SetUpBuilder.builder(setUp("b", "pearl")).rig("drop shot").build();
        assertThat(Trial.differences(setUp("a", "black"), other)).containsExactlyInAnyOrder("rig", "colour");
    }

    @Test
    void aTrialOfOneSetUpIsNone() {
        assertThatThrownBy(() -> new Trial("t", "a", "a", null, 20, 10, 7, START, null))
                .hasMessageContaining("expected two set-ups");
    }

    /** Fished as the schedule says: trips differ, places differ, hands differ. */
    private static StintTable fished(double ratio, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Trial trial = new Trial("t", "a", "b", null, 20, 10, seed, START, null);
        List<Spot> spots = new ArrayList<>();
        List<Trip> trips = new ArrayList<>();
        List<Stint> stints = new ArrayList<>();
        List<Catch> fish = new ArrayList<>();
        for (int s = 0; s < 3; s++) {
            spots.add(SpotBuilder.builder().id("s" + s).waterId("w").build());
        }
        for (int t = 0; t < 12; t++) {
            Instant at = START.plus(Duration.ofDays(t));
            trips.add(new Trip("t" + t, "w", at, null, null));
            double day = Math.exp(0.5 * random.nextGaussian());
            for (int rod = 1; rod <= 2; rod++) {
                double hands = rod == 1 ? 1.4 : 0.8;
                for (int turn = 0; turn < 12; turn++) {
                    String spot = "s" + turn / 4;
                    String on = trial.turn(turn, rod, spot);
                    double rate = 2 * day * hands * (turn / 4 + 1) * (on.equals("a") ? ratio : 1);
                    String id = "x" + stints.size();
                    stints.add(StintBuilder.builder()
                            .id(id)
                            .tripId("t" + t)
                            .anglerId("r" + rod)
                            .setUpId(on)
                            .spotId(spot)
                            .purpose("trial")
                            .startedAt(at.plus(Duration.ofMinutes(21L * turn)))
                            .minutes(20)
                            .bites(Chance.poisson(rate / 3, random))
                            .build());
                    Stint last = stints.get(stints.size() - 1);
                    if (last.bites() > 0) {
                        stints.set(
                                stints.size() - 1,
                                StintBuilder.builder(last).hooked(last.bites()).build());
                        fish.add(CatchBuilder.builder()
                                .id("c" + stints.size())
                                .stintId(id)
                                .species("perch")
                                .count(last.bites())
                                .build());
                    }
                }
            }
        }
        return StintTable.of(new Ledger(
                List.of(new Angler("r1", "One"), new Angler("r2", "Two")),
                List.of(new Water("w", "Tarn", "lake", null, ZoneOffset.UTC)),
                spots,
                List.of(setUp("a", "black"), setUp("b", "pearl")),
                List.of(),
                trips,
                List.of(),
                stints,
                fish,
                List.of(),
                List.of(),
                List.of()));
    }

    @Test
    void theIntervalOfATrialHoldsTheTruthInNinetyFiveOfAHundred() {
        double held = IntStream.range(0, 600)
                .parallel()
                .filter(n -> {
                    TrialResult result = TrialResult.of(fished(1.5, 1000 + n), TRIAL);
                    Interval interval = ((Estimate.Figure) result.matched().estimate()).interval();
                    return interval != null && interval.contains(1.5);
                })
                .count();
        assertThat(held / 600).isBetween(0.93, 0.97);
    }

    @Test
    void theChanceSaysWhichOfTheTwoAndStoppingSaysHowOftenThatIsWrong() {
        TrialResult result = TrialResult.of(fished(3, 5), TRIAL);
        assertThat(result.chance()).isNotNull().isGreaterThan(0.99);
        assertThat(result.wrong()).isCloseTo(1 - result.chance(), within(1e-12));
        assertThat(result.a()).isNotNull();
        assertThat(result.a().rodHours()).isCloseTo(48, within(1e-9));
    }

    @Test
    void onlyStintsOfTheTrialCount() {
        StintTable table = fished(3, 5);
        Trial later = new Trial("t", "a", "b", null, 20, 10, 7, START.plus(Duration.ofDays(30)), null);
        TrialResult none = TrialResult.of(table, later);
        assertThat(none.a()).isNull();
        assertThat(none.chance()).isNull();
        assertThat(none.wrong()).isNull();
        Trial ended = new Trial("t", "a", "b", null, 20, 10, 7, START, START.plus(Duration.ofDays(6)));
        assertThat(TrialResult.of(table, ended).a().rodHours()).isCloseTo(24, within(1e-9));
        assertThat(TrialResult.of(table, new Trial("t", "b", "a", null, 20, 10, 7, START, null))
                        .chance())
                .isLessThan(0.01);
    }
}
