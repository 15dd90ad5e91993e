package dusk.ledger.web.findings;

import dusk.ledger.stints.StintTable;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import dusk.ledger.web.form.Typed;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Which fish count, as every finding asks it.
 *
 * @param species null for all
 * @param least null for all
 */
record WhichFish(@Nullable String species, @Nullable Length least) {
    /**
     * Understands what was typed.
     *
     * @param errors takes what is wrong, and what would be right, at {@code species} and {@code least}
     */
    static WhichFish of(String species, String least, StintTable table, UnitSystem units, Map<String, String> errors) {
        Typed typed = new Typed(Map.of("least", least), units);
        Length length = typed.length("least");
        errors.putAll(typed.errors());
        String one = species.isBlank() ? null : species;
        if (one != null && !table.species().contains(one)) {
            errors.put("species", "No “" + one + "” has been landed. Choose one of the list.");
        }
        return new WhichFish(one, length);
    }
}
