/** Stand-ins: simulated instruments that ship with the application, for the demo and for whoever builds their own. */
@ApplicationModule(allowedDependencies = {"instruments", "records"})
@NullMarked
package dusk.ledger.web.standin;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
