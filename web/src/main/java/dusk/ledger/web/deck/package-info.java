/** The deck: a trip while it is fished. Every touch is an act that is stored once and can be undone. */
@NullMarked
package dusk.ledger.web.deck;

import org.jspecify.annotations.NullMarked;
