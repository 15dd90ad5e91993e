package dusk.ledger.patterns;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;

/**
 * From all that was tested to the findings that stand by themselves. The surest is kept and granted its effect; the
 * others are asked again what they still have to say, and so on until none is sure: kept is what chance would make
 * less than the rate asked for of all findings that then stand. What only echoed a finding falls silent, and lends no
 * other its weight.
 *
 * <p>Granting a finding mostly makes others less sure, so a candidate is asked again when it comes to the front only.
 * A few were hidden behind a finding: the next sweep finds them, or, where none follows, all are asked once more.
 */
final class Winnowing {
    /** A candidate of whose family chance would make more than this many as sure is left to the next sweep. */
    private static final double WORTH_ASKING = 200;

    /**
     * What a family is granted of the rate asked for, by number of terms: most findings worth having are of two. Set
     * so that on simulated clubs the share of false findings and of pattern-free clubs with any stays under one in
     * ten at the usual rate of 0.05; see docs/METHODS.md.
     */
    private static final double[] WEIGHTS = {0, 0.7, 3.5, 0.4};

    /** What the first finding counts for when it stands alone: a club without any pattern should hear of none. */
    private static final double ALONE = 0.3;

    /** Two patterns this sure or surer are sure alike: the shorter one stays. */
    private static final double AS_SURE = 0.005;

    private static final int BATCH = 32;

    private static final Comparator<Candidate> SUREST = Comparator.<Candidate>comparingDouble(c -> c.chance)
            .thenComparingInt(c -> c.numbers().length)
            .thenComparing(Candidate::numbers, Arrays::compare);

    private final Terms terms;
    private final Knowledge knowledge;
    private final Swept swept;
    private final double falseDiscovery;
    private final Workers workers;
    private final Matching matching;
    private final List<Candidate> pool = new ArrayList<>();
    private final Map<String, Candidate> byTerms = new HashMap<>();

    Winnowing(Layout layout, Terms terms, Knowledge knowledge, Swept swept, double falseDiscovery, Workers workers) {
        this.terms = terms;
        this.knowledge = knowledge;
        this.swept = swept;
        this.falseDiscovery = falseDiscovery;
        this.workers = workers;
        matching = new Matching(layout, knowledge.unrest());
        for (Tested one : swept.promising()) {
            Candidate candidate = new Candidate(one, knowledge.kept().size());
            if (candidate.chance <= WORTH_ASKING) {
                pool.add(candidate);
                byTerms.put(Tested.key(one.terms()), candidate);
            }
        }
    }

    /** A tested combination, and how sure it was when it was asked last. */
    private final class Candidate {
        final Combination combination;
        final List<List<Term>> needless = new ArrayList<>();

        @Nullable
        Effect effect;

        /** How many of its family chance would make as sure, by the family's weight and its own. */
        double chance;

        /** How many findings were granted when it was asked. */
        int askedAt;

        boolean kept;

        Candidate(Tested tested, int askedAt) {
            combination = new Combination(terms, tested.terms());
            effect = tested.effect();
            chance = chance(tested.p());
            this.askedAt = askedAt;
        }

        int[] numbers() {
            return combination.numbers();
        }

        private double chance(double p) {
            int size = numbers().length;
            return p * swept.tested(size) / WEIGHTS[size];
        }

        boolean fresh() {
            return askedAt == knowledge.kept().size();
        }

        void ask() {
            effect = matching.effect(combination, knowledge.expected());
            chance = effect == null ? Double.MAX_VALUE : chance(effect.p());
            askedAt = knowledge.kept().size();
        }
    }

    /** Keeps what is sure, and then what was hidden behind it; how many were kept. */
    int keepAll() {
        int before = knowledge.kept().size();
        while (keep() > 0) {
            askAll(pool.stream().filter(c -> !c.kept).toList());
        }
        return knowledge.kept().size() - before;
    }

    /** Keeps what is sure, the surest first; how many were kept. What was hidden behind one of them is left to the next sweep. */
    int keep() {
        PriorityQueue<Candidate> queue = new PriorityQueue<>(SUREST);
        pool.stream().filter(c -> !c.kept).forEach(queue::add);
        int kept = 0;
        while (!queue.isEmpty()) {
            Candidate first = queue.peek();
            if (rate(first) > falseDiscovery) {
                break;
            }
            if (first.fresh()) {
                kept += keepOrLetGo(first, queue);
                continue;
            }
            List<Candidate> stale = new ArrayList<>();
            while (!queue.isEmpty() && stale.size() < BATCH && !queue.peek().fresh()) {
                stale.add(queue.remove());
            }
            askAll(stale);
            queue.addAll(stale);
        }
        return kept;
    }

    /** So many findings this sure would chance make, for each one that then stands. */
    private double rate(Candidate next) {
        return next.chance / (knowledge.kept().size() + ALONE);
    }

    private void askAll(List<Candidate> candidates) {
        workers.all(candidates.stream()
                .<Callable<Boolean>>map(c -> () -> {
                    c.ask();
                    return true;
                })
                .toList());
    }

    /** Keeps the surest, or the shorter pattern that says the same; 1 where one was kept. */
    private int keepOrLetGo(Candidate surest, PriorityQueue<Candidate> queue) {
        Candidate keep = surest;
        Candidate shorter = surest.effect == null ? null : enough(surest, surest.effect);
        if (shorter != null) {
            shorter.needless.add(surest.combination.named(terms));
            keep = shorter;
        }
        queue.remove(keep);
        double rate = rate(keep);
        if (keep.effect == null || rate > falseDiscovery) {
            return 0;
        }
        keep.kept = true;
        knowledge.keep(new Knowledge.Kept(keep.combination, keep.effect, rate, keep.chance, keep.needless), matching);
        return 1;
    }

    /** The shortest pattern of some of its terms that is as sure, where the longer one's ratio is not beyond that one's interval. */
    private @Nullable Candidate enough(Candidate one, Effect now) {
        List<Candidate> parts = parts(one.numbers()).stream()
                .map(part -> byTerms.get(Tested.key(part)))
                .filter(part -> part != null && !part.kept)
                .toList();
        askAll(parts.stream().filter(part -> !part.fresh()).toList());
        Candidate best = null;
        for (Candidate shorter : parts) {
            if (shorter.effect == null) {
                continue;
            }
            boolean asSure = shorter.chance <= Math.max(one.chance, AS_SURE) && shorter.effect.better() == now.better();
            boolean shortest = best == null
                    || shorter.numbers().length < best.numbers().length
                    || (shorter.numbers().length == best.numbers().length && shorter.chance < best.chance);
            if (asSure && !beyond(now, shorter.effect) && shortest) {
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
