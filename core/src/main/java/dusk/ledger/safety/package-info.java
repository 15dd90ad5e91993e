/** What to be careful of, and from where on. */
@NullMarked
package dusk.ledger.safety;

import org.jspecify.annotations.NullMarked;
