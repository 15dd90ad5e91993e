/** Fish as they are measured: mass from length, condition, what a club's rules for a water say of one. */
@NullMarked
package dusk.ledger.fish;

import org.jspecify.annotations.NullMarked;
