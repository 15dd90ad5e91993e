/** Take out: tables as they are shown, files of the record, places, and one's own data whole. */
@ApplicationModule(allowedDependencies = {"records", "store"})
@NullMarked
package dusk.ledger.web.out;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
