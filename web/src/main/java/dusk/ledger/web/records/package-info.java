/** All reading and writing of the record: nothing above writes SQL. */
@NullMarked
package dusk.ledger.web.records;

import org.jspecify.annotations.NullMarked;
