package dusk.ledger.patterns;

import dusk.ledger.vocabulary.Factor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** The search's terms, numbered: every recorded level of every tackle and condition factor that occurs with two levels or more. */
final class Terms {
    /** A factor with its codes by place, and the number of its first term; the term of code c is first + c - 1. */
    @SuppressWarnings("ArrayRecordComponent") // shared with the layout, never changed
    record Coded(Factor factor, short[] codes, int levels, int first) {
        boolean tackle() {
            return factor.kind() == Factor.Kind.TACKLE;
        }
    }

    final List<Term> all = new ArrayList<>();
    final List<Coded> tackle = new ArrayList<>();
    final List<Coded> conditions = new ArrayList<>();
    private final List<Coded> byTerm = new ArrayList<>();
    private final List<int[]> places = new ArrayList<>();

    Terms(Layout layout) {
        for (Factor factor : Factor.values()) {
            boolean tackled = factor.kind() == Factor.Kind.TACKLE;
            if (!tackled && factor.kind() != Factor.Kind.CONDITION) {
                continue;
            }
            List<String> levels = layout.levels(factor);
            short[] codes = layout.codes(factor);
            int[] stints = new int[levels.size()];
            for (short code : codes) {
                stints[code]++;
            }
            if (Arrays.stream(stints).skip(1).filter(n -> n > 0).count() < 2) {
                continue;
            }
            Coded coded = new Coded(factor, codes, levels.size(), all.size());
            (tackled ? tackle : conditions).add(coded);
            for (String level : levels.subList(1, levels.size())) {
                all.add(new Term(factor, level));
                byTerm.add(coded);
            }
            index(coded, stints);
        }
    }

    /** Places of each of a factor's levels, or none for tackle, which is not looked up. */
    private void index(Coded coded, int[] stints) {
        int[] next = new int[stints.length];
        for (int code = 1; code < stints.length; code++) {
            places.add(new int[coded.tackle() ? 0 : stints[code]]);
        }
        for (int place = 0; !coded.tackle() && place < coded.codes().length; place++) {
            int code = coded.codes()[place];
            if (code > 0) {
                places.get(coded.first() + code - 1)[next[code]++] = place;
            }
        }
    }

    /** Places where a condition holds, rising. */
    int[] places(int conditionTerm) {
        return places.get(conditionTerm);
    }

    /** The coded factor of a term. */
    Coded of(int term) {
        return byTerm.get(term);
    }
}
