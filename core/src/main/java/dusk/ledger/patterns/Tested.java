package dusk.ledger.patterns;

import java.util.Arrays;

/**
 * A combination that reached the support, told enough to be tested, and has something to say for now.
 *
 * @param terms numbers of its terms in the search's list, rising; tackle and conditions together
 * @param p the effect's
 */
@SuppressWarnings("ArrayRecordComponent") // small, made once, compared by key()
record Tested(int[] terms, Effect effect, double p) {
    int size() {
        return terms.length;
    }

    /** Key of a set of terms. */
    static String key(int[] terms) {
        return Arrays.toString(terms);
    }
}
