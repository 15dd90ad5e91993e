/** Physical values that carry their unit: SI inside, parsed from and shown in the units a person chose. */
@NullMarked
package dusk.ledger.units;

import org.jspecify.annotations.NullMarked;
