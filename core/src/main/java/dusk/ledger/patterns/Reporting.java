package dusk.ledger.patterns;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Makes findings of what was kept: figures, hold-up and grade. */
final class Reporting {
    static final double BANKED_Q = 0.02;

    /** However much else was found, chance makes one as sure in a thousand clubs by the family's weight, or less. */
    private static final double BANKED_CHANCE = 0.001;

    private static final int BANKED_TRIPS = 6;
    private static final int BANKED_ANGLERS = 2;

    private final Layout layout;
    private final Terms terms;
    private final Knowledge knowledge;
    private final Matching matching;
    private final Matching inFull;
    private final Rivals rivals;
    private final double falseDiscovery;
    private final double spread;

    Reporting(Layout layout, Terms terms, Knowledge knowledge, double spread, double falseDiscovery) {
        this.layout = layout;
        this.terms = terms;
        this.knowledge = knowledge;
        this.spread = spread;
        this.falseDiscovery = falseDiscovery;
        matching = new Matching(layout, knowledge.unrest());
        rivals = new Rivals(layout, terms, knowledge.unrest());
        inFull = new Matching(layout, knowledge.unrest().unweighted());
    }

    /** All findings, surest first. */
    List<Pattern> patterns() {
        List<Pattern> patterns = new ArrayList<>();
        for (int i = 0; i < knowledge.kept().size(); i++) {
            patterns.add(pattern(knowledge.kept().get(i), knowledge.without(i)));
        }
        patterns.sort(Comparator.comparingDouble(Pattern::q)
                .thenComparingDouble(Pattern::p)
                .thenComparing(p -> p.tackle().toString() + p.conditions()));
        return patterns;
    }

    /** @param others fish to expect with all other findings granted */
    private Pattern pattern(Knowledge.Kept kept, double[] others) {
        Combination combination = kept.combination();
        Effect now = matching.effect(combination, others);
        Effect effect = now == null ? kept.effect() : now;
        Side with = new Side();
        Side without = new Side();
        for (int i = 0; i < layout.size; i++) {
            switch (combination.at(i)) {
                case CHOSEN -> with.add(i);
                case OTHER -> without.add(i);
                case OUT -> {}
            }
        }
        int newerFrom = HoldUp.newerFrom(layout.trips);
        HoldUp later = HoldUp.of(
                matching.effect(combination, others, 0, newerFrom),
                matching.effect(combination, others, newerFrom, layout.trips),
                effect.ratio());
        List<Term> named = combination.named(terms).stream().sorted().toList();
        return PatternBuilder.builder()
                .tackle(named.stream().filter(Term::tackle).toList())
                .conditions(named.stream().filter(t -> !t.tackle()).toList())
                .stints(with.rows)
                .others(without.rows)
                .trips(with.trips.size())
                .anglers(with.anglers.size())
                .rodHours(with.hours)
                .fish(with.fish)
                .rate(with.fish / with.hours)
                .versusRate(without.fish / without.hours)
                .ratio(effect.ratio())
                .interval(effect.interval())
                .shrunkRatio(Math.exp(effect.log() * spread / (spread + effect.variance())))
                .p(effect.p())
                .q(kept.q())
                .later(later)
                .grade(grade(kept, with.trips.size(), with.anglers.size(), later))
                .rivals(rivals.of(combination, effect, others, without.fish / without.hours))
                .blocks(blocks(combination, others))
                .dropped(kept.needless())
                .build();
    }

    /** Blocks with fish, those that say most first: every fish in full, as it was landed. */
    private List<PatternBlock> blocks(Combination combination, double[] expected) {
        List<PatternBlock> blocks = new ArrayList<>();
        inFull.sums(combination, expected, 0, layout.trips, (place, fallback, x, n1, z, n0) -> {
            if (x + z > 0) {
                blocks.add(new PatternBlock(layout.row[place], fallback, x, (x + z) * n1 / (n1 + n0), x + z));
            }
        });
        blocks.sort(Comparator.comparingDouble((PatternBlock b) -> -Math.abs(b.says()))
                .thenComparingInt(PatternBlock::row));
        return blocks;
    }

    /** Sums over one side of a pattern. */
    private final class Side {
        private final List<Integer> rows = new ArrayList<>();
        private final Set<Integer> trips = new HashSet<>();
        private final Set<Integer> anglers = new HashSet<>();
        private double hours;
        private int fish;

        void add(int place) {
            rows.add(layout.row[place]);
            trips.add(layout.trip[place]);
            anglers.add(layout.angler[place]);
            hours += layout.rodHours[place];
            fish += layout.fish[place];
        }
    }

    private Grade grade(Knowledge.Kept kept, int trips, int anglers, HoldUp later) {
        if (kept.q() > falseDiscovery) {
            return Grade.THIN;
        }
        if (anglers < BANKED_ANGLERS) {
            return Grade.ONE_ANGLER;
        }
        boolean borneOut = later.verdict() == HoldUp.Verdict.HELD;
        boolean sure = kept.q() <= BANKED_Q && kept.chance() <= BANKED_CHANCE;
        return sure && trips >= BANKED_TRIPS && borneOut ? Grade.BANKED : Grade.BUILDING;
    }
}
