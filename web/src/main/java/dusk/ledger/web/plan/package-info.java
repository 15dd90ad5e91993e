/** Before a trip: the call and what it packs, the run, places to go back to, trials and the lot, what calls came to, and the rule book. */
@ApplicationModule(allowedDependencies = {"afloat", "choose", "form", "portrait", "records", "store", "words"})
@NullMarked
package dusk.ledger.web.plan;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
