/** What would teach a club most, and how to find it out: questions ranked by what their answer is worth, the lot, a fair trial. */
@NullMarked
package dusk.ledger.teach;

import org.jspecify.annotations.NullMarked;
