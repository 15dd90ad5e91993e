/** One immutable column table of a ledger's stints, read by every analysis. */
@NullMarked
package dusk.ledger.stints;

import org.jspecify.annotations.NullMarked;
