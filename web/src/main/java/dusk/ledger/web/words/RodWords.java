package dusk.ledger.web.words;

import dusk.ledger.journal.Rod;
import dusk.ledger.units.Length;
import dusk.ledger.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;

/** What a rod is like, in words. */
public final class RodWords {
    private RodWords() {}

    /** Such as {@code 2.13 m, medium-light, moderate action, rated 2 g to 12 g, 70 cm a turn}. */
    public static String of(Rod rod, UnitSystem units) {
        List<String> words = new ArrayList<>();
        if (rod.length() != null) {
            words.add(
                    units.depth() == Length.Unit.FOOT
                            ? rod.length().feetAndInches()
                            : rod.length().show(units.depth()));
        }
        if (rod.power() != null) {
            words.add(rod.power());
        }
        if (rod.action() != null) {
            words.add(rod.action() + " action");
        }
        if (rod.lureMin() != null && rod.lureMax() != null) {
            words.add("rated " + rod.lureMin().show(units.headMass()) + " to "
                    + rod.lureMax().show(units.headMass()));
        } else if (rod.lureMax() != null) {
            words.add("rated to " + rod.lureMax().show(units.headMass()));
        }
        if (rod.retrieve() != null) {
            words.add(rod.retrieve().show(units.lure()) + " a turn");
        }
        return String.join(", ", words);
    }
}
