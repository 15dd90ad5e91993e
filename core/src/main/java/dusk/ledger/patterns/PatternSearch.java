package dusk.ledger.patterns;

import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;

/**
 * Searches a table for patterns of one to three terms, at least one of them tackle. The answer is the same whatever
 * the number of threads: work is cut into pieces in a fixed order and put together in that order.
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
    private final Workers workers;
    private final SearchProgress progress;

    /** How far the whole search is, in thousandths; sweeps of long patterns take most of the time. */
    private int went;

    private int candidates;
    private int tested;
    private double spread;

    private PatternSearch(StintTable table, Ask ask, Workers workers, SearchProgress progress) {
        this.ask = ask;
        this.workers = workers;
        this.progress = progress;
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
        try (Workers workers = new Workers(threads)) {
            PatternSearch search = new PatternSearch(table, ask, workers, progress);
            search.search();
            List<Pattern> patterns = new Reporting(
                            search.layout, search.terms, search.knowledge, search.spread, ask.falseDiscovery())
                    .patterns();
            return new Findings(search.candidates, search.tested, patterns);
        }
    }

    /** Information on a pattern's ratio, sum of M N1 N0/N^2 over its blocks; 0 where one of its terms does not occur. */
    public static double information(StintTable table, Ask ask, List<Term> pattern) {
        Layout layout = new Layout(table, table.fish(ask.species(), ask.least()));
        Terms terms = new Terms(layout);
        int[] numbers = pattern.stream().mapToInt(terms.all::indexOf).sorted().toArray();
        if (numbers.length == 0 || numbers[0] < 0) {
            return 0;
        }
        Knowledge nothing = new Knowledge(layout);
        return new Matching(layout, nothing.unrest().unweighted())
                .sums(new Combination(terms, numbers), nothing.expected())
                .information;
    }

    /**
     * Short patterns first, until they have no more to say; then the long ones, with the short ones granted; then the
     * short ones once more.
     */
    private void search() {
        int shortest = Math.min(SHORT, ask.maxTerms());
        shortRounds(shortest);
        if (ask.maxTerms() > SHORT && round(SHORT + 1, ask.maxTerms(), true) > 0) {
            shortRounds(shortest);
        }
    }

    private void shortRounds(int most) {
        for (int i = 0; i < MOST_ROUNDS; i++) {
            if (round(1, most, candidates == 0) == 0) {
                return;
            }
        }
    }

    private int round(int fewest, int most, boolean first) {
        Swept swept = sweep(fewest, most);
        if (first) {
            candidates += swept.supported();
            tested += swept.tested();
            spread = Math.max(spread, swept.spread());
        }
        Winnowing winnowing = new Winnowing(layout, terms, knowledge, swept, ask.falseDiscovery(), workers);
        int kept = fewest > SHORT ? winnowing.keepAll() : winnowing.keep();
        if (kept > 0) {
            knowledge.settle();
        }
        return kept;
    }

    /** Conditions to sweep within, and how many tackle terms may join them, the first of a given factor where one is given. */
    @SuppressWarnings("ArrayRecordComponent") // small, private, never compared
    private record Piece(int[] conditionTerms, int tackleTerms, int firstFactor) {}

    private Swept sweep(int fewest, int most) {
        List<Piece> pieces = pieces(fewest, most);
        AtomicInteger done = new AtomicInteger();
        int from = went;
        went = fewest > SHORT ? LONG_DONE : Math.min(PERMILLE, went + SHORT_PART);
        int to = went;
        Within everywhere = within(Within.everywhere(layout));
        ThreadLocal<Sweep> sweeps = ThreadLocal.withInitial(() -> new Sweep(terms, knowledge.unrest()));
        Swept swept = new Swept();
        workers.all(pieces.stream()
                        .<Callable<List<Sweep.Found>>>map(piece -> () -> {
                            List<Sweep.Found> found = run(sweeps.get(), piece, everywhere);
                            int now = from + (to - from) * done.incrementAndGet() / pieces.size();
                            if (!progress.went(now, PERMILLE)) {
                                throw new SearchStopped();
                            }
                            return found;
                        })
                        .toList())
                .forEach(found -> found.forEach(swept::add));
        return swept;
    }

    /** The work of a sweep over patterns of so many terms, in a fixed order. */
    private List<Piece> pieces(int fewest, int most) {
        List<Piece> pieces = new ArrayList<>();
        for (int n = fewest; n <= most; n++) {
            for (int f = 0; f < terms.tackle.size(); f++) {
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

    private Within within(int[] places) {
        return new Within(
                layout, terms, knowledge.expected(), knowledge.unrest().weight(), places);
    }

    private List<Sweep.Found> run(Sweep sweep, Piece piece, Within everywhere) {
        Within within = everywhere;
        if (piece.conditionTerms().length > 0) {
            int[] places = Within.places(layout, terms, piece.conditionTerms());
            if (places.length < 2 * Support.LEAST_STINTS) {
                return List.of();
            }
            within = within(places);
        }
        List<Sweep.Found> found = new ArrayList<>();
        int factors = terms.tackle.size();
        int from = Math.max(0, piece.firstFactor());
        int to = piece.firstFactor() < 0 ? factors : from + 1;
        for (int f = from; f < to; f++) {
            if (piece.tackleTerms() == 1) {
                found.add(sweep.run(within, piece.conditionTerms(), f));
                continue;
            }
            for (int g = f + 1; g < factors; g++) {
                if (piece.tackleTerms() == 2) {
                    found.add(sweep.run(within, piece.conditionTerms(), f, g));
                    continue;
                }
                for (int h = g + 1; h < factors; h++) {
                    found.add(sweep.run(within, piece.conditionTerms(), f, g, h));
                }
            }
        }
        return found;
    }
}
