/** Dusk Ledger as a web application. */
@NullMarked
package dusk.ledger.web;

import org.jspecify.annotations.NullMarked;
