package dusk.ledger.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;

/**
 * Set-ups for several rods: by greedy choice those whose best is to be expected highest. What a level does is drawn once
 * for all set-ups that have it, so that two alike add little to each other.
 */
final class Spread {
    static final int DRAWS = 2000;

    /** Calls beyond these have no chance of being any draw's best. */
    static final int CONSIDERED = 120;

    private static final Set<String> MOVING = Set.of(
            "steady retrieve",
            "slow roll",
            "rush and stop",
            "stop on contact",
            "reel and glide",
            "tight-line swim",
            "hop",
            "big hop",
            "lift and drop",
            "twitch and pause");

    private Spread() {}

    /**
     * Chooses.
     *
     * @param offered the best first
     * @param drawn what each takes, by draw
     * @param slowFirst whether what moves comes after what does not: after a front
     */
    static List<Advice.Rod> of(List<Call> offered, double[][] drawn, int rods, boolean slowFirst) {
        double[] best = new double[DRAWS];
        List<Call> chosen = new ArrayList<>();
        while (chosen.size() < Math.min(rods, offered.size())) {
            int next = -1;
            double most = Double.NEGATIVE_INFINITY;
            for (int c = 0; c < offered.size(); c++) {
                double sum = 0;
                for (int d = 0; d < DRAWS; d++) {
                    sum += Math.max(best[d], drawn[c][d]);
                }
                if (!chosen.contains(offered.get(c)) && sum > most) {
                    most = sum;
                    next = c;
                }
            }
            chosen.add(offered.get(next));
            for (int d = 0; d < DRAWS; d++) {
                best[d] = Math.max(best[d], drawn[next][d]);
            }
        }
        chosen.sort(Comparator.comparing(call -> moving(call) == slowFirst));
        List<Advice.Rod> spread = new ArrayList<>();
        for (Call call : chosen) {
            spread.add(new Advice.Rod(role(call, spread), call));
        }
        return spread;
    }

    private static boolean moving(Call call) {
        return call.presentation() != null && MOVING.contains(call.presentation());
    }

    private static String role(Call call, List<Advice.Rod> before) {
        if (before.isEmpty()) {
            return "search";
        }
        Call first = before.get(0).call();
        if (moving(first) != moving(call)) {
            return moving(call) ? "search, once they move" : "follow-up, over the same water";
        }
        if (before.stream()
                .noneMatch(rod -> Objects.equals(
                        rod.call().setUp().plastic(), call.setUp().plastic()))) {
            return "a different outline";
        }
        return before.stream()
                        .noneMatch(rod -> Objects.equals(
                                rod.call().setUp().colour(), call.setUp().colour()))
                ? "a different colour"
                : "a different weight or rig";
    }
}
