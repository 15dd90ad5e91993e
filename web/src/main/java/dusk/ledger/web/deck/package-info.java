/** The deck: a trip while it is fished. Every touch is an act that is stored once and can be undone. */
@ApplicationModule(
        allowedDependencies = {"afloat", "choose", "fan", "form", "instruments", "portrait", "records", "store", "words"
        })
@NullMarked
package dusk.ledger.web.deck;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
