package dusk.ledger.journal;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What must hold between the records of a ledger, beyond what each record holds by itself and beyond its references. */
public final class Consistency {
    /**
     * Counts that do not agree.
     *
     * @param stint index of the stint in the ledger's list
     * @param problem column of the stint and what is wrong
     */
    public record Breach(int stint, Invalid.Problem problem) {}

    private Consistency() {}

    /** Landed and lost fish against hooked ones, touches against counts, stints against their trips; empty where all agree. */
    public static List<Breach> breaches(Ledger ledger) {
        Map<String, Integer> landed = new HashMap<>();
        ledger.catches().forEach(c -> landed.merge(c.stintId(), c.count(), Integer::sum));
        Map<String, Integer> lost = new HashMap<>();
        ledger.losses().forEach(l -> lost.merge(l.stintId(), l.count(), Integer::sum));
        Map<String, Integer> touched = new HashMap<>();
        ledger.touches().forEach(t -> touched.merge(t.kind() + " " + t.stintId(), 1, Integer::sum));
        Map<String, Instant> starts = new HashMap<>();
        ledger.trips().forEach(t -> starts.put(t.id(), t.startedAt()));
        List<Breach> breaches = new ArrayList<>();
        for (int i = 0; i < ledger.stints().size(); i++) {
            Stint stint = ledger.stints().get(i);
            Tally tally = new Tally(
                    stint.follows(),
                    stint.bites(),
                    stint.hooked(),
                    landed.getOrDefault(stint.id(), 0),
                    lost.getOrDefault(stint.id(), 0));
            for (Invalid.Problem problem : tally.problems()) {
                breaches.add(new Breach(i, problem));
            }
            Instant start = starts.get(stint.tripId());
            if (start != null && !Bounds.ofTrip(stint.startedAt(), start)) {
                breaches.add(new Breach(i, far(start)));
            }
            below(breaches, i, "follows", stint.follows(), touched.getOrDefault("follow " + stint.id(), 0));
            below(breaches, i, "bites", stint.bites(), touched.getOrDefault("bite " + stint.id(), 0));
            below(breaches, i, "hooked", stint.hooked(), touched.getOrDefault("hooked " + stint.id(), 0));
        }
        return breaches;
    }

    /** Of a stint that cannot be of a trip which began then. */
    public static Invalid.Problem far(Instant tripStart) {
        return new Invalid.Problem(
                "started_at",
                "more than " + Bounds.LONGEST_TRIP.toDays() + " days from its trip's start, expected a time near "
                        + tripStart);
    }

    private static void below(List<Breach> breaches, int stint, String column, int count, int touches) {
        if (count < touches) {
            breaches.add(new Breach(
                    stint,
                    new Invalid.Problem(
                            column, count + " is fewer than its touches, expected " + touches + " or more")));
        }
    }
}
