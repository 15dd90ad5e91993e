/** What to do next: the trade's rules moved by the records, calls and what they promised, what to pack, stay or go. */
@NullMarked
package dusk.ledger.plan;

import org.jspecify.annotations.NullMarked;
