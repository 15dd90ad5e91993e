package dusk.ledger.bench;

import dusk.ledger.evidence.Comparison;
import dusk.ledger.evidence.Contrast;
import dusk.ledger.evidence.Question;
import dusk.ledger.evidence.Sides;
import dusk.ledger.journal.Ledger;
import dusk.ledger.patterns.Findings;
import dusk.ledger.patterns.PatternSearch;
import dusk.ledger.patterns.SearchProgress;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;

/** The column table, one comparison as its page makes it (all colours, one against the rest), and one search on two threads. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4)
@Measurement(iterations = 5)
@Fork(
        value = 1,
        jvmArgs = {"-Xmx2g"})
public class ReckoningBench {
    @Param({"3000", "20000", "200000"})
    public int stints;

    private Ledger ledger = Ledger.empty();
    private StintTable table = StintTable.of(Ledger.empty());

    @Setup
    public void draw() {
        ledger = Clubs.of(stints);
        table = StintTable.of(ledger);
    }

    @Benchmark
    public StintTable columnTable() {
        return StintTable.of(ledger);
    }

    @Benchmark
    public void compareColours(Blackhole seen) {
        Question question = new Question(Factor.COLOUR, Map.of(), null, null);
        seen.consume(Comparison.of(table, question));
        seen.consume(Contrast.of(table, question, new Sides("brown craw", null), Contrast.Method.USUAL));
    }

    @Benchmark
    public Findings search() {
        return PatternSearch.run(table, PatternSearch.Ask.USUAL, 2, SearchProgress.NONE);
    }
}
