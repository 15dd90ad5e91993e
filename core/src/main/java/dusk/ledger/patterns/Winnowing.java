package dusk.ledger.patterns;

import dusk.ledger.evidence.FalseDiscovery;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** From all that was tested to the few findings that stand by themselves: control of false discovery, needless terms, twins, explaining away. */
final class Winnowing {
    private static final double TWINS = 0.9;
    private static final double BANKED_Q = 0.02;
    private static final int BANKED_TRIPS = 6;
    private static final int BANKED_ANGLERS = 2;

    private final Layout layout;
    private final Terms terms;
    private final double[] expected;
    private final Matching matching;
    private final double falseDiscovery;
    private final List<Candidate> all = new ArrayList<>();
    private final double[] cutBySize = new double[4];
    private double spread;

    Winnowing(Layout layout, Terms terms, double[] expected, List<Tested> tested, double falseDiscovery) {
        this.layout = layout;
        this.terms = terms;
        this.expected = expected.clone();
        this.falseDiscovery = falseDiscovery;
        matching = new Matching(layout);
        for (int size = 1; size <= 3; size++) {
            family(tested, size);
        }
        spread = spread(tested);
    }

    /** A tested combination with its q, and once it is looked at closer its places. */
    private final class Candidate {
        final Tested tested;
        final double q;
        final List<List<Term>> dropped = new ArrayList<>();
        int[] places = new int[0];
        boolean[] chosen = new boolean[0];
        BitSet stints = new BitSet();

        @Nullable
        Effect now;

        Candidate(Tested tested, double q) {
            this.tested = tested;
            this.q = q;
            now = tested.effect();
        }

        List<Term> named() {
            return Arrays.stream(tested.terms()).mapToObj(terms.all::get).toList();
        }

        void place() {
            Placed placed = Placed.of(layout, terms, tested.terms());
            places = placed.places();
            chosen = placed.chosen();
            for (int i = 0; i < places.length; i++) {
                if (chosen[i]) {
                    stints.set(places[i]);
                }
            }
        }

        void reckon() {
            now = matching.effect(places, chosen, expected);
        }
    }

    private void family(List<Tested> tested, int size) {
        List<Tested> family = tested.stream().filter(t -> t.size() == size).toList();
        double[] p = family.stream().mapToDouble(t -> t.effect().p()).toArray();
        double[] q = FalseDiscovery.q(p);
        cutBySize[size] = FalseDiscovery.cut(p, q, falseDiscovery);
        for (int i = 0; i < p.length; i++) {
            all.add(new Candidate(family.get(i), q[i]));
        }
    }

    /** tau^2 = max(0, sum w (x^2 - s^2) / sum w), w = 1/s^2: how much log ratios differ from 0 beyond their errors. */
    private static double spread(List<Tested> tested) {
        double weights = 0;
        double sum = 0;
        for (Tested one : tested) {
            double variance = one.effect().logError() * one.effect().logError();
            weights += 1 / variance;
            sum += (one.effect().log() * one.effect().log() - variance) / variance;
        }
        return weights > 0 ? Math.max(0, sum / weights) : 0;
    }

    List<Pattern> patterns() {
        List<Candidate> sure = withoutTwins(withoutNeedless());
        List<Pattern> patterns = new ArrayList<>();
        int newerFrom = HoldUp.newerFrom(layout.trips);
        double[] unexplained = expected.clone();
        for (Candidate kept : explainAway(sure)) {
            patterns.add(pattern(kept, unexplained, newerFrom));
        }
        patterns.sort(Comparator.comparingDouble(Pattern::q).thenComparingDouble(Pattern::p));
        return patterns;
    }

    /** Drops a pattern where one with fewer of its terms is at least as sure and this one's ratio is not beyond that one's interval. */
    private List<Candidate> withoutNeedless() {
        Map<String, Candidate> byTerms = new HashMap<>();
        all.forEach(c -> byTerms.put(Tested.key(c.tested.terms()), c));
        List<Candidate> left = new ArrayList<>();
        for (Candidate one : all) {
            if (one.q > falseDiscovery) {
                continue;
            }
            Candidate shorter = enough(one, byTerms);
            if (shorter == null) {
                left.add(one);
            } else {
                shorter.dropped.add(one.named());
            }
        }
        return left;
    }

    private static @Nullable Candidate enough(Candidate one, Map<String, Candidate> byTerms) {
        int[] all = one.tested.terms();
        for (int subset = 1; subset < (1 << all.length) - 1; subset++) {
            int[] part = new int[Integer.bitCount(subset)];
            int n = 0;
            for (int t = 0; t < all.length; t++) {
                if ((subset & 1 << t) != 0) {
                    part[n++] = all[t];
                }
            }
            Candidate shorter = byTerms.get(Tested.key(part));
            if (shorter != null && shorter.q <= one.q && !beyond(one.tested.effect(), shorter.tested.effect())) {
                return shorter;
            }
        }
        return null;
    }

