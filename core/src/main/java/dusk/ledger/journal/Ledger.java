package dusk.ledger.journal;

import java.util.List;

/** All records of one club, or of one package. References hold and counts agree: see {@link Consistency}. */
public record Ledger(
        List<Angler> anglers,
        List<Water> waters,
        List<Spot> spots,
        List<SetUp> setUps,
        List<Rod> rods,
        List<Trip> trips,
        List<Reading> readings,
        List<Stint> stints,
        List<Catch> catches,
        List<Touch> touches,
        List<Sign> signs,
        List<Loss> losses,
        List<Drop> drops,
        List<Rule> rules) {
    public Ledger {
        anglers = List.copyOf(anglers);
        waters = List.copyOf(waters);
        spots = List.copyOf(spots);
        setUps = List.copyOf(setUps);
        rods = List.copyOf(rods);
        trips = List.copyOf(trips);
        readings = List.copyOf(readings);
        stints = List.copyOf(stints);
        catches = List.copyOf(catches);
        touches = List.copyOf(touches);
        signs = List.copyOf(signs);
        losses = List.copyOf(losses);
        drops = List.copyOf(drops);
        rules = List.copyOf(rules);
    }

    /** What was fished, without what was counted and ruled beside it. */
    public Ledger(
            List<Angler> anglers,
            List<Water> waters,
            List<Spot> spots,
            List<SetUp> setUps,
            List<Rod> rods,
            List<Trip> trips,
            List<Reading> readings,
            List<Stint> stints,
            List<Catch> catches,
            List<Touch> touches,
            List<Sign> signs,
            List<Loss> losses) {
        this(
                anglers, waters, spots, setUps, rods, trips, readings, stints, catches, touches, signs, losses,
                List.of(), List.of());
    }

    /** An empty ledger. */
    public static Ledger empty() {
        return new Ledger(
                List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(),
                List.of(), List.of(), List.of());
    }
}
