/** Choosing from lists that are too long to be shown: found by any word, the most likely first. */
@ApplicationModule(allowedDependencies = {"form", "records", "store", "words"})
@NullMarked
package dusk.ledger.web.choose;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
