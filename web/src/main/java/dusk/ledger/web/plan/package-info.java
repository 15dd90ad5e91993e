/** What to rig before a trip: the call, and the rule book it starts from. */
@ApplicationModule(allowedDependencies = {"form", "portrait", "records", "store", "words"})
@NullMarked
package dusk.ledger.web.plan;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
