package dusk.ledger.web.column;

import dusk.ledger.format.Cells;
import dusk.ledger.format.LedgerFormat;
import dusk.ledger.journal.SetUp;
import dusk.ledger.units.Length;
import dusk.ledger.units.Mass;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.vocabulary.Words;
import dusk.ledger.web.form.Typed;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Reads the set-up of the bench: one of the club's, or one that is built here, with whatever was typed beside it in its place. */
final class SetUpAsk {
    /** The id of what was built or changed on the bench and is stored nowhere. */
    static final String BUILT = "built";

    private static final List<String> WORDS = List.of("head_material", "plastic", "plastic_material");

    private SetUpAsk() {}

    /** The set-up named, or a bare head, with what was typed beside it in its place. */
    static @Nullable SetUp read(Typed typed, Function<String, @Nullable SetUp> setUps, @Nullable SetUp usual) {
        Map<String, Object> changed = changed(typed);
        SetUp named = typed.known("setup", setUps, "Choose a set-up of the list, or build one.");
        boolean built = typed.ticked("setup") && typed.text("setup").isEmpty();
        SetUp base = built ? bare() : named == null ? usual : named;
        if (base == null) {
            typed.wrong("setup", "There is no set-up yet. Build one: give a head.");
            return null;
        }
        if (built && !changed.containsKey("head_mass_g")) {
            typed.wrong("head_mass_g", "Give the head that is built on.");
            return null;
        }
        boolean plastic = changed.containsKey("plastic") && !"none".equals(changed.get("plastic"));
        if (plastic && base.plasticLength() == null && !changed.containsKey("plastic_length_mm")) {
            typed.wrong("plastic_length_mm", "Give the length of the plastic.");
            return null;
        }
        if (changed.isEmpty()) {
            return base;
        }
        changed.put("setup_id", BUILT);
        return LedgerFormat.SETUPS.changed(base, changed);
    }

    private static SetUp bare() {
        return LedgerFormat.SETUPS.read(new Cells().with("setup_id", BUILT).with("rig", "open jig head"));
    }

    private static Map<String, Object> changed(Typed typed) {
        Map<String, Object> changed = new HashMap<>();
        Mass head = typed.headMass("head_mass_g");
        if (head != null) {
            changed.put("head_mass_g", head.grams());
        }
        for (String column : WORDS) {
            String word = typed.text(column);
            if (Words.of(column).contains(word)) {
                changed.put(column, word);
            } else if (!word.isEmpty()) {
                typed.wrong(column, "“" + word + "” is not one of: " + String.join(", ", Words.of(column)) + ".");
            }
        }
        UnitSystem units = typed.units();
        length(typed, "plastic_length_mm", units.lure(), 10, 400, changed);
        length(typed, "line_diameter_mm", Length.Unit.MILLIMETRE, 0.05, 1.5, changed);
        return changed;
    }

    private static void length(
            Typed typed, String column, Length.Unit unit, double leastMm, double mostMm, Map<String, Object> into) {
        Double mm = typed.millimetres(column, unit, leastMm, mostMm);
        if (mm != null) {
            into.put(column, mm);
        }
    }
}
