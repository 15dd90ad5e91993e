package dusk.ledger.evidence;

import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.ToIntFunction;
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

        void add(StintTable table, int row, int fish) {
            follows += table.follows(row);
            bites += table.bites(row);
            hooked += table.hooked(row);
            landed += fish;
        }

        void add(Counts o) {
            follows += o.follows;
            bites += o.bites;
            hooked += o.hooked;
            landed += o.landed;
        }
    }

    /** Reckons a question; its species and least length are no part of it, since what was lost is not known by either. */
    public static Funnel of(StintTable table, Question question) {
        int[] rows = Comparison.rows(table, question).stream().toArray();
        Codes levels = table.codes(question.factor());
        int[] fish = table.fish(null, null);
        Grouping blocks = Grouping.of(
                rows,
                List.of(
                        Grouping.By.of(table.codes(Factor.TRIP)),
                        Grouping.By.of(table.codes(Factor.ANGLER)),
                        Grouping.By.of(levels)));
        Grouping places = Grouping.of(
                rows, List.of(Grouping.By.of(table.codes(Factor.TRIP)), Grouping.By.of(table.codes(Factor.ANGLER))));
        Part[] parts = new Part[blocks.count()];
        Counts whole = new Counts();
        for (int i = 0; i < rows.length; i++) {
            int row = rows[i];
            int block = blocks.of()[i];
            if (parts[block] == null) {
                parts[block] = new Part(places.of()[i], levels.at(row), new Counts());
            }
            whole.add(table, row, fish[row]);
            parts[block].counts().add(table, row, fish[row]);
        }
        Map<String, int[]> losses = sums(table.losses(), rows, levels);
        Map<Integer, Counts> recorded = new TreeMap<>();
        for (Part part : parts) {
            if (part.level() > 0) {
                recorded.computeIfAbsent(part.level(), l -> new Counts()).add(part.counts());
            }
        }
        Against hooking = new Against(parts, places.count(), true);
        Against landing = new Against(parts, places.count(), false);
        List<Step> steps = new ArrayList<>();
        recorded.forEach((code, sum) -> steps.add(
                step(levels.levels().get(code), sum, hooking.ratio(code), landing.ratio(code), of(losses, code))));
        Estimate none = new Estimate.None("the whole has no rest to be compared with");
        Map<String, Integer> lost = ofAll(losses);
        return new Funnel(
                step("all", whole, none, none, lost), steps, lost, shares(ofAll(sums(table.bitesOn(), rows, levels))));
    }

    /** What one angler did on one trip at a level. */
    private record Part(int place, int level, Counts counts) {}

    /** Of a stage, what came of what, of each level and of all recorded ones, by trip and angler. */
    private static final class Against {
        private final Part[] parts;
        private final boolean hooking;
        private final double[] came;
        private final double[] of;

        Against(Part[] parts, int places, boolean hooking) {
            this.parts = parts;
            this.hooking = hooking;
            came = new double[places];
            of = new double[places];
            for (Part part : parts) {
                if (part.level() > 0) {
                    came[part.place()] += came(part);
                    of[part.place()] += of(part);
                }
            }
        }

        private double came(Part part) {
            return hooking ? part.counts().hooked : part.counts().landed;
        }

        private double of(Part part) {
            return hooking ? part.counts().bites : part.counts().hooked;
        }

        /** A level against the other recorded ones. Where a trip saw only the others, it says nothing. */
        Estimate ratio(int level) {
            List<RiskRatio.Table> tables = new ArrayList<>();
            for (Part part : parts) {
                if (part.level() == level) {
                    double own = came(part);
                    double ownOf = of(part);
                    tables.add(new RiskRatio.Table(own, ownOf, came[part.place()] - own, of[part.place()] - ownOf));
                }
            }
            return RiskRatio.of(tables);
        }
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

    /** By word, sums by code of the level. */
    private static Map<String, int[]> sums(Map<String, int[]> byWord, int[] rows, Codes levels) {
        Map<String, int[]> sums = new LinkedHashMap<>();
        byWord.forEach((word, counts) -> {
            int[] byLevel = new int[levels.levels().size()];
            for (int row : rows) {
                byLevel[levels.at(row)] += counts[row];
            }
            sums.put(word, byLevel);
        });
        return sums;
    }

    private static Map<String, Integer> of(Map<String, int[]> sums, int level) {
        return told(sums, byLevel -> byLevel[level]);
    }

    private static Map<String, Integer> ofAll(Map<String, int[]> sums) {
        return told(sums, byLevel -> Arrays.stream(byLevel).sum());
    }

    private static Map<String, Integer> told(Map<String, int[]> sums, ToIntFunction<int[]> count) {
        Map<String, Integer> told = new LinkedHashMap<>();
        sums.forEach((word, byLevel) -> {
            if (count.applyAsInt(byLevel) > 0) {
                told.put(word, count.applyAsInt(byLevel));
            }
        });
        return told;
    }

    private static Map<String, Share> shares(Map<String, Integer> counts) {
        int all = counts.values().stream().mapToInt(Integer::intValue).sum();
        Map<String, Share> shares = new LinkedHashMap<>();
        counts.forEach((word, count) -> shares.put(word, Share.of(count, all)));
        return shares;
    }
}
