/** People, import and export. */
@NullMarked
package dusk.ledger.web.club;

import org.jspecify.annotations.NullMarked;
