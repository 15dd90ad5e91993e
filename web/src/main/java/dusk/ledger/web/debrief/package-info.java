/** Looking back on a trip: the day as one picture, hints, what is missing; and a client's card. */
@NullMarked
package dusk.ledger.web.debrief;

import org.jspecify.annotations.NullMarked;
