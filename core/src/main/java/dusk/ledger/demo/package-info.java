/** The invented Orrin Valley Rod Club, with its planted truths and traps. */
@NullMarked
package dusk.ledger.demo;

import org.jspecify.annotations.NullMarked;
