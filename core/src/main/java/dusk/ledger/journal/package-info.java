/** The record: who fished where, with what, for how long, and what came of it. */
@NullMarked
package dusk.ledger.journal;

import org.jspecify.annotations.NullMarked;
