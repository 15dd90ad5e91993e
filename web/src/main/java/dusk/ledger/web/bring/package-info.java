/** Bring in: packages and spreadsheets, looked at before anything is stored, taken back as a whole. */
@ApplicationModule(allowedDependencies = {"form", "records", "store", "words"})
@NullMarked
package dusk.ledger.web.bring;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
