/** The ledger package, Dusk Ledger's open format: read whole or refused whole. */
@NullMarked
package dusk.ledger.interchange;

import org.jspecify.annotations.NullMarked;
