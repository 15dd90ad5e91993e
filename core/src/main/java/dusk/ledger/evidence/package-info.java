/** Rates, their doubt, and what a level earns once luck is allowed for. */
@NullMarked
package dusk.ledger.evidence;

import org.jspecify.annotations.NullMarked;
