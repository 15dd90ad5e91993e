/** Casts over an arc: how many cover it, how long they take, where they come down. */
@ApplicationModule(allowedDependencies = {"choose", "column", "form", "portrait", "records", "words"})
@NullMarked
package dusk.ledger.web.fan;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
