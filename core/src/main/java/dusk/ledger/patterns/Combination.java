package dusk.ledger.patterns;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A combination of terms laid over the stints: where its conditions hold and its tackle factors are recorded, and at
 * which of those the choice was made.
 */
final class Combination {
    private final int[] numbers;
    private final Part first;
    private final Part second;
    private final Part third;

    /** Places of its rarest condition, outside of which it has no side; null where it has no conditions. */
    private final int @Nullable [] candidates;

    /** @param numbers of its terms, rising */
    Combination(Terms terms, int[] numbers) {
        this(
                numbers,
                Arrays.stream(numbers).mapToObj(n -> new Part(terms, n)).toArray(Part[]::new),
                rarest(terms, numbers));
    }

    private Combination(int[] numbers, Part[] parts, int @Nullable [] candidates) {
        this.numbers = numbers;
        this.candidates = candidates;
        first = parts[0];
        second = parts[Math.min(1, parts.length - 1)];
        third = parts[parts.length - 1];
    }

    /** The same with one of its conditions replaced by any of some levels of a factor. */
    Combination instead(Terms terms, int condition, Terms.Coded factor, BitSet levels) {
        short[] codes = new short[factor.codes().length];
        for (int place = 0; place < codes.length; place++) {
            int code = factor.codes()[place];
            codes[place] = (short) (code == 0 ? 0 : levels.get(code) ? 1 : 2);
        }
        Part[] parts = Arrays.stream(numbers)
                .mapToObj(n -> n == condition ? new Part(codes, 1, false) : new Part(terms, n))
                .toArray(Part[]::new);
        return new Combination(numbers, parts, null);
    }

    private static int @Nullable [] rarest(Terms terms, int[] numbers) {
        int[] rarest = null;
        for (int number : numbers) {
            int[] places = terms.places(number);
            if (!terms.of(number).tackle() && (rarest == null || places.length < rarest.length)) {
                rarest = places;
            }
        }
        return rarest;
    }

    /** The place of an index among those that may have a side, rising. */
    int place(int index) {
        return candidates == null ? index : candidates[index];
    }

    /** The first index of a place at or after one. */
    int indexFrom(int place) {
        if (candidates == null) {
            return place;
        }
        int at = Arrays.binarySearch(candidates, place);
        return at < 0 ? -at - 1 : at;
    }

    int[] numbers() {
        return numbers;
    }

    List<Term> named(Terms terms) {
        return Arrays.stream(numbers).mapToObj(terms.all::get).toList();
    }

    /** Which side a place is on. Written out for the three terms there may be, since searches ask it of every stint thousands of times. */
    Side at(int place) {
        int a = first.codes[place];
        int b = second.codes[place];
        int c = third.codes[place];
        if (a == first.wanted && b == second.wanted && c == third.wanted) {
            return Side.CHOSEN;
        }
        return first.out(a) || second.out(b) || third.out(c) ? Side.OUT : Side.OTHER;
    }

    private static final class Part {
        final short[] codes;
        final int wanted;
        final boolean tackle;

        Part(Terms terms, int number) {
            this(terms.of(number), number);
        }

        private Part(Terms.Coded coded, int number) {
            this(coded.codes(), number - coded.first() + 1, coded.tackle());
        }

        Part(short[] codes, int wanted, boolean tackle) {
            this.codes = codes;
            this.wanted = wanted;
            this.tackle = tackle;
        }

        boolean out(int code) {
            return code == 0 || (!tackle && code != wanted);
        }
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
