package dusk.ledger.demo;

import dusk.ledger.patterns.Grade;
import dusk.ledger.patterns.Pattern;
import dusk.ledger.patterns.PatternSearch;
import dusk.ledger.patterns.SearchProgress;
import dusk.ledger.patterns.Term;
import dusk.ledger.plan.PlanConditions;
import dusk.ledger.stints.StintTable;
import dusk.ledger.teach.Lot;
import dusk.ledger.teach.Question;
import dusk.ledger.teach.Teaching;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;

/** What the lot costs and teaches on clubs whose truth is known. */
public final class LotTrial {
    /** Trips after which the questions are ranked anew. */
    private static final int RANKED_EVERY = 60;

    private LotTrial() {}

    /**
     * What came of some clubs.
     *
     * @param truths planted, whether the records had the information or not
     * @param found of them
     * @param findings at building or better
     * @param fish of the season, and its hours
     * @param next fish that fishing what is banked would take of the same hours, in the mean
     */
    public record Score(
            int truths, int found, int findings, int falseOnes, int banked, double fish, double next, double hours) {
        public static final Score NONE = new Score(0, 0, 0, 0, 0, 0, 0, 0);

        public Score plus(Score o) {
            return new Score(
                    truths + o.truths,
                    found + o.found,
                    findings + o.findings,
                    falseOnes + o.falseOnes,
                    banked + o.banked,
                    fish + o.fish,
                    next + o.next,
                    hours + o.hours);
        }
    }

    /** Of one club with such habits, that keeps what is tied on in such a share of stints, and so much of its tackle by lot. @param ranked whether half of it answers the questions ranked first */
    public static Score of(double habits, double keeping, double byLot, boolean ranked, long seed) {
        SimulatedClub.Plan plan = new SimulatedClub.Plan(2500, 5, true)
                .withHabits(habits, keeping)
                .withLot(byLot);
        return score(
                byLot == 0 ? SimulatedClub.draw(plan, seed) : SimulatedClub.draw(plan, seed, chooser(ranked, seed)));
    }

    private static SimulatedClub.Chooser chooser(boolean ranked, long seed) {
        SplittableRandom luck = new SplittableRandom(seed);
        int[] rankedAt = {0};
        List<List<Lot.Pair>> questions = new ArrayList<>(List.of(List.of()));
        return (all, habit, trip, soFar) -> {
            if (ranked && trip >= rankedAt[0] + RANKED_EVERY) {
                rankedAt[0] = trip;
                questions.set(
                        0,
                        Teaching.under(StintTable.of(soFar.get()), all, PlanConditions.unknown()).stream()
                                .map(Question::pair)
                                .toList());
            }
            return Lot.draw(questions.get(0), all, habit, luck)
                    .map(Lot.Drawn::setUp)
                    .orElse(habit);
        };
    }

    private static Score score(SimulatedClub club) {
        StintTable table = StintTable.of(club.ledger());
        List<Pattern> claimed =
                PatternSearch.run(table, PatternSearch.Ask.USUAL, 1, SearchProgress.NONE).patterns().stream()
                        .filter(p -> p.grade() != Grade.THIN)
                        .toList();
        List<Pattern> banked = claimed.stream()
                .filter(p -> p.grade() == Grade.BANKED && p.ratio() > 1)
                .toList();
        int found = (int) club.truths().stream()
                .filter(truth -> claimed.stream().anyMatch(p -> SearchTrial.tells(table, p, truth)))
                .count();
        int wrong = (int) claimed.stream()
                .filter(p -> SearchTrial.isFalse(club, table, p.stints(), p.others(), p.ratio() > 1))
                .count();
        double fish = 0;
        double next = 0;
        double hours = 0;
        for (int row = 0; row < table.size(); row++) {
            double day = club.bareRate().getOrDefault(table.id(row), 0.0) * table.rodHours(row);
            double habit = club.multiplier().getOrDefault(table.id(row), 1.0);
            fish += day * habit;
            hours += table.rodHours(row);
            int at = row;
            next += day
                    * banked.stream()
                            .filter(p -> p.conditions().stream().allMatch(t -> holds(table, at, t)))
                            .max((a, b) -> Double.compare(a.shrunkRatio(), b.shrunkRatio()))
                            .map(p -> made(club, table, at, p))
                            .orElse(habit);
        }
        return new Score(
                club.truths().size(),
                found,
                claimed.size(),
                wrong,
                (int) claimed.stream().filter(p -> p.grade() == Grade.BANKED).count(),
                fish,
                next,
                hours);
    }

    private static boolean holds(StintTable table, int row, Term term) {
        return table.codes(term.factor()).level(row).equals(term.level());
    }

    /** What the truths make of a banked choice at a stint, the rest of its tackle as it was. */
    private static double made(SimulatedClub club, StintTable table, int row, Pattern pattern) {
        Set<Term> tied = new HashSet<>(pattern.tackle());
        double made = 1;
        for (SimulatedClub.Truth truth : club.truths()) {
            boolean all = truth.terms().stream().allMatch(term -> {
                boolean chosen = tied.stream().anyMatch(t -> t.factor() == term.factor());
                return chosen ? tied.contains(term) : holds(table, row, term);
            });
            made *= all ? truth.ratio() : 1;
        }
        return made;
    }
}
