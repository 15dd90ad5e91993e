package dusk.ledger.web.column;

import dusk.ledger.units.Mass;
import dusk.ledger.water.Calibrations;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Fall;
import dusk.ledger.water.Ladder;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The first set-up on every head, with the current up to which each school's choice holds; empty where it does not.
 * It takes several times as long as the scene, and so is asked apart.
 */
record HeadLadder(
        ColumnAsk ask, Ladder.Asked asked, Ladder ladder, OptionalDouble lightestUpTo, OptionalDouble controlUpTo) {
    private static final double ACROSS_DEG = 90;

    /** Nothing where it cannot be told how the set-up falls. */
    static Optional<HeadLadder> of(ColumnAsk ask, Calibrations calibrations, List<Mass> heads) {
        if (!(Fall.of(ask.setUps().get(0), calibrations) instanceof Fall.Known fall)) {
            return Optional.empty();
        }
        Cast cast = ask.cast(fall.tied().line());
        Ladder.Asked asked = new Ladder.Asked(
                fall.tied().parts(),
                fall.basis().calibration().factor(),
                // a current that is none yet is tried across the cast
                cast.surfaceMps() > 0 ? cast : cast.withHeading(ACROSS_DEG),
                ask.method(),
                ask.reelMps(),
                ask.band(),
                heads,
                ask.rod() == null ? null : ask.rod().lureMax(),
                ask.setUps().get(0).rigKind().equals("drop shot"));
        Ladder ladder = Ladder.of(asked);
        return Optional.of(
                new HeadLadder(ask, asked, ladder, upTo(asked, ladder.lightest()), upTo(asked, ladder.control())));
    }

    private static OptionalDouble upTo(Ladder.Asked asked, Optional<Ladder.Rung> rung) {
        return rung.map(r -> Ladder.holdsUpTo(asked, r.head())).orElse(OptionalDouble.empty());
    }
}
