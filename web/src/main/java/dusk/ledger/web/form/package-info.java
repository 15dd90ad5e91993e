/** What is typed into forms: read in a person's units, faults at their fields. */
@NullMarked
package dusk.ledger.web.form;

import org.jspecify.annotations.NullMarked;
