/** The first steps of an empty ledger: a water, a box of common set-ups, and the first trip. */
@ApplicationModule(allowedDependencies = {"form", "portrait", "records", "store", "words"})
@NullMarked
package dusk.ledger.web.first;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
