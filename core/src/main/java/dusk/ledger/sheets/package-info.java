/** Spreadsheets of any habit: read, understood by a mapping, and turned into the record. */
@NullMarked
package dusk.ledger.sheets;

import org.jspecify.annotations.NullMarked;
