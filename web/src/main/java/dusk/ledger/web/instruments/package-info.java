/** Instruments that are listened to: connections beside the requests, what they say of a deck, and what of it is stored. */
@ApplicationModule(allowedDependencies = {"afloat", "form", "records", "store", "words"})
@NullMarked
package dusk.ledger.web.instruments;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
