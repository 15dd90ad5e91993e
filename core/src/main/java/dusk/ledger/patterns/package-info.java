/** Patterns that hold: which choices do better under which conditions, searched, pruned, held to newer trips and graded. */
@NullMarked
package dusk.ledger.patterns;

import org.jspecify.annotations.NullMarked;
