package dusk.ledger.patterns;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * From all that was tested to the findings that stand by themselves. The surest is kept and granted its effect; the others are asked again what they still
 * have to say, and so on until none is sure: kept is what chance would make less than the rate asked for of all findings that then stand. What only echoed a finding falls silent, and lends
 * no other its weight.
 */
final class Winnowing {
    /** Whatever is less sure than this to begin with is taken to say nothing until the next sweep. */
    private static final double POOL = 0.01;

    /**
     * What a family is granted of the rate asked for, by number of terms: most findings worth having are of two. Set so that on simulated clubs the share of
     * false findings and of pattern-free clubs with any stays under one in ten at the usual rate of 0.05; see docs/METHODS.md.
     */
    private static final double[] WEIGHTS = {0, 0.8, 3.8, 0.5};

    /** Two patterns this sure or surer are sure alike: the shorter one stays. */
    private static final double AS_SURE = 0.005;

    private final Terms terms;
    private final Knowledge knowledge;
    private final double falseDiscovery;
    private final Matching matching;
    private final List<Candidate> pool = new ArrayList<>();
    private final Map<String, Candidate> byTerms = new HashMap<>();
    private final int[] familySize = new int[4];

    Winnowing(Layout layout, Terms terms, Knowledge knowledge, List<Tested> tested, double falseDiscovery) {

        this.terms = terms;
        this.knowledge = knowledge;
        this.falseDiscovery = falseDiscovery;
        matching = new Matching(layout, knowledge.dispersion());
        for (Tested one : tested) {
            familySize[one.size()]++;
            if (one.effect().p() <= POOL) {
                Candidate candidate = new Candidate(one, Placed.of(layout, terms, one.terms()));
                pool.add(candidate);
                byTerms.put(Tested.key(one.terms()), candidate);
            }
        }
    }

    /** A tested combination, its places, and how sure it is as things stand. */
    private static final class Candidate {
        final int[] numbers;
        final Placed placed;

        @Nullable
        Effect now;

        final List<List<Term>> needless = new ArrayList<>();

        Candidate(Tested tested, Placed placed) {
            numbers = tested.terms();
            now = tested.effect();
            this.placed = placed;
        }

        double p() {
            return now == null ? 1 : now.p();
        }
    }

    /** Keeps what is sure, the surest first; how many were kept. */
    int keep() {
        int before = knowledge.kept().size();
        while (true) {
            Candidate keep = surest();
            if (keep == null || keep.now == null) {
                break;
            }
            // so many findings this sure would chance make, for each one that then stands
            double rate = weighted(keep) / (knowledge.kept().size() + 1);
            if (rate > falseDiscovery) {
                break;
            }
            knowledge.keep(new Knowledge.Kept(keep.numbers, keep.placed, keep.now, rate, keep.needless), matching);
            pool.remove(keep);
            pool.forEach(c -> c.now = matching.effect(c.placed.places(), c.placed.chosen(), knowledge.expected()));
        }
        return knowledge.kept().size() - before;
    }

    /** The surest of the pool, or the shorter pattern that says the same. */
    private @Nullable Candidate surest() {
        Candidate surest = pool.stream()
                .min(Comparator.<Candidate>comparingDouble(this::weighted)
                        .thenComparingInt(c -> c.numbers.length)
                        .thenComparing(c -> c.numbers, Arrays::compare))
                .orElse(null);
        if (surest == null || surest.now == null) {
            return null;
        }
        Candidate shorter = enough(surest, surest.now);
        if (shorter == null) {
            return surest;
        }
        shorter.needless.add(named(surest));
        return shorter;
    }

    /** How many findings as sure as this one chance would make of its family, by the family's weight. */
    private double weighted(Candidate candidate) {
        int size = candidate.numbers.length;
        return candidate.p() * familySize[size] / WEIGHTS[size];
    }

    private List<Term> named(Candidate candidate) {
        return Arrays.stream(candidate.numbers).mapToObj(terms.all::get).toList();
    }

    /** The shortest pattern of some of its terms that is as sure, where the longer one's ratio is not beyond that one's interval. */
    private @Nullable Candidate enough(Candidate one, Effect now) {
        Candidate best = null;
        for (int[] part : parts(one.numbers)) {
            Candidate shorter = byTerms.get(Tested.key(part));
            if (shorter == null || !pool.contains(shorter) || shorter.now == null) {
                continue;
            }
            boolean asSure =
                    weighted(shorter) <= Math.max(weighted(one), AS_SURE) && shorter.now.better() == now.better();
            boolean shortest = best == null
                    || shorter.numbers.length < best.numbers.length
                    || (shorter.numbers.length == best.numbers.length && shorter.p() < best.p());
            if (asSure && !beyond(now, shorter.now) && shortest) {
                best = shorter;
            }
        }
        return best;
    }

    /** All true parts of a set of terms. */
    private static List<int[]> parts(int[] terms) {
        List<int[]> parts = new ArrayList<>();
        for (int subset = 1; subset < (1 << terms.length) - 1; subset++) {
            int[] part = new int[Integer.bitCount(subset)];
            int n = 0;
            for (int t = 0; t < terms.length; t++) {
                if ((subset & (1 << t)) != 0) {
                    part[n++] = terms[t];
                }
            }
            parts.add(part);
        }
        return parts;
    }

    private static boolean beyond(Effect longer, Effect shorter) {
        return shorter.better()
                ? longer.ratio() > shorter.interval().high()
                : longer.ratio() < shorter.interval().low();
    }
}
