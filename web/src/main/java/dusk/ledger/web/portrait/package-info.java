/** Set-ups drawn from their fields, and the one writer of SVG. */
@ApplicationModule(allowedDependencies = {})
@NullMarked
package dusk.ledger.web.portrait;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
