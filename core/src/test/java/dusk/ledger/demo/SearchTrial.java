package dusk.ledger.demo;

import dusk.ledger.patterns.Findings;
import dusk.ledger.patterns.Grade;
import dusk.ledger.patterns.Pattern;
import dusk.ledger.patterns.PatternSearch;
import dusk.ledger.patterns.SearchProgress;
import dusk.ledger.patterns.Term;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Measures a search on a club whose truth is known.
 *
 * <p>A planted truth is <em>found</em> where a finding at building or better has the same side and either the same
 * tackle with conditions that are part of the planted ones or hold them, or at least half its stints in common. A
 * finding is <em>false</em> where the planted truths together, weighted by effort within trip and angler, do not move
 * its stints by a tenth or more against the others in its direction. A
 * <em>trap</em> is fallen for where a finding above 1 has a trap's term as its only tackle and is false.
 */
public final class SearchTrial {
    private static final double WORTH = 1.1;
    private static final double SAME_STINTS = 0.5;

    private SearchTrial() {}

    /**
     * @param truths planted
     * @param telling planted that had the information: sum of M N1 N0/N^2 at least 10
     * @param found of the telling
     * @param findings at building or better, one angler's included
     * @param falseOnes of the findings
     */
    public record Score(
            int truths, int telling, int found, int findings, int falseOnes, int banked, int falseBanked, int traps) {
        public Score plus(Score o) {
            return new Score(
                    truths + o.truths,
                    telling + o.telling,
                    found + o.found,
                    findings + o.findings,
                    falseOnes + o.falseOnes,
                    banked + o.banked,
                    falseBanked + o.falseBanked,
                    traps + o.traps);
        }

        public static final Score NONE = new Score(0, 0, 0, 0, 0, 0, 0, 0);
    }

    /** Searches a club and scores what was found. */
    public static Score search(SimulatedClub club, int threads) {
        StintTable table = StintTable.of(club.ledger());
        Findings findings = PatternSearch.run(table, PatternSearch.Ask.USUAL, threads, SearchProgress.NONE);
        List<Pattern> claimed = findings.patterns().stream()
                .filter(p -> p.grade() != Grade.THIN)
                .toList();
        int telling = 0;
        int found = 0;
        for (SimulatedClub.Truth truth : club.truths()) {
            if (PatternSearch.information(table, PatternSearch.Ask.USUAL, truth.terms()) >= 10) {
                telling++;
                found += claimed.stream().anyMatch(p -> tells(table, p, truth)) ? 1 : 0;
            }
        }
        Score score = new Score(club.truths().size(), telling, found, 0, 0, 0, 0, 0);
        for (Pattern pattern : claimed) {
            boolean wrong = isFalse(club, table, pattern.stints(), pattern.others(), pattern.ratio() > 1);
            boolean banked = pattern.grade() == Grade.BANKED;
            boolean trap = wrong
                    && pattern.ratio() > 1
                    && pattern.tackle().size() == 1
                    && club.traps().contains(pattern.tackle().get(0));
            score = score.plus(
                    new Score(0, 0, 0, 1, wrong ? 1 : 0, banked ? 1 : 0, banked && wrong ? 1 : 0, trap ? 1 : 0));
        }
        return score;
    }

