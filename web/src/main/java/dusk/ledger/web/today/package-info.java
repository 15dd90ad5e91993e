/** The first page: what is live, the water now, the next call, where to go back to, what is new, what would teach most. */
@ApplicationModule(allowedDependencies = {"afloat", "findings", "plan", "portrait", "records", "store", "words"})
@NullMarked
package dusk.ledger.web.today;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
