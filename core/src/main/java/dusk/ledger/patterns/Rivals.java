package dusk.ledger.patterns;

import dusk.ledger.evidence.TrialSize;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Looks for other conditions that explain a finding about as well. A rival has the same tackle, all conditions but
 * one in common and stands by itself; once it is granted the finding is no more than chance would make, and once the
 * finding is granted so is the rival. Where only one of the two falls silent the records have told them apart.
 */
final class Rivals {
    /** A rival says by itself what chance would say once in two hundred times. */
    private static final double STANDS = 0.005;

    /** What is left of the one, the other granted, that chance would make one time in twenty or more, is nothing. */
    private static final double SILENT = 0.05;

    private static final int NAMED = 2;

    private final Layout layout;
    private final Terms terms;
    private final Unrest unrest;
    private final Matching matching;

    Rivals(Layout layout, Terms terms, Unrest unrest) {
        this.layout = layout;
        this.terms = terms;
        this.unrest = unrest;
        matching = new Matching(layout, unrest);
    }

    private record Candidate(int own, Terms.Coded factor, BitSet levels, Combination combination, Effect effect) {}

    /**
     * The likeliest rivals, the surest first, one for each factor.
     *
     * @param effect of the finding
     * @param others fish to expect with all other findings granted
     * @param rate fish a rod-hour of the others' stints under the finding's conditions
     */
    List<Rival> of(Combination finding, Effect effect, double[] others, double rate) {
        double[] granted = granted(others, finding, effect);
        List<Candidate> rivals = new ArrayList<>();
        for (int own : finding.numbers()) {
            if (terms.of(own).tackle()) {
                continue;
            }
            for (Terms.Coded factor : terms.conditions) {
                if (Arrays.stream(finding.numbers()).noneMatch(n -> terms.of(n) == factor)) {
                    spans(factor)
                            .map(levels -> standing(finding, own, factor, levels, effect, others))
                            .flatMap(Optional::stream)
                            .filter(c -> silent(c.combination(), granted))
                            .filter(c -> silent(finding, granted(others, c.combination(), c.effect())))
                            .min(Comparator.comparingInt(
                                            (Candidate c) -> c.levels().cardinality())
                                    .thenComparingDouble(c -> c.effect().p()))
                            .ifPresent(rivals::add);
                }
            }
        }
        return rivals.stream()
                .sorted(Comparator.comparingDouble(c -> c.effect().p()))
                .limit(NAMED)
                .map(c -> told(finding, c, effect, rate))
                .toList();
    }

    /** Each level, and any two that follow each other: where a band ends is ours to say, not the fish's. */
    private Stream<BitSet> spans(Terms.Coded factor) {
        List<String> levels = layout.levels(factor.factor());
        List<String> order =
                factor.factor().order().stream().filter(levels::contains).toList();
        Stream<BitSet> ones = IntStream.range(1, levels.size()).mapToObj(Rivals::codes);
        Stream<BitSet> twos = IntStream.range(1, order.size())
                .mapToObj(i -> codes(levels.indexOf(order.get(i - 1)), levels.indexOf(order.get(i))));
        return Stream.concat(ones, twos);
    }

    private static BitSet codes(int... codes) {
        BitSet set = new BitSet();
        Arrays.stream(codes).forEach(set::set);
        return set;
    }

    /** The choice under other levels, where that says something by itself. */
    private Optional<Candidate> standing(
            Combination finding, int own, Terms.Coded factor, BitSet levels, Effect effect, double[] others) {
        Combination combination = finding.instead(terms, own, factor, levels);
        Effect.Sums sums = matching.sums(combination, others);
        if (!sums.telling()) {
            return Optional.empty();
        }
        Effect there = sums.effect(unrest.dispersion());
        return there.better() == effect.better() && there.p() <= STANDS
                ? Optional.of(new Candidate(own, factor, levels, combination, there))
                : Optional.empty();
    }

    private boolean silent(Combination combination, double[] expected) {
        @Nullable Effect left = matching.effect(combination, expected);
        return left == null || left.p() > SILENT;
    }

    private static double[] granted(double[] others, Combination combination, Effect effect) {
        double[] expected = others.clone();
        Knowledge.grant(expected, combination, effect.ratio());
        return expected;
    }

    private Rival told(Combination finding, Candidate rival, Effect effect, double rate) {
        double both = 0;
        double onlyOwn = 0;
        double onlyThis = 0;
        Terms.Coded ownFactor = terms.of(rival.own());
        short[] otherCodes = rival.factor().codes();
        for (int i = 0; i < layout.size; i++) {
            if (ownFactor.codes()[i] == 0 || otherCodes[i] == 0) {
                continue;
            }
            boolean own = finding.at(i) == Combination.Side.CHOSEN;
            boolean other = rival.combination().at(i) == Combination.Side.CHOSEN;
            both += own && other ? layout.rodHours[i] : 0;
            onlyOwn += own && !other ? layout.rodHours[i] : 0;
            onlyThis += other && !own ? layout.rodHours[i] : 0;
        }
        return new Rival(
                terms.all.get(rival.own()),
                new Term(rival.factor().factor(), named(rival)),
                rival.effect().ratio(),
                rival.effect().interval(),
                both,
                onlyOwn,
                onlyThis,
                TrialSize.rodHoursEach(rate, effect.ratio(), unrest.dispersionOfCaught(layout), TrialSize.USUAL_POWER));
    }

    private String named(Candidate rival) {
        List<String> levels = layout.levels(rival.factor().factor());
        return rival.levels().stream().mapToObj(levels::get).collect(Collectors.joining(" or "));
    }
}
