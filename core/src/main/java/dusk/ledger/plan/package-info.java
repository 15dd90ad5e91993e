/** What to do next, from the records: stay or go. */
@NullMarked
package dusk.ledger.plan;

import org.jspecify.annotations.NullMarked;
