/** People, import and export. */
@ApplicationModule(allowedDependencies = {"form", "records", "security", "store"})
@NullMarked
package dusk.ledger.web.club;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
