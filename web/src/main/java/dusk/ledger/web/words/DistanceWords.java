package dusk.ledger.web.words;

import dusk.ledger.units.Figures;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;

/** Depths and distances in a person's unit. */
public final class DistanceWords {
    private DistanceWords() {}

    /** To a tenth of the unit; what lies above the water is at 0. */
    public static String of(double metres, UnitSystem units) {
        return shown(Math.max(0, metres), units, 1);
    }

    /** To a whole unit. */
    public static String round(double metres, UnitSystem units) {
        return shown(metres, units, 0);
    }

    private static String shown(double metres, UnitSystem units, int decimals) {
        Length.Unit unit = units.depth();
        return Figures.trimmed(Length.ofMetres(metres).in(unit), decimals) + " " + unit.symbol();
    }
}
