package dusk.ledger.web.deck;

import dusk.ledger.journal.Reading;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.water.Cast;
import dusk.ledger.water.Fall;
import dusk.ledger.web.records.RodOut;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * How the set-up of a rod falls where the rod is: the count to the bottom, and the way to the bench with all that is
 * known of the place.
 */
final class RodFall {
    private RodFall() {}

    static DeckView.Count of(Seen seen, RodOut rod, SetUp setUp) {
        UnitSystem units = seen.units();
        Reading last = seen.last();
        boolean salt = seen.deck().salt();
        UriComponentsBuilder bench = UriComponentsBuilder.fromPath("/column").queryParam("setup", setUp.id());
        if (rod.depth() != null) {
            bench.queryParam("depth_m", rod.depth().show(units.depth()));
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
