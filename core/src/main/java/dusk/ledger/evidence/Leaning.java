package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Figures;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.function.BiFunction;

/**
 * Why a plain tally may favour a level: it was fished more than others by one who catches more on anything, in a place or
 * at an hour that gives more of anything. Reckoned by direct standardisation: what the other levels catch at each value
 * of the factor, weighted once by the hours of the level and once by their own, and the ratio of the two.
 *
 * @param factor who, where or when
 * @param value the one that does most of it
 * @param share of the level's rod-hours at that value, in [0, 1]
 * @param shareOfOthers the same of the other levels'
 * @param rateThere fish a rod-hour of the other levels there
 * @param rateElsewhere of the other levels at all other values
 * @param lift by how much the factor alone would lift the level's tally
 */
public record Leaning(
        Factor factor,
        String value,
        double share,
        double shareOfOthers,
        double rateThere,
        double rateElsewhere,
        double lift) {
    private static final List<Factor> USUAL = List.of(Factor.ANGLER, Factor.SPOT, Factor.LIGHT);

    /** A lift from here on is worth a sentence. */
    private static final double WORTH = 1.05;

    /** A value that the level is not fished at half as much again as the others explains nothing. */
    private static final double MUCH = 1.5;

    /** Those that lift a level, most first. */
    public static List<Leaning> of(StintTable table, Question question, String level) {
        List<Leaning> leanings = new ArrayList<>();
        BitSet rows = Comparison.rows(table, question);
        int[] fish = table.fish(question.species(), question.least());
        Codes levels = table.codes(question.factor());
        for (Factor factor : USUAL) {
            if (factor != question.factor()) {
                Codes values = table.codes(factor);
                double[][] own = new double[2][values.levels().size()];
                double[][] others = new double[2][values.levels().size()];
                rows.stream().filter(row -> levels.at(row) > 0).forEach(row -> {
                    double[][] side = levels.level(row).equals(level) ? own : others;
                    side[0][values.at(row)] += fish[row];
                    side[1][values.at(row)] += table.rodHours(row);
                });
                add(leanings, factor, values, own[1], others);
            }
        }
        leanings.sort(Comparator.comparingDouble(Leaning::lift).reversed());
        return List.copyOf(leanings);
    }

    private static void add(List<Leaning> leanings, Factor factor, Codes values, double[] ownHours, double[][] others) {
        double allOwn = sum(ownHours);
        double allOthers = sum(others[1]);
        double fishOfOthers = sum(others[0]);
        if (!(allOwn > 0 && fishOfOthers > 0)) {
            return;
        }
        double mean = fishOfOthers / allOthers;
        double lift = 0;
        int most = -1;
        double mostBy = 0;
        for (int value = 0; value < ownHours.length; value++) {
            double share = ownHours[value] / allOwn;
            // where nothing else was fished the factor has no say
            double rate = others[1][value] > 0 ? others[0][value] / others[1][value] : mean;
            double shareOfOthers = others[1][value] / allOthers;
            lift += share * rate / mean;
            double by = (share - shareOfOthers) * (rate - mean);
            if (value > 0 && share > MUCH * shareOfOthers && shareOfOthers > 0 && rate > mean && by > mostBy) {
                most = value;
                mostBy = by;
            }
        }
        if (most >= 0 && lift >= WORTH) {
            double there = others[0][most] / others[1][most];
            double elsewhere = (fishOfOthers - others[0][most]) / (allOthers - others[1][most]);
            leanings.add(new Leaning(
                    factor,
                    values.levels().get(most),
                    ownHours[most] / allOwn,
                    others[1][most] / allOthers,
                    there,
                    elsewhere,
                    lift));
        }
    }

    private static double sum(double[] values) {
        double sum = 0;
        for (double value : values) {
            sum += value;
        }
        return sum;
    }

    /**
     * Such as {@code 58 % of its rod-hours are Edda's, who takes 2.10 a rod-hour on anything else against 1.20 of the others.}
     *
     * @param nameOf of a value, as whoever reads it may see it
     */
    public String words(BiFunction<Factor, String, String> nameOf) {
        String hours = Figures.trimmed(100 * share, 0) + " % of its rod-hours";
        String name = nameOf.apply(factor, value);
        String rates = Figures.fixed(rateThere, 2) + " fish a rod-hour against " + Figures.fixed(rateElsewhere, 2);
        return switch (factor) {
            case ANGLER -> hours + " were fished by " + name + ", who takes " + rates + " of the others on all else.";
            case SPOT -> hours + " were fished at " + name + ", where all else takes " + rates + " elsewhere.";
            default -> hours + " were fished at " + name + ", when all else takes " + rates + " at other times.";
        };
    }
}
