/** Who is signed in, and the accounts behind it. */
@NullMarked
package dusk.ledger.web.security;

import org.jspecify.annotations.NullMarked;
