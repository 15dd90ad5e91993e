package dusk.ledger.web.deck;

import dusk.ledger.journal.Reading;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.Speed;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Fall;
import dusk.ledger.web.instruments.Aboard;
import dusk.ledger.web.records.RodOut;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * How the set-up of a rod falls where the rod is: the count to the bottom, and the way to the bench with all that is
 * known of the place.
 */
final class RodFall {
    /** Slower than that a boat lies still. */
    private static final double LEAST_DRIFT_MPS = 0.05;

    private RodFall() {}

    static DeckView.Count of(Seen seen, RodOut rod, SetUp setUp) {
        UnitSystem units = seen.units();
        Reading last = seen.last();
        boolean salt = seen.deck().salt();
        UriComponentsBuilder bench = UriComponentsBuilder.fromPath("/column").queryParam("setup", setUp.id());
        Aboard.Boat boat = seen.told().boat();
        Length depth = rod.depth() == null && boat != null && boat.depthM() != null
                ? Length.ofMetres(boat.depthM())
                : rod.depth();
        if (depth != null) {
            bench.queryParam("depth_m", depth.show(units.depth()));
        }
        if (rod.way().presentation() != null) {
            bench.queryParam("presentation", rod.way().presentation());
        }
        if (rod.rodId() != null) {
            bench.queryParam("rod", rod.rodId());
        }
        if (last != null && last.current() != null) {
            bench.queryParam("current_mps", last.current().show()).queryParam("heading", 90);
        }
        if (boat != null && boat.drift() != null && boat.drift().mps() >= LEAST_DRIFT_MPS) {
            bench.queryParam(
                    "drift_mps", Speed.ofMetresPerSecond(boat.drift().mps()).show());
            Double toward = seen.told().castsToDeg();
            if (toward != null) {
                bench.queryParam("drift_deg", Figures.trimmed((boat.drift().toDeg() - toward + 720) % 360, 0));
            }
        }
        if (salt) {
            bench.queryParam("salt", "yes");
        }
        return new DeckView.Count(
                words(rod, Fall.of(setUp, seen.calibrations()), salt, units),
                bench.encode().toUriString());
    }

    private static String words(RodOut rod, Fall fall, boolean salt, UnitSystem units) {
        double water = Cast.density(salt);
        if (rod.depth() == null || rod.depth().metres() == 0 || !(fall instanceof Fall.Known known)) {
            return "";
        }
        return known.floats(water)
                ? "It floats."
                : "Count " + known.count(rod.depth().metres(), water) + " to the bottom at "
                        + rod.depth().show(units.depth()) + ".";
    }
}
