package dusk.ledger.web.tackle;

import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Rig;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.portrait.Portrait;
import java.util.Map;

/** Something drawn, with its name. */
record Drawn(String name, String portrait) {
    /** A rig with its usual parts. */
    static Drawn usual(Rig rig) {
        Map<String, String> typed = rig.usual();
        SetUp usual = new SetUpForm(rig.name(), UnitSystem.METRIC)
                .record()
                .read(typed, Map.of("setup_id", "usual", "rig", rig.name(), "colour", "green pumpkin"), null);
        return new Drawn(rig.name(), Portrait.svg(usual, rig.name()));
    }
}
