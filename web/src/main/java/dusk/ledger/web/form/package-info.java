/** What is typed into forms: read in a person's units, faults at their fields. */
@ApplicationModule(allowedDependencies = {})
@NullMarked
package dusk.ledger.web.form;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
