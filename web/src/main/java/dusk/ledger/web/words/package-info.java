/** The record in words: set-ups, places, fish, readings, times, names. */
@ApplicationModule(allowedDependencies = {"form", "records"})
@NullMarked
package dusk.ledger.web.words;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
