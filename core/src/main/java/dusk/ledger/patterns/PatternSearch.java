package dusk.ledger.patterns;

import dusk.ledger.columns.StintTable;
import dusk.ledger.units.Length;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

/**
 * Searches a table for patterns of one to three terms, at least one of them tackle. The answer is the same whatever the number of threads: work is cut
 * into pieces in a fixed order and put together in that order.
 */
public final class PatternSearch {
    /**
     * What is asked.
     *
     * @param species null for all
     * @param least least length of a fish to count, null for all
     * @param maxTerms 1 to 3
     * @param falseDiscovery rate of false discovery, in (0, 1)
     */
    public record Ask(@Nullable String species, @Nullable Length least, int maxTerms, double falseDiscovery) {
        public static final Ask USUAL = new Ask(null, null, 3, 0.05);

        public Ask {
            if (maxTerms < 1 || maxTerms > 3) {
                throw new IllegalArgumentException("terms must be 1 to 3, not " + maxTerms);
            }
            if (!(falseDiscovery > 0 && falseDiscovery < 1)) {
                throw new IllegalArgumentException(
                        "the rate of false discovery must lie between 0 and 1, not " + falseDiscovery);
            }
        }
    }

    /** Sweeps of one and two terms before the longer ones are asked; each finding clears the view for the next. */
    private static final int MOST_ROUNDS = 4;

    private static final int SHORT = 2;
    private static final int PERMILLE = 1000;
    private static final int SHORT_PART = 25;
    private static final int LONG_DONE = 900;

    private final Layout layout;
    private final Terms terms;
    private final Knowledge knowledge;
    private final Ask ask;
    /** How far the whole search is, in thousandths; sweeps of long patterns take most of the time. */
    private int went;

    private int candidates;
    private int testedInAll;
    private double spread;

    private PatternSearch(StintTable table, Ask ask) {
        this.ask = ask;
        layout = new Layout(table, table.fish(ask.species(), ask.least()));
        terms = new Terms(layout);
        knowledge = new Knowledge(layout);
    }

    /**
     * Runs a search.
     *
     * @throws SearchStopped where the progress says so
     */
    public static Findings run(StintTable table, Ask ask, int threads, SearchProgress progress) {
        PatternSearch search = new PatternSearch(table, ask);
        ExecutorService pool = Executors.newFixedThreadPool(threads);
        try {
            search.search(pool, progress);
        } finally {
            pool.shutdownNow();
        }
        List<Pattern> patterns = new Reporting(
                        search.layout, search.terms, search.knowledge, search.spread, ask.falseDiscovery())
                .patterns();
        return new Findings(search.candidates, search.testedInAll, patterns);
    }

    /** Short patterns first, until they have no more to say; then the long ones, with the short ones granted; then the short ones once more. */
    private void search(ExecutorService pool, SearchProgress progress) {
        int shortest = Math.min(SHORT, ask.maxTerms());
        shortRounds(pool, progress, shortest, MOST_ROUNDS);
        if (ask.maxTerms() > SHORT) {
            if (round(pool, progress, SHORT + 1, ask.maxTerms(), true) > 0) {
                shortRounds(pool, progress, shortest, MOST_ROUNDS);
            }
        }
    }

    private int shortRounds(ExecutorService pool, SearchProgress progress, int most, int rounds) {
        int found = 0;
        for (int i = 0; i < rounds; i++) {
            int more = round(pool, progress, 1, most, candidates == 0);
            found += more;
            if (more == 0) {
                break;
            }
        }
        return found;
    }

    private int round(ExecutorService pool, SearchProgress progress, int fewest, int most, boolean first) {
        List<Sweep.Found> swept = sweep(pool, progress, fewest, most);
        List<Tested> tested = swept.stream().flatMap(f -> f.tested().stream()).toList();
        if (first) {
            candidates += swept.stream().mapToInt(Sweep.Found::supported).sum();
            testedInAll += tested.size();
            spread = Math.max(spread, Reporting.spread(tested));
        }
        int kept = new Winnowing(layout, terms, knowledge, tested, ask.falseDiscovery()).keep();
        if (kept > 0) {
            knowledge.settle();
        }
        return kept;
    }

    /** Information on a pattern's ratio, sum of M N1 N0/N^2 over its blocks; 0 where one of its terms does not occur. */
    public static double information(StintTable table, Ask ask, List<Term> pattern) {
        PatternSearch search = new PatternSearch(table, ask);
        int[] numbers =
                pattern.stream().mapToInt(search.terms.all::indexOf).sorted().toArray();
        if (numbers.length == 0 || numbers[0] < 0) {
            return 0;
        }
        Placed placed = Placed.of(search.layout, search.terms, numbers);
        return new Matching(search.layout, search.knowledge.dispersion())
                .sums(placed.places(), placed.chosen(), search.knowledge.expected())
                .information;
    }

