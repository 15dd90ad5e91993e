package dusk.ledger.bench;

import dusk.ledger.tackle.WeightLadder;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.water.Arrival;
import dusk.ledger.water.Band;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Ladder;
import dusk.ledger.water.Lure;
import dusk.ledger.water.Motion;
import dusk.ledger.water.Path;
import dusk.ledger.water.Phase;
import dusk.ledger.water.Retrieve;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A path of about a minute through the water, reeled and hopped home, and the ladder of fourteen heads, without and
 * with fish off the bottom; in still water and in a current across the cast.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class WaterBench {
    private static final Lure.Parts PARTS = new Lure.Parts(
            Mass.ofGrams(10), "lead", "paddle-tail swimmer", Length.ofMillimetres(90), "plastisol", 0.4, 0, 0);

    @Param({"0", "0.25"})
    public double currentMps;

    private Cast cast() {
        return new Cast(6, 25, Cast.USUAL_ROD_TIP_M, 0.0003, Cast.FRESH, currentMps, 90);
    }

    private Path minute(String home) {
        return Motion.of(Lure.of(PARTS, Cast.FRESH), cast(), new Phase.FallTight(20), Retrieve.parse(home, 0.55));
    }

    @Benchmark
    public Path reeledHome() {
        return minute("reel home");
    }

    @Benchmark
    public Path hoppedHome() {
        return minute("lift 1 m, fall tight to bottom, again");
    }

    private Ladder ladder(Band band) {
        return Ladder.of(new Ladder.Asked(
                PARTS,
                1,
                cast(),
                Arrival.Method.SLACK,
                0.5,
                band,
                WeightLadder.GRAMS.steps(),
                Mass.ofGrams(40),
                false));
    }

    @Benchmark
    public Ladder ladder() {
        return ladder(null);
    }

    @Benchmark
    public Ladder ladderForFishOffTheBottom() {
        return ladder(new Band(2, 3.5));
    }
}
