/** A club's year looked back on. */
@NullMarked
package dusk.ledger.review;

import org.jspecify.annotations.NullMarked;
