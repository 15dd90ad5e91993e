package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * Which choice takes longer fish: the levels of a factor, each against the rest, over blocks trip x angler. Fish of one
 * stint are one value, their mean. Where no species is asked for, each species has blocks of its own, so that no small
 * kind makes a choice look poor.
 *
 * @param levels those with a p by rising p, then the others
 */
public record Sizes(List<Told> levels) {
    private static final List<Factor> BLOCKS = List.of(Factor.TRIP, Factor.ANGLER);

    /**
     * One level against the rest.
     *
     * @param q by Benjamini and Hochberg over the levels with a p; 1 where it has none
     */
    public record Told(String level, SizeShift shift, double q) {
        /** Whether fish on it run longer for sure. */
        public boolean longer() {
            return q <= LikeForLike.SURE && shift.lowMm() != null && shift.lowMm() > 0;
        }

        /** Whether they run shorter for sure. */
        public boolean shorter() {
            return q <= LikeForLike.SURE && shift.highMm() != null && shift.highMm() < 0;
        }
    }

    /**
     * Reckons them. A least length is no part of it: it would cut off the very fish that tell.
     *
     * @param estimatedToo whether lengths count that were not measured
     */
    public static Sizes of(StintTable table, Question question, boolean estimatedToo) {
        List<Told> told = new ArrayList<>();
        Codes codes = table.codes(question.factor());
        List<double[][]> lengths = lengths(table, question, estimatedToo);
        for (String level : codes.levels()) {
            if (!level.equals(Factor.NOT_RECORDED)) {
                SizeShift shift = shift(table, question, new Sides(level, null), lengths);
                if (shift.blocks() > 0) {
                    told.add(new Told(level, shift, 1));
                }
            }
        }
        List<Told> tested = told.stream()
                .filter(t -> t.shift().p() != null)
                .sorted(Comparator.comparingDouble(Sizes::p))
                .toList();
        double[] q = FalseDiscovery.q(tested.stream().mapToDouble(Sizes::p).toArray());
        List<Told> all = new ArrayList<>();
        for (int i = 0; i < q.length; i++) {
            all.add(new Told(tested.get(i).level(), tested.get(i).shift(), q[i]));
        }
        told.stream().filter(t -> t.shift().p() == null).forEach(all::add);
        return new Sizes(List.copyOf(all));
    }

    private static double p(Told told) {
        return told.shift().p() == null ? Double.NaN : told.shift().p();
    }

    /** One side against the other. */
    public static SizeShift shift(StintTable table, Question question, Sides sides, boolean estimatedToo) {
        return shift(table, question, sides, lengths(table, question, estimatedToo));
    }

    /** By species. */
    private static List<double[][]> lengths(StintTable table, Question question, boolean estimatedToo) {
        List<String> species = question.species() == null ? table.species() : List.of(question.species());
        return species.stream().map(s -> table.lengthsMm(s, estimatedToo)).toList();
    }

    private static SizeShift shift(StintTable table, Question question, Sides sides, List<double[][]> bySpecies) {
        BitSet rows = Comparison.rows(table, question);
        Codes levels = table.codes(question.factor());
        int[] side = sides.byCode(levels);
        List<SizeShift.Lengths> blocks = new ArrayList<>();
        for (double[][] lengths : bySpecies) {
            int[] spoken = rows.stream()
                    .filter(row -> side[levels.at(row)] >= 0 && lengths[row].length > 0)
                    .toArray();
            Grouping of = Grouping.of(
                    spoken,
                    BLOCKS.stream().map(f -> Grouping.By.of(table.codes(f))).toList());
            blocks.addAll(blocks(spoken, of, row -> side[levels.at(row)] == 1, lengths));
        }
        return SizeShift.of(blocks);
    }

    private static List<SizeShift.Lengths> blocks(int[] rows, Grouping of, IntPredicate onA, double[][] lengths) {
        List<List<Integer>> members = new ArrayList<>();
        IntStream.range(0, of.count()).forEach(block -> members.add(new ArrayList<>()));
        for (int i = 0; i < rows.length; i++) {
            members.get(of.of()[i]).add(rows[i]);
        }
        List<SizeShift.Lengths> blocks = new ArrayList<>();
        for (List<Integer> block : members) {
            double[] a = means(block, onA, lengths);
            double[] b = means(block, onA.negate(), lengths);
            if (a.length > 0 && b.length > 0) {
                blocks.add(new SizeShift.Lengths(a, b));
            }
        }
        return blocks;
    }

    private static double[] means(List<Integer> rows, IntPredicate wanted, double[][] lengths) {
        return rows.stream()
                .mapToInt(Integer::intValue)
                .filter(wanted)
                .mapToDouble(row -> Arrays.stream(lengths[row]).average().orElseThrow())
                .toArray();
    }

    /** What a page leads with: the surest that takes longer fish, else the surest that takes shorter ones. */
    public Optional<Told> lead() {
        return levels.stream()
                .filter(Told::longer)
                .findFirst()
                .or(() -> levels.stream().filter(Told::shorter).findFirst());
    }

    /** What comes nearest to taking longer fish. */
    public Optional<Told> nearest() {
        return levels.stream()
                .filter(t -> t.shift().shiftMm() != null && t.shift().shiftMm() > 0)
                .findFirst();
    }
}
