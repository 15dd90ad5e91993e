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
        List<Loss> losses) {
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
    }

    /** An empty ledger. */
    public static Ledger empty() {
        return new Ledger(
                List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(),
                List.of(), List.of(), List.of());
    }
}
