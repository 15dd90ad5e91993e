/** What every page shares: places, theme, the horizon strip, forms. */
@ApplicationModule(allowedDependencies = {"portrait", "records", "security", "store"})
@NullMarked
package dusk.ledger.web.frame;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