    /** Conditions to sweep within, and how many tackle terms may join them. */
    @SuppressWarnings("ArrayRecordComponent") // small, private, never compared
    private record Piece(int[] conditionTerms, int tackleTerms, int firstFactor) {}

    private List<Sweep.Found> sweep(ExecutorService pool, SearchProgress progress, int fewest, int most) {
        List<Piece> pieces = pieces(fewest, most);
        AtomicInteger done = new AtomicInteger();
        int from = went;
        went = fewest > SHORT ? LONG_DONE : Math.min(PERMILLE, went + SHORT_PART);
        int to = went;
        double[] expected = knowledge.expected().clone();
        ThreadLocal<Sweep> sweeps = ThreadLocal.withInitial(() -> new Sweep(layout, expected, knowledge.dispersion()));
        List<Future<List<Sweep.Found>>> futures = new ArrayList<>();
        for (Piece piece : pieces) {
            futures.add(pool.submit(() -> {
                List<Sweep.Found> found = run(sweeps.get(), piece);
                int now = from + (to - from) * done.incrementAndGet() / pieces.size();
                if (!progress.went(now, PERMILLE)) {
                    throw new SearchStopped();
                }
                return found;
            }));
        }
        try {
            List<Sweep.Found> all = new ArrayList<>();
            for (Future<List<Sweep.Found>> future : futures) {
                all.addAll(future.get());
            }
            return all;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new SearchStopped();
        } catch (ExecutionException e) {
            if (e.getCause() instanceof SearchStopped stopped) {
                throw stopped;
            }
            throw new IllegalStateException("a piece of the search failed", e.getCause());
        }
    }

    /** The work of a sweep over patterns of so many terms, in a fixed order. */
    private List<Piece> pieces(int fewest, int most) {
        List<Piece> pieces = new ArrayList<>();
        int factors = terms.tackle.size();
        for (int n = fewest; n <= most; n++) {
            for (int f = 0; f < factors; f++) {
                pieces.add(new Piece(new int[0], n, f));
            }
        }
        List<Terms.Coded> conditions = terms.conditions;
        for (int c = 0; c < conditions.size(); c++) {
            for (int a = 1; a < conditions.get(c).levels(); a++) {
                int one = conditions.get(c).first() + a - 1;
                for (int n = Math.max(1, fewest - 1); n <= most - 1; n++) {
                    pieces.add(new Piece(new int[] {one}, n, -1));
                }
                if (most > SHORT) {
                    for (int d = c + 1; d < conditions.size(); d++) {
                        for (int b = 1; b < conditions.get(d).levels(); b++) {
                            pieces.add(new Piece(
                                    new int[] {one, conditions.get(d).first() + b - 1}, 1, -1));
                        }
                    }
                }
            }
        }
        return pieces;
    }

    private List<Sweep.Found> run(Sweep sweep, Piece piece) {
        int[] places = places(piece.conditionTerms());
        if (places.length < 2 * Sweep.LEAST_STINTS) {
            return List.of();
        }
        List<Sweep.Found> found = new ArrayList<>();
        List<Terms.Coded> tackle = terms.tackle;
        int from = Math.max(0, piece.firstFactor());
        int to = piece.firstFactor() < 0 ? tackle.size() : from + 1;
        for (int f = from; f < to; f++) {
            if (piece.tackleTerms() == 1) {
                found.add(sweep.run(places, piece.conditionTerms(), List.of(tackle.get(f))));
                continue;
            }
            for (int g = f + 1; g < tackle.size(); g++) {
                if (piece.tackleTerms() == 2) {
                    found.add(sweep.run(places, piece.conditionTerms(), List.of(tackle.get(f), tackle.get(g))));
                    continue;
                }
                for (int h = g + 1; h < tackle.size(); h++) {
                    found.add(sweep.run(
                            places, piece.conditionTerms(), List.of(tackle.get(f), tackle.get(g), tackle.get(h))));
                }
            }
        }
        return found;
    }

    /** Places where conditions hold. */
    private int[] places(int[] conditionTerms) {
        int[] places = new int[layout.size];
        int count = 0;
        int[][] codes = new int[conditionTerms.length][];
        int[] wanted = new int[conditionTerms.length];
        for (int c = 0; c < conditionTerms.length; c++) {
            Terms.Coded coded = terms.of(conditionTerms[c]);
            codes[c] = coded.codes();
            wanted[c] = conditionTerms[c] - coded.first() + 1;
        }
        for (int i = 0; i < places.length; i++) {
            boolean holds = true;
            for (int c = 0; c < codes.length && holds; c++) {
                holds = codes[c][i] == wanted[c];
            }
            if (holds) {
                places[count++] = i;
            }
        }
        return Arrays.copyOf(places, count);
    }
}
