/** A trip being fished, and all that can be done on it. */
@NullMarked
package dusk.ledger.web.afloat;

import org.jspecify.annotations.NullMarked;
