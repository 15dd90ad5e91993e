package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.jspecify.annotations.Nullable;

/**
 * From follow to fish by the levels of a factor: follows, bites, hooked, landed.
 *
 * @param all the whole club
 * @param levels recorded levels with a stint, in natural order
 * @param lost fish lost, by cause, most first
 * @param takenOn of landed fish that say what they took it on, the shares, most first
 */
public record Funnel(Step all, List<Step> levels, Map<String, Integer> lost, Map<String, Share> takenOn) {
    /**
     * One level.
     *
     * @param ofBites hooked of bites; null where there is no bite
     * @param ofHooked landed of hooked; null where none was hooked
     * @param hookedAgainstRest hooked of bites against the other recorded levels, within trip and angler
     * @param landedAgainstRest landed of hooked, the same
     * @param lost by cause
     */
    public record Step(
            String level,
            int follows,
            int bites,
            int hooked,
            int landed,
            @Nullable Share ofBites,
            @Nullable Share ofHooked,
            Estimate hookedAgainstRest,
            Estimate landedAgainstRest,
            Map<String, Integer> lost) {
        /** What it does at a stage against the rest. */
        public Estimate againstRest(Stage stage) {
            return stage == Stage.HOOKED_OF_BITES ? hookedAgainstRest : landedAgainstRest;
        }
    }

    private static final double SURE = 0.05;

    /** Counts of some stints. */
    private static final class Counts {
        private int follows;
        private int bites;
        private int hooked;
        private int landed;

        void add(Counts o) {
            follows += o.follows;
            bites += o.bites;
            hooked += o.hooked;
            landed += o.landed;
        }
    }

    /** Reckons a question; its species and least length are no part of it, since what was lost is not known by either. */
    public static Funnel of(StintTable table, Question question) {
        BitSet rows = Comparison.rows(table, question);
        Codes levels = table.codes(question.factor());
        Map<Integer, Map<List<Integer>, Counts>> byLevel = new TreeMap<>();
        int[] fish = table.fish(null, null);
        Counts whole = new Counts();
        for (int row = rows.nextSetBit(0); row >= 0; row = rows.nextSetBit(row + 1)) {
            Counts counts = new Counts();
            counts.follows = table.follows(row);
            counts.bites = table.bites(row);
            counts.hooked = table.hooked(row);
            counts.landed = fish[row];
            whole.add(counts);
            List<Integer> block = List.of(
                    table.codes(Factor.TRIP).at(row), table.codes(Factor.ANGLER).at(row));
            byLevel.computeIfAbsent(levels.at(row), l -> new HashMap<>())
                    .computeIfAbsent(block, b -> new Counts())
                    .add(counts);
        }
        Map<String, int[]> losses = table.losses();
        Map<Integer, Map<List<Integer>, Counts>> recorded = new TreeMap<>(byLevel);
        recorded.remove(0);
        List<Step> steps = new ArrayList<>();
        recorded.forEach((code, own) -> {
            Counts sum = new Counts();
            own.values().forEach(sum::add);
            steps.add(step(
                    levels.levels().get(code),
                    sum,
                    ratio(recorded, code, true),
                    ratio(recorded, code, false),
                    sums(losses, rows, levels, code)));
        });
        Estimate none = new Estimate.None("the whole has no rest to be compared with");
        Map<String, Integer> lost = sums(losses, rows, levels, null);
        return new Funnel(
                step("all", whole, none, none, lost), steps, lost, shares(sums(table.bitesOn(), rows, levels, null)));
    }

    /** A step of the funnel. */
    public enum Stage {
        HOOKED_OF_BITES,
        LANDED_OF_HOOKED
    }

    /**
     * The level that differs most from the rest at a stage, if one does so surely: with a rate of false discovery of
     * 0.05 among the levels, p by the normal from the ratio's interval.
     */
    public Optional<Step> standsOut(Stage stage) {
        List<Step> told = levels.stream().filter(l -> z(l, stage) > 0).toList();
        double[] p = told.stream()
                .mapToDouble(l -> 2 * NormalDistribution.of(0, 1).survivalProbability(z(l, stage)))
                .toArray();
        double[] q = FalseDiscovery.q(p);
        int best = -1;
        for (int i = 0; i < q.length; i++) {
            if (q[i] <= SURE && (best < 0 || p[i] < p[best])) {
                best = i;
            }
        }
        return best < 0 ? Optional.empty() : Optional.of(told.get(best));
    }

    /** How many standard errors the log ratio lies from 0; 0 where it has none. */
    private static double z(Step level, Stage stage) {
        Estimate estimate = level.againstRest(stage);
        if (estimate instanceof Estimate.Figure f
                && f.interval() != null
                && f.interval().low() > 0) {
            double error = Math.log(f.interval().high() / f.interval().low()) / (2 * Quantiles.NORMAL_UPPER);
            return error > 0 ? Math.abs(Math.log(f.ratio())) / error : 0;
        }
        return 0;
    }

    private static Step step(String level, Counts sum, Estimate hooked, Estimate landed, Map<String, Integer> lost) {
        return new Step(
                level,
                sum.follows,
                sum.bites,
                sum.hooked,
                sum.landed,
                sum.bites > 0 ? Share.of(sum.hooked, sum.bites) : null,
                sum.hooked > 0 ? Share.of(sum.landed, sum.hooked) : null,
                hooked,
                landed,
                lost);
    }

    private static Estimate ratio(Map<Integer, Map<List<Integer>, Counts>> byLevel, int level, boolean hooking) {
        Map<List<Integer>, double[]> blocks = new LinkedHashMap<>();
        byLevel.forEach((code, own) -> own.forEach((block, counts) -> {
            double[] sides = blocks.computeIfAbsent(block, b -> new double[4]);
            int at = code == level ? 0 : 2;
            sides[at] += hooking ? counts.hooked : counts.landed;
            sides[at + 1] += hooking ? counts.bites : counts.hooked;
        }));
        return RiskRatio.of(blocks.values().stream()
                .map(s -> new RiskRatio.Table(s[0], s[1], s[2], s[3]))
                .toList());
    }

    private static Map<String, Integer> sums(
            Map<String, int[]> byWord, BitSet rows, Codes levels, @Nullable Integer level) {
        Map<String, Integer> sums = new LinkedHashMap<>();
        byWord.forEach((word, counts) -> {
            int sum = rows.stream()
                    .filter(row -> level == null || levels.at(row) == level)
                    .map(row -> counts[row])
                    .sum();
            if (sum > 0) {
                sums.put(word, sum);
            }
        });
        return sums;
    }

    private static Map<String, Share> shares(Map<String, Integer> counts) {
        int all = counts.values().stream().mapToInt(Integer::intValue).sum();
        Map<String, Share> shares = new LinkedHashMap<>();
        counts.forEach((word, count) -> shares.put(word, Share.of(count, all)));
        return shares;
    }
}
