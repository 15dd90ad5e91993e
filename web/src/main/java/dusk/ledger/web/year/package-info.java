/** The club's year, for the meeting. */
@ApplicationModule(allowedDependencies = {"records", "store", "words"})
@NullMarked
package dusk.ledger.web.year;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
