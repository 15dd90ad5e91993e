package dusk.ledger.patterns;

import java.util.Arrays;

/**
 * A combination that reached the support and told enough to be tested.
 *
 * @param terms numbers of its terms in the search's list, rising; tackle and conditions together
 */
@SuppressWarnings("ArrayRecordComponent") // small, made once, compared by key()
record Tested(int[] terms, Effect effect) {
    int size() {
        return terms.length;
    }

    /** Key of a set of terms. */
    static String key(int[] terms) {
        return Arrays.toString(terms);
    }
}
