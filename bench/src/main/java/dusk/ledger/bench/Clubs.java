package dusk.ledger.bench;

import dusk.ledger.demo.SimulatedClub;
import dusk.ledger.journal.Ledger;

/** Clubs to measure with. */
final class Clubs {
    private static final long SEED = 7;

    /** A plan's stints are a little fewer when drawn. */
    private static final double PLANNED_FOR_ONE = 1.165;

    private Clubs() {}

    /** A club of about so many stints, with planted truths and traps; the same each time. */
    static Ledger of(int stints) {
        return SimulatedClub.draw(new SimulatedClub.Plan((int) Math.round(PLANNED_FOR_ONE * stints), 5, true), SEED)
                .ledger();
    }
}
