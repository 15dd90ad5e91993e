/** Casts over an arc: how many cover it, how long they take, where they come down. */
@NullMarked
package dusk.ledger.web.fan;

import org.jspecify.annotations.NullMarked;
