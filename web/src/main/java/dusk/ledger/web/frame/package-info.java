/** What every page shares: places, theme, the horizon strip, forms. */
@NullMarked
package dusk.ledger.web.frame;

import org.jspecify.annotations.NullMarked;