    private static boolean beyond(Effect longer, Effect shorter) {
        return shorter.better()
                ? longer.ratio() > shorter.interval().high()
                : longer.ratio() < shorter.interval().low();
    }

    /** Of two with the same stints the one with fewer terms stays, then the one with the smaller q. */
    private List<Candidate> withoutTwins(List<Candidate> candidates) {
        List<Candidate> ordered = new ArrayList<>(candidates);
        ordered.sort(Comparator.<Candidate>comparingInt(c -> c.tested.size())
                .thenComparingDouble(c -> c.q)
                .thenComparingDouble(c -> c.tested.effect().p())
                .thenComparing(c -> c.tested.terms(), Arrays::compare));
        List<Candidate> left = new ArrayList<>();
        for (Candidate one : ordered) {
            one.place();
            Candidate twin = left.stream()
                    .filter(other -> jaccard(one.stints, other.stints) >= TWINS)
                    .findFirst()
                    .orElse(null);
            if (twin == null) {
                left.add(one);
            } else {
                twin.dropped.add(one.named());
            }
        }
        return left;
    }

    private static double jaccard(BitSet a, BitSet b) {
        int small = Math.min(a.cardinality(), b.cardinality());
        int large = Math.max(a.cardinality(), b.cardinality());
        if (small < TWINS * large) {
            return 0;
        }
        BitSet both = (BitSet) a.clone();
        both.and(b);
        double common = both.cardinality();
        return common / (a.cardinality() + b.cardinality() - common);
    }

    /** Keeps the surest, grants it its effect, and asks the others what they still have to say. */
    private List<Candidate> explainAway(List<Candidate> candidates) {
        List<Candidate> left = new ArrayList<>(candidates);
        List<Candidate> kept = new ArrayList<>();
        while (!left.isEmpty()) {
            Candidate surest = left.stream()
                    .min(Comparator.<Candidate>comparingDouble(c -> c.now == null ? 1 : c.now.p())
                            .thenComparing(c -> Tested.key(c.tested.terms())))
                    .orElseThrow();
            left.remove(surest);
            Effect now = surest.now;
            if (now == null || now.p() > cutBySize[surest.tested.size()]) {
                break;
            }
            kept.add(surest);
            surest.stints.stream().forEach(i -> expected[i] *= now.ratio());
            for (Candidate other : left) {
                other.reckon();
            }
            left.removeIf(
                    c -> c.now == null || c.now.better() != c.tested.effect().better());
        }
        return kept;
    }

    private Pattern pattern(Candidate kept, double[] unexplained, int newerFrom) {
        Effect effect = kept.tested.effect();
        List<Integer> stints = new ArrayList<>();
        List<Integer> others = new ArrayList<>();
        Set<Integer> trips = new HashSet<>();
        Set<Integer> anglers = new HashSet<>();
        double[] hours = new double[2];
        int[] fish = new int[2];
        for (int i = 0; i < kept.places.length; i++) {
            int place = kept.places[i];
            int side = kept.chosen[i] ? 1 : 0;
            (kept.chosen[i] ? stints : others).add(layout.row[place]);
            hours[side] += layout.rodHours[place];
            fish[side] += layout.fish[place];
            if (kept.chosen[i]) {
                trips.add(layout.trip[place]);
                anglers.add(layout.angler[place]);
            }
        }
        HoldUp later = HoldUp.of(
                matching.effect(kept.places, kept.chosen, unexplained, 0, newerFrom),
                matching.effect(kept.places, kept.chosen, unexplained, newerFrom, layout.trips),
                effect.ratio());
        double variance = effect.logError() * effect.logError();
        List<Term> named = kept.named();
        return new Pattern(
                named.stream().filter(Term::tackle).sorted().toList(),
                named.stream().filter(t -> !t.tackle()).sorted().toList(),
                stints,
                others,
                trips.size(),
                anglers.size(),
                hours[1],
                fish[1],
                fish[1] / hours[1],
                fish[0] / hours[0],
                effect.ratio(),
                effect.interval(),
                Math.exp(effect.log() * spread / (spread + variance)),
                effect.p(),
                kept.q,
                later,
                grade(kept.q, trips.size(), anglers.size(), later),
                List.copyOf(kept.dropped));
    }

    private Grade grade(double q, int trips, int anglers, HoldUp later) {
        if (q > falseDiscovery) {
            return Grade.THIN;
        }
        if (anglers < BANKED_ANGLERS) {
            return Grade.ONE_ANGLER;
        }
        boolean banked = q <= BANKED_Q && trips >= BANKED_TRIPS && later.verdict() != HoldUp.Verdict.FADED;
        return banked ? Grade.BANKED : Grade.BUILDING;
    }
}
