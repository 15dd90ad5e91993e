/** A person's own units, theme and password. */
@ApplicationModule(allowedDependencies = {"records", "security", "store", "words"})
@NullMarked
package dusk.ledger.web.account;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
