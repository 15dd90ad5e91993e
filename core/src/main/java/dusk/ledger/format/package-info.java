/** The ledger format: its files and their columns, and how a record is taken apart and put together. */
@NullMarked
package dusk.ledger.format;

import org.jspecify.annotations.NullMarked;
