/** Where to fish: which places to go back to and when, what each gives in which light, and the run of a day over them. */
@NullMarked
package dusk.ledger.places;

import org.jspecify.annotations.NullMarked;
