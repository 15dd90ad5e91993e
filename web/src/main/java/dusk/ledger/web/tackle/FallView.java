package dusk.ledger.web.tackle;

import dusk.ledger.units.Figures;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Fall;
import dusk.ledger.web.words.CountTable;
import java.util.List;

/**
 * How a set-up falls, as its page lays it out.
 *
 * @param known whether it can be told
 */
record FallView(String words, boolean known, List<String> taken, List<CountTable.Count> counts) {
    static FallView of(Fall fall, UnitSystem units) {
        double fresh = Cast.density(false);
        if (fall instanceof Fall.Unknown unknown) {
            return new FallView(unknown.why(), false, List.of(), List.of());
        }
        Fall.Known known = (Fall.Known) fall;
        if (known.floats(fresh)) {
            return new FallView(
                    "It floats: what sinks of it weighs less than what the rest holds up.",
                    true,
                    known.taken(),
                    List.of());
        }
        String speed = Figures.fixed(known.lure(fresh).terminalMps(fresh), 2) + " m/s at the most. ";
        return new FallView(
                "It falls at " + speed + known.basisWords(), true, known.taken(), CountTable.of(known, units, fresh));
    }
}
