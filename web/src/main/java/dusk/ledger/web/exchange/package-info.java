/** Packages in and out of a store from the command line, without starting the application. */
@ApplicationModule(allowedDependencies = {"records", "store", "words"})
@NullMarked
package dusk.ledger.web.exchange;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
