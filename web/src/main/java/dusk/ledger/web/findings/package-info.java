/** What the records say. */
@ApplicationModule(allowedDependencies = {"form", "portrait", "records", "security", "store", "words"})
@NullMarked
package dusk.ledger.web.findings;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
