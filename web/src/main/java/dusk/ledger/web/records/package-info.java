/** All reading and writing of the record: nothing above writes SQL. */
@ApplicationModule(allowedDependencies = {"schema", "store"})
@NullMarked
package dusk.ledger.web.records;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
