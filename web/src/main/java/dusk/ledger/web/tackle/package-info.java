/** Set-ups: their list, their portraits, and new ones. */
@ApplicationModule(allowedDependencies = {"choose", "form", "portrait", "records", "store", "words"})
@NullMarked
package dusk.ledger.web.tackle;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
