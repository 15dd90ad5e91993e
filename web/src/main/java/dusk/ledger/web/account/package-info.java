/** A person's own units, theme and password. */
@NullMarked
package dusk.ledger.web.account;

import org.jspecify.annotations.NullMarked;
