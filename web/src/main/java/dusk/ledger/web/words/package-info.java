/** The record in words: set-ups, places, fish, readings, times, names. */
@NullMarked
package dusk.ledger.web.words;

import org.jspecify.annotations.NullMarked;
