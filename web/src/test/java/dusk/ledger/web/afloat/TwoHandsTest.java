package dusk.ledger.web.afloat;

import static org.assertj.core.api.Assertions.assertThat;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.Reading;
import dusk.ledger.journal.SetUp;
import dusk.ledger.journal.Sign;
import dusk.ledger.journal.Stint;
import dusk.ledger.units.Length;
import dusk.ledger.web.records.RodOut;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.io.TempDir;

/** Two devices on one trip, at the same moment: the one that comes second acts on what the first left. */
class TwoHandsTest {
    private static final int TIMES = 5;

    private Boat boat;
    private ExecutorService hands;

    @BeforeEach
    void open(@TempDir Path folder) {
        boat = new Boat(folder);
        boat.after(10);
        hands = Executors.newFixedThreadPool(4);
    }

    @AfterEach
    void close() {
        hands.shutdownNow();
        boat.close();
    }

    /** Does them all at once; what refused to be done. */
    private List<Refusal> atOnce(List<Runnable> acts) throws Exception {
        CountDownLatch start = new CountDownLatch(1);
        List<Callable<Refusal>> calls = new ArrayList<>();
        for (Runnable act : acts) {
            calls.add(() -> {
                start.await();
                try {
                    act.run();
                    return null;
                } catch (Refusal e) {
                    return e;
                }
            });
        }
        List<Future<Refusal>> futures = new ArrayList<>();
        calls.forEach(call -> futures.add(hands.submit(call)));
        start.countDown();
        List<Refusal> refused = new ArrayList<>();
        for (Future<Refusal> future : futures) {
            Refusal refusal = future.get();
            if (refusal != null) {
                refused.add(refusal);
            }
        }
        return refused;
    }

    @RepeatedTest(TIMES)
    void aRodSwappedTwiceHasBothChanges() throws Exception {
        String rod = boat.id(1);
        By one = boat.now();
        By two = boat.by(boat.club.member, boat.club.clock.instant());
        assertThat(atOnce(List.of(
                        () -> boat.rods.swap(one, rod, Boat.map("weight", "up")),
                        () -> boat.rods.swap(two, rod, Boat.map("colour", "violet")))))
                .isEmpty();
        SetUp now = setUp(boat.rod(1).setUpId());
        assertThat(now.headMass()).isNotNull();
        assertThat(now.headMass().grams()).isEqualTo(10);
        assertThat(now.colour()).isEqualTo("violet");
        assertThat(boat.stintsOf("light"))
                .as("the one between was never fished")
                .hasSize(2)
                .extracting(Stint::minutes)
                .contains(10.0);
    }

