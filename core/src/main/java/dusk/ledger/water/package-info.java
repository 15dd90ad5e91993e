/**
 * The water column: how a lure sinks, where it lands, how long it takes. SI units; z is depth below the surface, x
 * away from the angler, y to the right.
 */
@NullMarked
package dusk.ledger.water;

import org.jspecify.annotations.NullMarked;
