package dusk.ledger.cli;

import dusk.ledger.interchange.PackageReader;
import dusk.ledger.patterns.Findings;
import dusk.ledger.patterns.PatternSearch;
import dusk.ledger.patterns.SearchProgress;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Length;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(name = "patterns", description = "Searches for choices that do better, or worse, under their conditions")
final class PatternsCommand implements Callable<Integer> {
    private static final double NANOS = 1e9;

    @Parameters(index = "0", paramLabel = "PACKAGE", description = "a package's folder or zip")
    @SuppressWarnings("NullAway.Init") // set by picocli
    private Path place;

    @Option(names = "--species", description = "count this species only")
    private @Nullable String species;

    @Option(names = "--min-length-mm", description = "count fish of this length or longer")
    private @Nullable Double leastMm;

    @Option(names = "--max-terms", description = "terms of a pattern, 1 to 3 (default: ${DEFAULT-VALUE})")
    private int maxTerms = PatternSearch.Ask.USUAL.maxTerms();

    @Option(names = "--fdr", description = "rate of false discovery (default: ${DEFAULT-VALUE})")
    private double falseDiscovery = PatternSearch.Ask.USUAL.falseDiscovery();

    @Option(
            names = "--seed",
            description = "taken for the format's sake: the search draws nothing, its answer is always the same")
    @SuppressWarnings("UnusedVariable")
    private long seed = 1;

    @Option(names = "--threads", description = "threads to search with; the answer does not depend on it")
    private int threads = Runtime.getRuntime().availableProcessors();

    @Spec
    @SuppressWarnings("NullAway.Init")
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        PatternSearch.Ask ask;
        try {
            ask = new PatternSearch.Ask(
                    species, leastMm == null ? null : Length.ofMillimetres(leastMm), maxTerms, falseDiscovery);
        } catch (IllegalArgumentException e) {
            throw new CommandFailure(String.valueOf(e.getMessage()));
        }
        long start = System.nanoTime();
        StintTable table = StintTable.of(PackageReader.read(place).ledger()).rated();
        long read = System.nanoTime();
        Findings findings = PatternSearch.run(table, ask, Math.max(1, threads), SearchProgress.NONE);
        long done = System.nanoTime();
        Answer.print(spec, Printed.findings(findings, (read - start) / NANOS, (done - read) / NANOS));
        return 0;
    }
}