    private SetUp setUp(String id) {
        return boat.club.all(LedgerFormat.SETUPS).stream()
                .filter(setUp -> setUp.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @RepeatedTest(TIMES)
    void noSignIsLost() throws Exception {
        By[] by = {boat.now(), boat.now(), boat.now(), boat.now()};
        assertThat(atOnce(List.of(
                        () -> boat.conditions.sign(by[0], "birds"),
                        () -> boat.conditions.sign(by[1], "fish breaking"),
                        () -> boat.conditions.read(by[2], Boat.map("water_temp_c", "12")),
                        () -> boat.conditions.read(by[3], Boat.map("clarity_m", "1.4")))))
                .isEmpty();
        assertThat(boat.club.all(LedgerFormat.SIGNS))
                .extracting(Sign::kind)
                .containsExactlyInAnyOrder("birds", "fish breaking");
        assertThat(boat.deck().seen()).containsOnlyKeys("water_temp_c", "clarity_m");
        List<Reading> readings = boat.club.all(LedgerFormat.READINGS);
        assertThat(readings).hasSize(2);
        assertThat(readings)
                .as("the second carries over what the first read")
                .anyMatch(r -> r.waterTemp() != null && r.clarity() != null);
    }

    @RepeatedTest(TIMES)
    void wavedColumnsOfTwoDevicesAreBothRemembered() throws Exception {
        By one = boat.now();
        By two = boat.now();
        atOnce(List.of(() -> boat.conditions.wave(one, "sky"), () -> boat.conditions.wave(two, "tide")));
        assertThat(boat.deck().waved()).containsExactlyInAnyOrder("sky", "tide");
    }

    /** Whoever ends the trip ends the rod too that was just added, else it is not added any more. */
    @RepeatedTest(TIMES)
    void noRodFishesOnOnATripThatHasEnded() throws Exception {
        By end = boat.now();
        By add = boat.by(boat.club.member, boat.club.clock.instant());
        List<Refusal> refused = atOnce(List.of(
                () -> boat.trips.end(end),
                () -> boat.trips.add(add, new TripActs.Wanted(boat.club.other.anglerId(), null, "bare", null, null))));
        assertThat(boat.deck().live()).isFalse();
        assertThat(boat.deck().rods()).allMatch(RodOut::down).hasSize(refused.isEmpty() ? 3 : 2);
    }

    @RepeatedTest(TIMES)
    void aRodIsPutDownOnce() throws Exception {
        String rod = boat.id(1);
        By one = boat.now();
        By two = boat.now();
        assertThat(atOnce(List.of(() -> boat.rods.down(one, rod), () -> boat.rods.down(two, rod))))
                .extracting(Refusal::words)
                .containsExactly("Rod 1 is down. Pick it up first.");
        assertThat(boat.stintsOf("light")).extracting(Stint::minutes).containsExactly(10.0);
    }

    @RepeatedTest(TIMES)
    void twoRodsAddedAtOnceHaveTwoNumbers() throws Exception {
        By one = boat.now();
        By two = boat.now();
        TripActs.Wanted wanted = new TripActs.Wanted(boat.club.other.anglerId(), null, "bare", null, null);
        assertThat(atOnce(List.of(() -> boat.trips.add(one, wanted), () -> boat.trips.add(two, wanted))))
                .isEmpty();
        assertThat(boat.deck().rods()).extracting(RodOut::number).containsExactly(1, 2, 3, 4);
    }

    @RepeatedTest(TIMES)
    void everyFishOfFourHandsIsCounted() throws Exception {
        String rod = boat.id(1);
        List<Runnable> acts = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            By by = boat.now();
            acts.add(() -> boat.rods.landed(by, rod, "walleye", 1));
        }
        assertThat(atOnce(acts)).isEmpty();
        assertThat(boat.fish()).hasSize(12);
        assertThat(boat.stintsOf("light").get(0).hooked()).isEqualTo(12);
    }

    /** The touch counts on the stint that runs when it is stored, whatever the other hand just did. */
    @RepeatedTest(TIMES)
    void aFishLandedWhileTheOtherMovesIsOnOneOfTheTwoStints() throws Exception {
        String rod = boat.id(1);
        By fish = boat.now();
        By move = boat.now();
        assertThat(atOnce(List.of(
                        () -> boat.rods.landed(fish, rod, "walleye", 1),
                        () -> boat.trips.move(move, boat.typed("spot_id", "dock", "depth_m", "3"), null))))
                .isEmpty();
        List<Stint> stints = boat.stintsOf("light");
        assertThat(stints).hasSize(2);
        assertThat(stints.stream().mapToInt(Stint::hooked).sum()).isEqualTo(1);
        assertThat(boat.fish().get(0).stintId())
                .isEqualTo(stints.stream()
                        .filter(s -> s.hooked() == 1)
                        .findFirst()
                        .orElseThrow()
                        .id());
        assertThat(boat.rod(1).depth()).isEqualTo(Length.ofMetres(3));
    }

    @RepeatedTest(TIMES)
    void theSameTouchSentByFourHandsIsStoredOnce() throws Exception {
        String rod = boat.id(2);
        By same = boat.now();
        Runnable act = () -> boat.rods.touch(same, rod, "bite");
        assertThat(atOnce(List.of(act, act, act, act))).isEmpty();
        assertThat(boat.touches()).hasSize(1);
        assertThat(boat.stintsOf("r2").get(0).bites()).isEqualTo(1);
    }

    @RepeatedTest(TIMES)
    void anActIsUndoneOnce() throws Exception {
        By bite = boat.now();
        boat.rods.touch(bite, boat.id(1), "bite");
        By one = boat.now();
        By two = boat.now();
        assertThat(atOnce(List.of(() -> boat.back.undo(one, bite.id()), () -> boat.back.undo(two, bite.id()))))
                .extracting(Refusal::words)
                .containsExactly("That was undone already.");
        assertThat(boat.touches()).isEmpty();
    }
}
