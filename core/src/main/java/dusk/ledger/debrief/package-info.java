/** Looking back on one trip: what changed the bite, as hints that hold within this trip only, and what is still missing from its record. */
@NullMarked
package dusk.ledger.debrief;

import org.jspecify.annotations.NullMarked;
