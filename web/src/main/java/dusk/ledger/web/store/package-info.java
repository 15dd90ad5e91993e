/** The club's store: schema, transactions, and who may see which row. */
@ApplicationModule(allowedDependencies = "schema")
@NullMarked
package dusk.ledger.web.store;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
