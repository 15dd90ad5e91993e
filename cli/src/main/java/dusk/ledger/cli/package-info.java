/** The command line over the packages above. */
@NullMarked
package dusk.ledger.cli;

import org.jspecify.annotations.NullMarked;
