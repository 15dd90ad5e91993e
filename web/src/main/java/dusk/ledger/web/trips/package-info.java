/** The ledger of trips, and each trip's readings, stints and fish. */
@NullMarked
package dusk.ledger.web.trips;

import org.jspecify.annotations.NullMarked;
