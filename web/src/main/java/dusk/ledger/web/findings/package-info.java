/** What the records say. */
@NullMarked
package dusk.ledger.web.findings;

import org.jspecify.annotations.NullMarked;
