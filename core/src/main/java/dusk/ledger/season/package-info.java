/** Stage of the year, from the water first and the calendar second. */
@NullMarked
package dusk.ledger.season;

import org.jspecify.annotations.NullMarked;
