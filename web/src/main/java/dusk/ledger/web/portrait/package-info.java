/** Set-ups drawn from their fields, and the one writer of SVG. */
@NullMarked
package dusk.ledger.web.portrait;

import org.jspecify.annotations.NullMarked;
