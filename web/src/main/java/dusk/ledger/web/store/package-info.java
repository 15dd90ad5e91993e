/** The club's store: schema, transactions, and who may see which row. */
@NullMarked
package dusk.ledger.web.store;

import org.jspecify.annotations.NullMarked;
