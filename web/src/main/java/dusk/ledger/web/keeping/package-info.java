/** Keeping: how the store and its server are, back-ups by night and by hand. */
@ApplicationModule(allowedDependencies = {"records", "security", "store"})
@NullMarked
package dusk.ledger.web.keeping;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
