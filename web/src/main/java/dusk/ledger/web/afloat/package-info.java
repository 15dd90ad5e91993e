/** A trip being fished, and all that can be done on it. */
@ApplicationModule(allowedDependencies = {"form", "records", "store", "words"})
@NullMarked
package dusk.ledger.web.afloat;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
