/** The demonstration: the invented club and a button for each of its people. */
@NullMarked
package dusk.ledger.web.demo;

import org.jspecify.annotations.NullMarked;
