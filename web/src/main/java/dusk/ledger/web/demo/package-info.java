/** The demonstration: the invented club and a button for each of its people. */
@ApplicationModule(allowedDependencies = {"afloat", "form", "records", "security", "store"})
@NullMarked
package dusk.ledger.web.demo;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
