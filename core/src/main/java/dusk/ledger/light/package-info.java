/** The sun at the water: twilight, low sun, day, and the course of a date. */
@NullMarked
package dusk.ledger.light;

import org.jspecify.annotations.NullMarked;
