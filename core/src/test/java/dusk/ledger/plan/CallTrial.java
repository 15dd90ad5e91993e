package dusk.ledger.plan;

import dusk.ledger.demo.SimulatedClub;
import dusk.ledger.stints.Codes;
import dusk.ledger.stints.StintTable;
import dusk.ledger.tackle.TackleChecks;
import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import org.jspecify.annotations.Nullable;

/**
 * Calls on a club whose truth is known: does what they promise hold. The truth of a call under some conditions is what a
 * coming day under them gives in the mean, with anything tied on, times what the truths make of the call's levels there. A
 * day goes by its place, light and warmth in these clubs and by nothing else, so that mean is over every stint that agrees
 * with the conditions on {@link #BEARING}: which places the few stints under a certain sky happened to be fished at is luck.
 */
final class CallTrial {
    private static final List<Factor> ASKED =
            List.of(Factor.WATER_TEMP, Factor.CLARITY, Factor.WEATHER, Factor.BOTTOM, Factor.SKY, Factor.LIGHT);
    private static final Set<Factor> BEARING = Set.of(Factor.WATER_TEMP, Factor.BOTTOM, Factor.LIGHT);
    private static final int LEAST_STINTS = 30;

    private CallTrial() {}

    /**
     * What came of it.
     *
     * @param calls how many were looked at
     * @param held of those, whose interval holds the truth
     * @param firsts the log of promised over true, of each first call
     * @param gain what the first calls truly take, against the mean of what was tied on
     */
    record Score(int calls, int held, List<Double> firsts, List<Double> gain) {
        Score() {
            this(0, 0, new ArrayList<>(), new ArrayList<>());
        }

        Score and(Score other) {
            List<Double> all = new ArrayList<>(firsts);
            all.addAll(other.firsts);
            List<Double> gains = new ArrayList<>(gain);
            gains.addAll(other.gain);
            return new Score(calls + other.calls, held + other.held, all, gains);
        }

        double share() {
            return held / (double) calls;
        }
    }

    /** Asks for some conditions of the club, three known of each, drawn by the seed from its own stints. */
    static Score of(SimulatedClub club, int asks, long seed) {
        StintTable table = StintTable.of(club.ledger());
        SplittableRandom random = new SplittableRandom(seed);
        Score score = new Score();
        for (int ask = 0; ask < asks; ask++) {
            Map<Factor, String> known = new EnumMap<>(Factor.class);
            int like = random.nextInt(table.size());
            while (known.size() < 3) {
                Factor factor = ASKED.get(random.nextInt(ASKED.size()));
                if (table.codes(factor).at(like) > 0) {
                    known.put(factor, table.codes(factor).level(like));
                }
            }
            Score one = of(club, table, known);
            score = one == null ? score : score.and(one);
        }
        return score;
    }

    private static @Nullable Score of(SimulatedClub club, StintTable table, Map<Factor, String> known) {
        double dayHours = 0;
        double day = 0;
        double hours = 0;
        double bare = 0;
        double tied = 0;
        int stints = 0;
        for (int row = 0; row < table.size(); row++) {
            double rate = club.bareRate().getOrDefault(table.id(row), 0.0);
            if (agrees(table, row, known, BEARING)) {
                dayHours += table.rodHours(row);
                day += rate * table.rodHours(row);
            }
            if (agrees(table, row, known, known.keySet())) {
                hours += table.rodHours(row);
                bare += rate * table.rodHours(row);
                tied += rate * table.rodHours(row) * club.multiplier().getOrDefault(table.id(row), 1.0);
                stints++;
            }
        }
        if (stints < LEAST_STINTS) {
            return null;
        }
        PlanConditions nothing = PlanConditions.unknown();
        Advice advice = Adviser.of(
                table,
                club.ledger().setUps(),
                new PlanConditions(known, nothing.reading(), null, null, null, false, false),
                new Adviser.Wish(1, Map.of(), TackleChecks.Use.UNKNOWN, 1));
        int held = 0;
        int calls = 0;
        List<Double> firsts = new ArrayList<>();
        List<Double> gain = new ArrayList<>();
        for (Call call : advice.calls()) {
            if (!call.owned()) {
                continue;
            }
            double truth = day / dayHours * made(club, table, call, known);
            if (calls == 0) {
                firsts.add(Math.log(call.rate() / truth));
                // what the tackle does, without the luck of the few stints' places
                gain.add(made(club, table, call, known) / (tied / bare));
            }
            calls++;
            held += call.interval().low() <= truth && truth <= call.interval().high() ? 1 : 0;
        }
        return new Score(calls, held, firsts, gain);
    }

    private static boolean agrees(StintTable table, int row, Map<Factor, String> known, Set<Factor> on) {
        return known.entrySet().stream()
                .filter(e -> on.contains(e.getKey()))
                .allMatch(e -> table.codes(e.getKey()).level(row).equals(e.getValue()));
    }

    /** What the truths make of a call; of conditions that are not asked for, as often as they hold under those that are. */
    private static double made(SimulatedClub club, StintTable table, Call call, Map<Factor, String> known) {
        Map<Factor, String> levels = new HashMap<>(known);
        call.features().forEach(f -> levels.put(f.factor(), f.level()));
        double sum = 0;
        double hours = 0;
        for (int row = 0; row < table.size(); row++) {
            int at = row;
            if (!agrees(table, row, known, known.keySet())) {
                continue;
            }
            double ratio = 1;
            for (SimulatedClub.Truth truth : club.truths()) {
                boolean holds = truth.terms().stream().allMatch(term -> {
                    Codes codes = table.codes(term.factor());
                    boolean tackle = term.factor().kind() == Factor.Kind.TACKLE;
                    return term.level().equals(tackle ? levels.get(term.factor()) : codes.level(at));
                });
                ratio *= holds ? truth.ratio() : 1;
            }
            double weight = table.rodHours(row) * club.bareRate().getOrDefault(table.id(row), 0.0);
            sum += weight * ratio;
            hours += weight;
        }
        return sum / hours;
    }
}