    /**
     * What a plain leaderboard claims on the same club: of each tackle factor the level with the highest rate, from 8
     * stints and 4 rod-hours up.
     */
    public static Score leaderboard(SimulatedClub club) {
        StintTable table = StintTable.of(club.ledger());
        int[] fish = table.fish(null, null);
        Score score = Score.NONE;
        for (Factor factor : Factor.values()) {
            if (factor.kind() != Factor.Kind.TACKLE
                    || table.codes(factor).levels().size() < 3) {
                continue;
            }
            Codes codes = table.codes(factor);
            Map<Integer, double[]> sums = new HashMap<>();
            for (int i = 0; i < table.size(); i++) {
                double[] sum = sums.computeIfAbsent(codes.at(i), c -> new double[3]);
                sum[0]++;
                sum[1] += table.rodHours(i);
                sum[2] += fish[i];
            }
            int top = 0;
            double topRate = -1;
            for (Map.Entry<Integer, double[]> one : sums.entrySet()) {
                double[] sum = one.getValue();
                if (one.getKey() > 0 && sum[0] >= 8 && sum[1] >= 4 && sum[2] / sum[1] > topRate) {
                    top = one.getKey();
                    topRate = sum[2] / sum[1];
                }
            }
            List<Integer> with = new ArrayList<>();
            List<Integer> without = new ArrayList<>();
            for (int i = 0; i < table.size(); i++) {
                if (codes.at(i) > 0) {
                    (codes.at(i) == top ? with : without).add(i);
                }
            }
            boolean wrong = isFalse(club, table, with, without, true);
            boolean trap = wrong
                    && club.traps().contains(new Term(factor, codes.levels().get(top)));
            score = score.plus(new Score(0, 0, 0, 1, wrong ? 1 : 0, 0, 0, trap ? 1 : 0));
        }
        return score;
    }

    static boolean isFalse(
            SimulatedClub club, StintTable table, List<Integer> with, List<Integer> without, boolean above) {
        double ratio = matched(club, table, with, without);
        return above ? ratio < WORTH : ratio > 1 / WORTH;
    }

    /** The ratio that endless fishing would show: the truths' multipliers in place of fish, within trip and angler, weighted by effort. */
    private static double matched(SimulatedClub club, StintTable table, List<Integer> with, List<Integer> without) {
        Map<List<Integer>, double[]> blocks = new HashMap<>();
        add(club, table, with, 0, blocks);
        add(club, table, without, 2, blocks);
        double above = 0;
        double below = 0;
        for (double[] block : blocks.values()) {
            if (block[1] > 0 && block[3] > 0) {
                above += block[0] * block[3] / (block[1] + block[3]);
                below += block[2] * block[1] / (block[1] + block[3]);
            }
        }
        return above / below;
    }

    private static void add(
            SimulatedClub club, StintTable table, List<Integer> rows, int at, Map<List<Integer>, double[]> blocks) {
        for (int row : rows) {
            List<Integer> key = List.of(
                    table.codes(Factor.TRIP).at(row), table.codes(Factor.ANGLER).at(row));
            double[] block = blocks.computeIfAbsent(key, k -> new double[4]);
            block[at] += table.rodHours(row) * club.multiplier().getOrDefault(table.id(row), 1.0);
            block[at + 1] += table.rodHours(row);
        }
    }

    static boolean tells(StintTable table, Pattern pattern, SimulatedClub.Truth truth) {
        if ((pattern.ratio() > 1) != (truth.ratio() > 1)) {
            return false;
        }
        Set<Term> tackle = new HashSet<>();
        Set<Term> conditions = new HashSet<>();
        truth.terms().forEach(t -> (t.tackle() ? tackle : conditions).add(t));
        boolean sameTackle = tackle.equals(new HashSet<>(pattern.tackle()));
        boolean nested = conditions.containsAll(pattern.conditions())
                || new HashSet<>(pattern.conditions()).containsAll(conditions);
        if (sameTackle && nested) {
            return true;
        }
        Set<Integer> stints = new HashSet<>();
        for (int i = 0; i < table.size(); i++) {
            int row = i;
            if (truth.terms().stream().allMatch(t -> {
                Codes codes = table.codes(t.factor());
                return codes.levels().get(codes.at(row)).equals(t.level());
            })) {
                stints.add(i);
            }
        }
        Set<Integer> both = new HashSet<>(pattern.stints());
        both.retainAll(stints);
        return both.size() >= SAME_STINTS * (stints.size() + pattern.stints().size() - both.size());
    }
}
