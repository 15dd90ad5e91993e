/** The words of the craft, their bands, and the factors an analysis may compare. */
@NullMarked
package dusk.ledger.vocabulary;

import org.jspecify.annotations.NullMarked;
