/** People, import and export. */
@ApplicationModule(allowedDependencies = {"form", "portrait", "records", "security", "store", "words"})
@NullMarked
package dusk.ledger.web.club;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
