/** Who is signed in, and the accounts behind it. */
@ApplicationModule(allowedDependencies = {"form", "records", "store"})
@NullMarked
package dusk.ledger.web.security;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
