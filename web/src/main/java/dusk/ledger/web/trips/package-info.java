/** The ledger of trips, and each trip's readings, stints and fish. */
@ApplicationModule(allowedDependencies = {"choose", "form", "frame", "portrait", "records", "store", "words"})
@NullMarked
package dusk.ledger.web.trips;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
