package dusk.ledger.patterns;

import java.util.Arrays;
import java.util.List;

/**
 * Where a pattern speaks: the places where its conditions hold and its tackle factors are recorded, and at which of them the choice was made.
 *
 * @param places rising
 * @param chosen by index of places
 */
@SuppressWarnings("ArrayRecordComponent") // made once, read by loops, never compared
record Placed(int[] places, boolean[] chosen) {
    static Placed of(Layout layout, Terms terms, int[] numbers) {
        List<Terms.Coded> coded = Arrays.stream(numbers).mapToObj(terms::of).toList();
        int[] places = new int[layout.size];
        boolean[] chosen = new boolean[layout.size];
        int count = 0;
        for (int i = 0; i < layout.size; i++) {
            boolean within = true;
            boolean choice = true;
            for (int t = 0; t < numbers.length && within; t++) {
                int code = coded.get(t).codes()[i];
                boolean same = code == numbers[t] - coded.get(t).first() + 1;
                boolean tackle = terms.all.get(numbers[t]).tackle();
                within = tackle ? code > 0 : same;
                choice &= same;
            }
            if (within) {
                places[count] = i;
                chosen[count++] = choice;
            }
        }
        return new Placed(Arrays.copyOf(places, count), Arrays.copyOf(chosen, count));
    }
}
