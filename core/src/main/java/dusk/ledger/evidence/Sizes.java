package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
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
        private Told withQ(double known) {
            return new Told(level, shift, known);
        }

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
        List<Together> together = together(table, question, estimatedToo);
        for (String level : codes.levels()) {
            if (!level.equals(Factor.NOT_RECORDED)) {
                SizeShift shift = shift(together, new Sides(level, null).byCode(codes));
                if (shift.blocks() > 0) {
                    told.add(new Told(level, shift, 1));
                }
            }
        }
        return new Sizes(FalseDiscovery.ranked(told, Sizes::p, Told::withQ));
    }

    private static double p(Told told) {
        return told.shift().p() == null ? Double.NaN : told.shift().p();
    }

    /** One side against the other. */
    public static SizeShift shift(StintTable table, Question question, Sides sides, boolean estimatedToo) {
        return shift(together(table, question, estimatedToo), sides.byCode(table.codes(question.factor())));
    }

    /**
     * Stints of one block with fish of one species.
     *
     * @param levels of each stint
     * @param means of the lengths of its fish, mm
     */
    @SuppressWarnings("ArrayRecordComponent") // made once, never compared
    private record Together(int[] levels, double[] means) {
        double[] on(int[] side, int wanted) {
            return IntStream.range(0, levels.length)
                    .filter(i -> side[levels[i]] == wanted)
                    .mapToDouble(i -> means[i])
                    .toArray();
        }
    }

    private static SizeShift shift(List<Together> together, int[] side) {
        List<SizeShift.Lengths> blocks = new ArrayList<>();
        for (Together block : together) {
            double[] a = block.on(side, 1);
            double[] b = a.length == 0 ? a : block.on(side, 0);
            if (a.length > 0 && b.length > 0) {
                blocks.add(new SizeShift.Lengths(a, b));
            }
        }
        return SizeShift.of(blocks);
    }

    /** Blocks of two stints or more, species by species. */
    private static List<Together> together(StintTable table, Question question, boolean estimatedToo) {
        BitSet rows = Comparison.rows(table, question);
        Codes levels = table.codes(question.factor());
        List<Together> all = new ArrayList<>();
        for (String species : question.species() == null ? table.species() : List.of(question.species())) {
            double[][] lengths = table.lengthsMm(species, estimatedToo);
            int[] spoken = rows.stream()
                    .filter(row -> levels.at(row) > 0 && lengths[row].length > 0)
                    .toArray();
            Grouping of = Grouping.of(
                    spoken,
                    BLOCKS.stream().map(f -> Grouping.By.of(table.codes(f))).toList());
            for (int[] members : LikeForLike.together(of.of(), of.count())) {
                if (members.length > 1) {
                    all.add(new Together(
                            Arrays.stream(members)
                                    .map(i -> levels.at(spoken[i]))
                                    .toArray(),
                            Arrays.stream(members)
                                    .mapToDouble(i -> Arrays.stream(lengths[spoken[i]])
                                            .average()
                                            .orElseThrow())
                                    .toArray()));
                }
            }
        }
        return all;
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
