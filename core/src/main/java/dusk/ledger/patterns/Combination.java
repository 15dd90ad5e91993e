package dusk.ledger.patterns;

import java.util.Arrays;
import java.util.List;

/**
 * A combination of terms laid over the stints: where its conditions hold and its tackle factors are recorded, and at which of those the choice was made.
 */
final class Combination {
    private final int[] numbers;
    private final int[][] codes;
    private final int[] wanted;
    private final boolean[] tackle;

    /** @param numbers of its terms, rising */
    Combination(Terms terms, int[] numbers) {
        this.numbers = numbers;
        codes = new int[numbers.length][];
        wanted = new int[numbers.length];
        tackle = new boolean[numbers.length];
        for (int t = 0; t < numbers.length; t++) {
            Terms.Coded coded = terms.of(numbers[t]);
            codes[t] = coded.codes();
            wanted[t] = numbers[t] - coded.first() + 1;
            tackle[t] = coded.tackle();
        }
    }

    int[] numbers() {
        return numbers;
    }

    List<Term> named(Terms terms) {
        return Arrays.stream(numbers).mapToObj(terms.all::get).toList();
    }

    /** Which side a place is on. */
    Side at(int place) {
        boolean chosen = true;
        for (int t = 0; t < codes.length; t++) {
            int code = codes[t][place];
            if (code != wanted[t]) {
                if (code == 0 || !tackle[t]) {
                    return Side.OUT;
                }
                chosen = false;
            }
        }
        return chosen ? Side.CHOSEN : Side.OTHER;
    }

    /** Where a stint stands to a combination. */
    enum Side {
        /** The conditions do not hold, or it is not known what was tied on. */
        OUT,
        /** The conditions hold, another recorded choice was made. */
        OTHER,
        CHOSEN
    }
}
