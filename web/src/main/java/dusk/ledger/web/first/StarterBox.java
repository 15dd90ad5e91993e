package dusk.ledger.web.first;

import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.tackle.Rig;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.form.RecordForm;
import dusk.ledger.web.form.UnitText;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A dozen set-ups that most boxes hold, each rig with its usual parts, to begin a ledger with. */
final class StarterBox {
    /** Colour by rig. */
    private static final Map<String, String> COLOURS = new LinkedHashMap<>();

    static {
        COLOURS.put("texas rig", "green pumpkin");
        COLOURS.put("drop shot", "violet");
        COLOURS.put("open jig head", "pearl");
        COLOURS.put("shaky head", "green pumpkin");
        COLOURS.put("wacky", "watermelon");
        COLOURS.put("skirted jig", "black-blue");
        COLOURS.put("carolina rig", "watermelon");
        COLOURS.put("inside-head tube", "smoke");
        COLOURS.put("wire-arm spinner", "white");
        COLOURS.put("held minnow head", "silver shad");
        COLOURS.put("weightless weedless", "pearl");
        COLOURS.put("hard bait", "chartreuse");
    }

    private StarterBox() {}

    /** What may be picked. */
    static List<String> rigs() {
        return List.copyOf(COLOURS.keySet());
    }

    /** A rig of the box put together. */
    static SetUp of(String rig, String id) {
        Map<String, String> parts = new HashMap<>(Rig.of(rig).orElseThrow().usual());
        parts.putIfAbsent("colour", COLOURS.getOrDefault(rig, ""));
        return new RecordForm<>(LedgerFormat.SETUPS, new UnitText(UnitSystem.METRIC, ZoneOffset.UTC))
                .read(parts, Map.of("setup_id", id, "rig", rig), null);
    }
}
