/** Set-ups: their list, their portraits, and new ones. */
@NullMarked
package dusk.ledger.web.tackle;

import org.jspecify.annotations.NullMarked;
