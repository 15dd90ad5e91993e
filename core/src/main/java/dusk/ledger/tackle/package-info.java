/** Set-ups as tackle: what a rig is made of, what differs between two, what does not go together. */
@NullMarked
package dusk.ledger.tackle;

import org.jspecify.annotations.NullMarked;
