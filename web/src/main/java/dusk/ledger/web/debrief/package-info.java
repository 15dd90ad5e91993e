/** Looking back on a trip: the day as one picture, hints, what is missing; and a client's card. */
@ApplicationModule(allowedDependencies = {"frame", "portrait", "records", "security", "store", "words"})
@NullMarked
package dusk.ledger.web.debrief;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
