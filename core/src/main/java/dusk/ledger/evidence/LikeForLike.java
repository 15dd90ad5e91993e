package dusk.ledger.evidence;

import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.function.IntUnaryOperator;
import java.util.function.Predicate;

/**
 * Every level against the rest of what was fished in the same blocks, by the matched ratio, and which of them may be said
 * aloud: q by Benjamini and Hochberg over all levels with a p is at most {@value #SURE}, and the interval keeps to one
 * side of 1. The interval is asked for beside q, since fish from three trips that agree have a p of nearly nothing.
 *
 * @param levels those with a block in which something else was fished too, by rising p, those without a p last
 */
public record LikeForLike(List<Told> levels) {
    /** The largest q with which something is called sure. */
    public static final double SURE = 0.05;

    /** A ratio that has an interval. */
    public record Ranged(double ratio, Interval interval) {}

    /**
     * One level against the rest.
     *
     * @param q over all levels with a p; 1 where it has none
     */
    public record Told(String level, MatchedRatio matched, double q) {
        /** Whether it does better for sure. */
        public boolean better() {
            return q <= SURE && figure().map(f -> f.interval().low() > 1).orElse(false);
        }

        /** Whether it does worse for sure. */
        public boolean worse() {
            return q <= SURE && figure().map(f -> f.interval().high() < 1).orElse(false);
        }

        /** Its ratio with an interval, where there is one. */
        public Optional<Ranged> figure() {
            return matched.estimate() instanceof Estimate.Figure f && f.interval() != null
                    ? Optional.of(new Ranged(f.ratio(), f.interval()))
                    : Optional.empty();
        }

        private Told withQ(double known) {
            return new Told(level, matched, known);
        }

        private double p() {
            return matched.estimate() instanceof Estimate.Figure f && f.p() != null ? f.p() : Double.NaN;
        }
    }

    /** The levels of a question's factor, on the same trip, in the same place, in the same hands. */
    public static LikeForLike of(StintTable table, Question question) {
        var codes = table.codes(question.factor());
        return of(
                table,
                question,
                row -> codes.at(row) == 0 ? -1 : codes.at(row),
                codes.levels()::get,
                Contrast.USUAL_BLOCKS);
    }

    /**
     * Levels of any kind.
     *
     * @param codeOf level of a row; negative leaves the row out
     * @param by what a block has in common; the trip must be of it, since a trip is what varies
     */
    static LikeForLike of(
            StintTable table, Question question, IntUnaryOperator codeOf, IntFunction<String> nameOf, List<Factor> by) {
        if (!by.contains(Factor.TRIP)) {
            throw new IllegalArgumentException("blocks of " + by + " may hold several trips; one trip is expected");
        }
        BitSet rows = Comparison.rows(table, question);
        int[] counted = rows.stream().filter(row -> codeOf.applyAsInt(row) >= 0).toArray();
        int width = 1 + Arrays.stream(counted).map(codeOf).max().orElse(0);
        List<Told> told = new ArrayList<>();
        List<List<Block>> blocks = blocks(table, question, counted, new Grouping.By(codeOf, width), by);
        for (int code = 0; code < width; code++) {
            if (!blocks.get(code).isEmpty()) {
                told.add(new Told(nameOf.apply(code), MatchedRatio.of(blocks.get(code)), 1));
            }
        }
        return new LikeForLike(FalseDiscovery.ranked(told, Told::p, Told::withQ));
    }

    /** The blocks of each level, its own fish and effort beside those of all others in the block. */
    private static List<List<Block>> blocks(
            StintTable table, Question question, int[] rows, Grouping.By level, List<Factor> by) {
        int[] fish = table.fish(question.species(), question.least());
        List<Grouping.By> common = new ArrayList<>(
                by.stream().map(f -> Grouping.By.of(table.codes(f))).toList());
        Grouping blocks = Grouping.of(rows, common);
        common.add(level);
        Grouping cells = Grouping.of(rows, common);
        int[] blockOf = new int[cells.count()];
        int[] levelOf = new int[cells.count()];
        int[] tripOf = new int[cells.count()];
        double[] fishOf = new double[cells.count()];
        double[] hoursOf = new double[cells.count()];
        for (int i = 0; i < rows.length; i++) {
            int cell = cells.of()[i];
            blockOf[cell] = blocks.of()[i];
            levelOf[cell] = level.codeOf().applyAsInt(rows[i]);
            tripOf[cell] = table.codes(Factor.TRIP).at(rows[i]);
            fishOf[cell] += fish[rows[i]];
            hoursOf[cell] += table.rodHours(rows[i]);
        }
        List<List<Block>> ofLevel = new ArrayList<>();
        for (int code = 0; code < level.width(); code++) {
            ofLevel.add(new ArrayList<>());
        }
        for (int[] together : together(blockOf, blocks.count())) {
            for (int own : together) {
                double z = 0;
                double n0 = 0;
                for (int other : together) {
                    // never the block's sum less its own, which would leave a trace of effort where there is none
                    if (other != own) {
                        z += fishOf[other];
                        n0 += hoursOf[other];
                    }
                }
                if (n0 > 0) {
                    ofLevel.get(levelOf[own]).add(new Block(tripOf[own], fishOf[own], hoursOf[own], z, n0));
                }
            }
        }
        return ofLevel;
    }

    /** Members by the block each is of. */
    static int[][] together(int[] blockOf, int blocks) {
        int[] size = new int[blocks];
        for (int block : blockOf) {
            size[block]++;
        }
        int[][] together = new int[blocks][];
        Arrays.setAll(together, block -> new int[size[block]]);
        for (int cell = blockOf.length - 1; cell >= 0; cell--) {
            together[blockOf[cell]][--size[blockOf[cell]]] = cell;
        }
        return together;
    }

    /** What a page leads with: the surest that does better, else the surest that does worse. */
    public Optional<Told> lead() {
        return first(Told::better).or(() -> first(Told::worse));
    }

    /** All that are sure, the lead first. */
    public List<Told> sure() {
        List<Told> sure = new ArrayList<>(levels.stream().filter(Told::better).toList());
        levels.stream().filter(Told::worse).forEach(sure::add);
        return sure;
    }

    /** What comes nearest to doing better, where nothing is sure to. */
    public Optional<Told> nearest() {
        return first(t -> t.figure().map(f -> f.ratio() > 1).orElse(false));
    }

    /** A level's own. */
    public Optional<Told> of(String level) {
        return first(t -> t.level().equals(level));
    }

    private Optional<Told> first(Predicate<Told> wanted) {
        return levels.stream().filter(wanted).findFirst();
    }
}
