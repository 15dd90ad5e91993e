/** The water-column bench: where a lure really is, the ladder of heads, the pocket card, and the fan of casts. */
@ApplicationModule(allowedDependencies = {"choose", "form", "portrait", "records", "store", "words"})
@NullMarked
package dusk.ledger.web.column;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
